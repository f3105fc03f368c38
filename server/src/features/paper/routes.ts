import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { heightOf, IdSchema, widthOf } from '@zt/core';
import {
  drawingToSvg,
  MOST_PAGES,
  PAPER,
  PAPER_IDS,
  type Paper,
  type PaperDrawing,
  type PaperId,
  type PaperName,
  type Printed,
  pageCount,
  paperTitle,
} from '@zt/core/uses/paper/index';
import type { Context as Asked } from 'hono';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, failures } from '../../errors';
import { planKept } from '../shop';
import { drawingToPdf } from './drawingToPdf';
import { svgToPng } from './svgToPng';

const params = z.object({ id: IdSchema });
const query = z.object({ paper: z.enum(PAPER_IDS).default('a4') });

const file = (path: string, summary: string, type: string) =>
  createRoute({
    method: 'get',
    path,
    summary,
    request: { params, query },
    responses: {
      200: { description: 'The file, at true size', content: { [type]: { schema: z.string() } } },
      ...failures,
    },
  });

const templatePdf = file(
  '/{id}/template.pdf',
  'The design as a paper template, to print at 100 %',
  'application/pdf',
);
const rulerPdf = file('/{id}/ruler.pdf', 'A placement ruler with a slot for each size', 'application/pdf');
const templateSvg = file('/{id}/template.svg', 'The paper template as SVG in millimetres', 'image/svg+xml');
const sheetSvg = file('/{id}/sheet.svg', 'The pattern sheet as SVG in millimetres', 'image/svg+xml');
const traceSvg = file(
  '/{id}/trace.svg',
  'The boundary the needle follows, as SVG in millimetres',
  'image/svg+xml',
);
const sheetPng = file('/{id}/sheet.png', 'A picture of the pattern sheet', 'image/png');

/** A drawing; refused with why while there is none. */
function drawingOf(name: PaperName, printed: Printed): PaperDrawing {
  const paper: Paper = PAPER[name](printed);
  if (!paper.ok) throw new ApiError(400, paper.code, paper.why);
  return paper.drawing;
}

/** A drawing as PDF at true size; refused where it would take more paper than anyone lays together. */
async function pdfOf(drawing: PaperDrawing, paper: PaperId, title: string): Promise<Uint8Array> {
  const pages = pageCount(drawing, paper);
  if (pages > MOST_PAGES)
    throw new ApiError(
      400,
      'too-large',
      `At true size this takes ${pages} pages; ${MOST_PAGES} at most are printed. Is the design off the piece? The ticket is as it was.`,
    );
  return drawingToPdf(drawing, paper, title);
}

const download = (c: Asked, body: Uint8Array | string, type: string, name: string) =>
  c.body(typeof body === 'string' ? body : new Uint8Array(body), 200, {
    'content-type': type,
    'content-disposition': `attachment; filename="${name}"`,
    'cache-control': 'no-store',
  });

const svgOf = (name: PaperName, printed: Printed): string =>
  drawingToSvg(drawingOf(name, printed), paperTitle(printed));

/** Files to print and to cut by: the paper template, the placement ruler, the sheet. */
export function paperRoutes({ store }: Context) {
  const printedOf = (c: { req: { valid: (of: 'param') => { id: string } } }): Promise<Printed> =>
    planKept(store.db, { ticketId: c.req.valid('param').id });
  return new OpenAPIHono({ defaultHook })
    .openapi(templatePdf, async (c) => {
      const printed = await printedOf(c);
      const { paper } = c.req.valid('query');
      const pdf = await pdfOf(drawingOf('template', printed), paper, paperTitle(printed));
      return download(c, pdf, 'application/pdf', 'template.pdf');
    })
    .openapi(rulerPdf, async (c) => {
      const printed = await printedOf(c);
      const { paper } = c.req.valid('query');
      const pdf = await pdfOf(drawingOf('ruler', printed), paper, paperTitle(printed));
      return download(c, pdf, 'application/pdf', 'placement-ruler.pdf');
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
