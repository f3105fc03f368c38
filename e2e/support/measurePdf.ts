import { createCanvas } from '@napi-rs/canvas';
import jsQR from 'jsqr';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** Fine enough to see 0.2 mm many times over. */
const DOTS_PER_INCH = 600;
const DOTS_PER_MM = DOTS_PER_INCH / 25.4;
/** The rulers stand in the lowest part of the page, the outer strokes 6 mm high. */
const FOOT_MM = 30;
const END_STROKE_MM = 5.4;

export interface PrintedPage {
  widthMm: number;
  heightMm: number;
  /** Middles of the strokes that are as high as a ruler's ends, from the left, mm. */
  endStrokesMm: number[];
}

/** A page of a PDF as a picture at 100 %. */
async function pictureOf(pdf: Uint8Array, number: number, dotsPerInch: number) {
  const document = await getDocument({ data: pdf, verbosity: 0 }).promise;
  const page = await document.getPage(number);
  const viewport = page.getViewport({ scale: dotsPerInch / 72 });
  const canvas = createCanvas(Math.round(viewport.width), Math.round(viewport.height));
  const context = canvas.getContext('2d');
  await page.render({
    canvas: canvas as unknown as HTMLCanvasElement,
    canvasContext: context as unknown as CanvasRenderingContext2D,
    viewport,
  }).promise;
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  const { width, height } = canvas;
  return { data, width, height };
}

/** The page as dots: true where ink is. */
async function inkOf(pdf: Uint8Array, number: number) {
  const { data, width, height } = await pictureOf(pdf, number, DOTS_PER_INCH);
  return { width, height, dark: (x: number, y: number) => (data[(y * width + x) * 4] ?? 255) < 128 };
}

/** The longest unbroken run of ink going down a column of the page's foot, in dots. */
function longestRun(ink: Awaited<ReturnType<typeof inkOf>>, x: number, from: number): number {
  let run = 0;
  let longest = 0;
  for (let y = from; y < ink.height; y++) {
    run = ink.dark(x, y) ? run + 1 : 0;
    longest = Math.max(longest, run);
  }
  return longest;
}

/** Rasterizes a page of a PDF at 100 % and measures the proving rulers on it, as a ruler laid on paper would. */
export async function measurePage(pdf: Uint8Array, number = 1): Promise<PrintedPage> {
  const ink = await inkOf(pdf, number);
  const from = ink.height - Math.round(FOOT_MM * DOTS_PER_MM);
  const strokes: number[][] = [];
  for (let x = 0; x < ink.width; x++) {
    if (longestRun(ink, x, from) < END_STROKE_MM * DOTS_PER_MM) continue;
    const last = strokes.at(-1);
    if (last && x - (last.at(-1) ?? 0) <= 1) last.push(x);
    else strokes.push([x]);
  }
  return {
    widthMm: ink.width / DOTS_PER_MM,
    heightMm: ink.height / DOTS_PER_MM,
    endStrokesMm: strokes.map((s) => ((s[0] ?? 0) + (s.at(-1) ?? 0) + 1) / 2 / DOTS_PER_MM),
  };
}

/** A telephone held over the printed page sees this much of it. */
const SEEN_DOTS_PER_INCH = 150;

/** What the code on the first page says, read off its picture; null where none is found. */
export async function codeOn(pdf: Uint8Array): Promise<{ widthMm: number; text: string | null }> {
  const { data, width, height } = await pictureOf(pdf, 1, SEEN_DOTS_PER_INCH);
  const found = jsQR(data, width, height);
  return { widthMm: (width / SEEN_DOTS_PER_INCH) * 25.4, text: found?.data ?? null };
}
