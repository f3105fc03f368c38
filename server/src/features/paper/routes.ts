import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { heightOf, widthOf } from '@zt/core/base/geometry/box';
import { IdSchema } from '@zt/core/base/ids';
import { cutAskedOf } from '@zt/core/files/cutFile/cutAsked';
import {
  CARD_PAPER_IDS,
  CARDS,
  type CardName,
  type CardPaperId,
  drawingToSvg,
  type MeasureWords,
  MOST_PAGES,
  PAPER,
  PAPER_IDS,
  type Paper,
  type PaperDrawing,
  type PaperId,
  type PaperName,
  type Printed,
  pageCount,
  pagesFor,
  pagesToSvg,
  paperTitle,
  patternDrawings,
  templatesOf,
} from '@zt/core/paper/index';
import type { Context as Asked } from 'hono';
import { clipperHere } from '../../compiled';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, failures } from '../../errors';
import { printedOrigin } from '../../http/guard';
import { squaresOf } from '../../qr';
import { planKept } from '../shop';
import { drawingsToPdf, measureWords, pagesToPdf, type Titled } from './drawingToPdf';
import { PREVIEW_PX, svgToPng } from './svgToPng';

const params = z.object({ id: IdSchema });
const query = z.object({ paper: z.enum(PAPER_IDS).default('a4') });
const cardQuery = z.object({ paper: z.enum(CARD_PAPER_IDS).default('a5') });

const fileOf = <Q extends typeof query | typeof cardQuery>(
  asked: Q,
  path: string,
  summary: string,
  type: string,
) =>
  createRoute({
    method: 'get',
    path,
    summary,
    request: { params, query: asked },
    responses: {
      200: { description: 'The file, at true size', content: { [type]: { schema: z.string() } } },
      ...failures,
    },
  });

const file = (path: string, summary: string, type: string) => fileOf(query, path, summary, type);

const templatePdf = file(
  '/{id}/template.pdf',
  'The design as a paper template, to print at 100 %',
  'application/pdf',
);
const rulerPdf = file('/{id}/ruler.pdf', 'A placement ruler with a slot for each size', 'application/pdf');
const patternPdf = file(
  '/{id}/pattern.pdf',
  'Paper patterns of the cloth that is laid on',
  'application/pdf',
);
const templateSvg = file('/{id}/template.svg', 'The paper template as SVG in millimetres', 'image/svg+xml');
const sheetSvg = file('/{id}/sheet.svg', 'The pattern sheet as SVG in millimetres', 'image/svg+xml');
const traceSvg = file(
  '/{id}/trace.svg',
  'The boundary the needle follows, as SVG in millimetres',
  'image/svg+xml',
);
const cardPdf = fileOf(
  cardQuery,
  '/{id}/card.pdf',
  'The ticket as a card beside the hoop, with a code that opens it',
  'application/pdf',
);
const labelPdf = fileOf(
  cardQuery,
  '/{id}/label.pdf',
  'A swing label for each piece, to cut apart',
  'application/pdf',
);
const preview = createRoute({
  method: 'get',
  path: '/{id}/preview.png',
  summary: 'A picture of the pages as they will be printed',
  request: {
    params,
    query: cardQuery.extend({ what: z.enum(['card', 'label', 'template', 'ruler', 'pattern']) }),
  },
  responses: {
    200: {
      description: 'The pages below one another, to scale',
      content: { 'image/png': { schema: z.string() } },
    },
    ...failures,
  },
});
const sheetPng = file('/{id}/sheet.png', 'A picture of the pattern sheet', 'image/png');

/** What is drawn; refused with why while nothing can be. */
function drawn(paper: Paper): PaperDrawing {
  if (!paper.ok) throw new ApiError(400, paper.code, paper.why);
  return paper.drawing;
}
const drawingOf = (name: PaperName, printed: Printed): PaperDrawing => drawn(PAPER[name](printed));

/** Nobody cuts more by hand, and the shop’s computer lays them out while others wait. */
const MOST_PATTERNS = 120;

/** The patterns of the cloth that is laid on. */
async function patternsOf({ ticket, plan, rules }: Printed): Promise<Titled[]> {
  const asked = cutAskedOf(ticket, plan, rules);
  if ((asked?.facts.cloths.length ?? 0) > MOST_PATTERNS)
    throw new ApiError(
      400,
      'too-many',
      `More than ${MOST_PATTERNS} shapes are of cloth: take the cut file, or mark fewer. The ticket is as it was.`,
    );
  const patterns = asked ? patternDrawings(asked, await clipperHere()) : [];
  if (patterns.length === 0)
    throw new ApiError(400, 'no-cloth', 'No shape of this design is of cloth: there is nothing to cut.');
  return patterns;
}

/** What is printed at true size: of an order of names a template for each, of an appliqué a pattern for each cloth. */
async function trueSize(name: TrueSize, printed: Printed): Promise<Titled[]> {
  if (name === 'pattern') return patternsOf(printed);
  return name === 'template'
    ? templatesOf(printed).map((paper) => ({ drawing: drawn(paper), title: paper.title }))
    : [{ drawing: drawingOf(name, printed), title: paperTitle(printed) }];
}
type TrueSize = 'template' | 'ruler' | 'pattern';

/** Drawings as PDF at true size; refused where one would take more paper than anyone lays together. */
async function pdfOf(drawings: readonly Titled[], paper: PaperId, title: string): Promise<Uint8Array> {
  const pages = Math.max(...drawings.map(({ drawing }) => pageCount(drawing, paper)));
  if (pages > MOST_PAGES)
    throw new ApiError(
      400,
      'too-large',
      `At true size this takes ${pages} pages; ${MOST_PAGES} at most are printed. Is the design off the piece? The ticket is as it was.`,
    );
  return drawingsToPdf(drawings, paper, title);
}

const download = (c: Asked, body: Uint8Array | string, type: string, name: string) =>
  c.body(typeof body === 'string' ? body : new Uint8Array(body), 200, {
    'content-type': type,
    'content-disposition': `attachment; filename="${name}"`,
    'cache-control': 'no-store',
  });

const svgOf = (name: PaperName, printed: Printed): string =>
  drawingToSvg(drawingOf(name, printed), paperTitle(printed));

/** So many pages are shown before they are printed. */
const MOST_SHOWN = 4;

/** Files to print and to cut by: the paper template, the placement ruler, the sheet. */
export function paperRoutes({ store, reach }: Context) {
  const printedOf = (c: { req: { valid: (of: 'param') => { id: string } } }): Promise<Printed> =>
    planKept(store.db, { ticketId: c.req.valid('param').id });
  /** A card, as it is set in a typeface. */
  const cardOf =
    (name: CardName, printed: Printed, { paper, asked }: { paper: CardPaperId; asked: string }) =>
    (measure: MeasureWords): PaperDrawing[] => {
      const squares = squaresOf(`${printedOrigin(reach.host, asked)}/ticket/${printed.ticket.id}/piece`);
      return CARDS[name](printed, { paper, measure, squares });
    };
  const pagesOf = async (
    what: CardName | TrueSize,
    printed: Printed,
    on: { paper: CardPaperId; asked: string },
  ) => {
    if (what === 'card' || what === 'label')
      return cardOf(
        what,
        printed,
        on,
      )(await measureWords()).map(({ box, marks }) => ({
        page: {
          widthMm: widthOf(box),
          heightMm: heightOf(box),
          window: box,
          at: { x: 0, y: 0 },
          marks: [],
        },
        marks,
      }));
    const { paper } = on;
    if (paper === 'a5') throw new ApiError(400, 'too-small', 'At true size it is printed on A4 or Letter.');
    return (await trueSize(what, printed)).flatMap(({ drawing, title }) =>
      pagesFor(drawing, paper, title).map((page) => ({ page, marks: drawing.marks })),
    );
  };
  return new OpenAPIHono({ defaultHook })
    .openapi(cardPdf, async (c) => {
      const printed = await printedOf(c);
      const { paper } = c.req.valid('query');
      const card = cardOf('card', printed, { paper, asked: c.req.url });
      return download(c, await pagesToPdf(card, paperTitle(printed)), 'application/pdf', 'job-card.pdf');
    })
    .openapi(labelPdf, async (c) => {
      const printed = await printedOf(c);
      const { paper } = c.req.valid('query');
      const labels = cardOf('label', printed, { paper, asked: c.req.url });
      return download(c, await pagesToPdf(labels, paperTitle(printed)), 'application/pdf', 'labels.pdf');
    })
    .openapi(preview, async (c) => {
      const printed = await printedOf(c);
      const { paper, what } = c.req.valid('query');
      const pages = await pagesOf(what, printed, { paper, asked: c.req.url });
      const shown = pagesToSvg(pages.slice(0, MOST_SHOWN), paperTitle(printed));
      const png = await svgToPng(shown.svg, shown.heightMm / shown.widthMm, PREVIEW_PX);
      return download(c, png, 'image/png', `${what}.png`);
    })
    .openapi(templatePdf, async (c) => {
      const printed = await printedOf(c);
      const { paper } = c.req.valid('query');
      const pdf = await pdfOf(await trueSize('template', printed), paper, paperTitle(printed));
      return download(c, pdf, 'application/pdf', 'template.pdf');
    })
    .openapi(rulerPdf, async (c) => {
      const printed = await printedOf(c);
      const { paper } = c.req.valid('query');
      const pdf = await pdfOf(await trueSize('ruler', printed), paper, paperTitle(printed));
      return download(c, pdf, 'application/pdf', 'placement-ruler.pdf');
    })
    .openapi(patternPdf, async (c) => {
      const printed = await printedOf(c);
      const { paper } = c.req.valid('query');
      const pdf = await pdfOf(await trueSize('pattern', printed), paper, paperTitle(printed));
      return download(c, pdf, 'application/pdf', 'patterns.pdf');
    })
    .openapi(templateSvg, async (c) =>
      download(c, svgOf('template', await printedOf(c)), 'image/svg+xml', 'template.svg'),
    )
    .openapi(sheetSvg, async (c) =>
      download(c, svgOf('sheet', await printedOf(c)), 'image/svg+xml', 'sheet.svg'),
    )
    .openapi(traceSvg, async (c) =>
      download(c, svgOf('trace', await printedOf(c)), 'image/svg+xml', 'trace.svg'),
    )
    .openapi(sheetPng, async (c) => {
      const printed = await printedOf(c);
      const { box } = drawingOf('sheet', printed);
      const png = await svgToPng(svgOf('sheet', printed), heightOf(box) / widthOf(box));
      return download(c, png, 'image/png', 'sheet.png');
    });
}
