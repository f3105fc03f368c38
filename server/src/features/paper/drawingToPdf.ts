import fontkit from '@pdf-lib/fontkit';
import { type Box, heightOf, widthOf } from '@zt/core/base/geometry/box';
import {
  type MeasureWords,
  type Page,
  type PaperDrawing,
  type PaperId,
  type PaperMark,
  pagesFor,
} from '@zt/core/paper/index';
import {
  clip,
  closePath,
  degrees,
  endPath,
  LineCapStyle,
  lineTo,
  moveTo,
  PDFDocument,
  type PDFFont,
  type PDFPage,
  PrintScaling,
  popGraphicsState,
  pushGraphicsState,
  rgb,
} from 'pdf-lib';
import { fonts } from './fonts';

/** Points to the millimetre. */
const PT = 72 / 25.4;

interface Pen {
  page: PDFPage;
  plain: PDFFont;
  bold: PDFFont;
  /** Where the frame's origin lies on the page, mm from its top left. */
  origin: { x: number; y: number };
}

const colourOf = (hex: string) => {
  const part = (i: number) => Number.parseInt(hex.slice(i, i + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
};

/** pdf-lib draws path data with y down from (x, y); the page itself has y up. */
const placeOn = ({ page, origin }: Pen, at: { x: number; y: number }) => ({
  x: (origin.x + at.x) * PT,
  y: page.getHeight() - (origin.y + at.y) * PT,
});

function drawLine(pen: Pen, mark: Extract<PaperMark, { kind: 'line' }>): void {
  const d = `M${mark.points.map((p) => `${p.x} ${p.y}`).join(' L')}${mark.closed ? ' Z' : ''}`;
  pen.page.drawSvgPath(d, {
    ...placeOn(pen, { x: 0, y: 0 }),
    scale: PT,
    borderColor: colourOf(mark.colour),
    borderWidth: mark.widthMm,
    ...(mark.dashMm ? { borderDashArray: [...mark.dashMm] } : {}),
    ...(mark.fill ? { color: colourOf(mark.fill) } : {}),
  });
}

function drawArt(pen: Pen, mark: Extract<PaperMark, { kind: 'art' }>): void {
  pen.page.drawSvgPath(mark.d, {
    ...placeOn(pen, mark.at),
    // The page has y up: what is clockwise on the drawing is clockwise the other way here.
    ...(mark.turnDeg === 0 ? {} : { rotate: degrees(-mark.turnDeg) }),
    scale: PT * mark.scale,
    ...(mark.fill ? { color: colourOf(mark.fill) } : {}),
    ...(mark.stroke
      ? {
          borderColor: colourOf(mark.stroke.colour),
          borderWidth: mark.stroke.widthMm / mark.scale,
          borderLineCap: LineCapStyle.Round,
        }
      : {}),
  });
}

function drawText(pen: Pen, mark: Extract<PaperMark, { kind: 'text' }>): void {
  const font = mark.bold ? pen.bold : pen.plain;
  const size = mark.sizeMm * PT;
  const width = font.widthOfTextAtSize(mark.text, size);
  const shift = mark.anchor === 'start' ? 0 : mark.anchor === 'middle' ? width / 2 : width;
  const { x, y } = placeOn(pen, mark.at);
  pen.page.drawText(mark.text, { x: x - shift, y, size, font, color: colourOf(mark.colour) });
}

function draw(pen: Pen, marks: readonly PaperMark[]): void {
  for (const mark of marks) {
    if (mark.kind === 'line') drawLine(pen, mark);
    else if (mark.kind === 'art') drawArt(pen, mark);
    else drawText(pen, mark);
  }
}

/** No line of a drawing's words reaches farther than this from where it stands, mm. */
const WORDS_MM = 250;

/** Whether words that stand at a point may be seen in a window: laying them out costs more than all else. */
const isNear = ({ left, right, top, bottom }: Box, { x, y }: { x: number; y: number }): boolean =>
  x >= left - WORDS_MM && x <= right + WORDS_MM && y >= top - WORDS_MM && y <= bottom + WORDS_MM;

/** Draws the part of the drawing that lies on this page, and nothing beyond its window. */
function drawWindow(pen: Pen, { window, at, heightMm }: Page, marks: readonly PaperMark[]): void {
  const [left, right] = [at.x * PT, (at.x + window.right - window.left) * PT];
  const [top, foot] = [(heightMm - at.y) * PT, (heightMm - at.y - (window.bottom - window.top)) * PT];
  pen.page.pushOperators(
    pushGraphicsState(),
    moveTo(left, top),
    lineTo(right, top),
    lineTo(right, foot),
    lineTo(left, foot),
    closePath(),
    clip(),
    endPath(),
  );
  const seen = marks.filter((mark) => mark.kind !== 'text' || isNear(window, mark.at));
  draw({ ...pen, origin: { x: at.x - window.left, y: at.y - window.top } }, seen);
  pen.page.pushOperators(popGraphicsState());
}

/** A document of the shop, with the typeface that is printed with; the viewer is told not to scale it. */
async function newDocument(title: string) {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  const files = await fonts();
  const [plain, bold] = [
    await document.embedFont(files.plain, { subset: true }),
    await document.embedFont(files.bold, { subset: true }),
  ];
  document.setTitle(title, { showInWindowTitleBar: true });
  document.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None);
  const addPage = (widthMm: number, heightMm: number): Pen => ({
    page: document.addPage([widthMm * PT, heightMm * PT]),
    plain,
    bold,
    origin: { x: 0, y: 0 },
  });
  const measure: MeasureWords = (words, sizeMm, isBold) =>
    (isBold ? bold : plain).widthOfTextAtSize(words, sizeMm * PT) / PT;
  return { document, addPage, measure };
}

/** How wide words are in the typeface that is printed with. */
export const measureWords = async (): Promise<MeasureWords> => (await newDocument('')).measure;

/** A drawing, and what each page of it is called. */
export interface Titled {
  drawing: PaperDrawing;
  title: string;
}

/**
 * Drawings as one PDF at true size, each over as many pages as it needs. One mm of a drawing is one mm of paper at 100 %.
 */
export async function drawingsToPdf(
  drawings: readonly Titled[],
  paper: PaperId,
  title: string,
): Promise<Uint8Array> {
  const { document, addPage } = await newDocument(title);
  for (const { drawing, title: name } of drawings)
    for (const tile of pagesFor(drawing, paper, name)) {
      const pen = addPage(tile.widthMm, tile.heightMm);
      drawWindow(pen, tile, drawing.marks);
      draw(pen, tile.marks);
    }
  return document.save();
}

/** Where a photo stands on a page, mm from its top left, and its bytes (JPEG). */
export interface PhotoOn {
  page: number;
  box: Box;
  jpeg: Uint8Array;
}

/** Drawings that are a page each as a PDF, with photos on them; they are set with its typeface. */
export async function pagesToPdf(
  set: (measure: MeasureWords) => readonly PaperDrawing[],
  title: string,
  photos: readonly PhotoOn[] = [],
): Promise<Uint8Array> {
  const { document, addPage, measure } = await newDocument(title);
  const pens = set(measure).map(({ box, marks }) => {
    const pen = addPage(widthOf(box), heightOf(box));
    draw(pen, marks);
    return pen;
  });
  for (const { page, box, jpeg } of photos) {
    const pen = pens[page];
    if (!pen) continue;
    const { x, y } = placeOn(pen, { x: box.left, y: box.bottom });
    const image = await document.embedJpg(jpeg);
    pen.page.drawImage(image, { x, y, width: widthOf(box) * PT, height: heightOf(box) * PT });
  }
  return document.save();
}
