import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import {
  type DesignFacts,
  type HouseRules,
  heightOf,
  IdSchema,
  type PlacePlan,
  type Plan,
  type Shelf,
  type Ticket,
  widthOf,
} from '@zt/core';
import {
  drawingToSvg,
  MOST_PAGES,
  PAPER_IDS,
  type PaperDrawing,
  type PaperId,
  pageCount,
  placementRuler,
  rulerSlots,
  sheetDrawing,
  templateDrawing,
  traceDrawing,
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

interface Printed {
  ticket: Ticket;
  plan: Plan;
  shelf: Shelf;
  rules: HouseRules;
}

/** What is printed needs a place: nothing is drawn from numbers that are missing or cannot be right. */
function placedOrSay({ plan }: Printed): { facts: DesignFacts; place: PlacePlan } {
  const { facts } = plan.design;
  if (facts && plan.place) return { facts, place: plan.place };
  throw new ApiError(
    400,
    'not-placed',
    'There is nothing to print yet: piece, design and place must be right first. The ticket is as it was.',
  );
}

function template(printed: Printed): PaperDrawing {
  const { facts, place } = placedOrSay(printed);
  const name = [printed.ticket.name, printed.ticket.design.name].filter(Boolean).join(', ') || 'Design';
  return templateDrawing(facts, place, {
    name,
    where: place.placement.name.toLowerCase(),
    units: printed.rules.units,
  });
}

function ruler(printed: Printed): PaperDrawing {
  const { place } = placedOrSay(printed);
  return placementRuler(rulerSlots(printed.ticket, printed.shelf, printed.rules), {
    title: `${place.placement.name}, ${printed.plan.piece.kind.name}`,
    landmark: place.depthName,
    units: printed.rules.units,
  });
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

/** Files to print and to cut by: the paper template, the placement ruler, the sheet. */
export function paperRoutes({ store }: Context) {
  const printedOf = (id: string): Promise<Printed> => planKept(store.db, { ticketId: id });
  const titleOf = ({ ticket }: Printed) => ticket.name || 'Ticket';
  return new OpenAPIHono({ defaultHook })
    .openapi(templatePdf, async (c) => {
      const printed = await printedOf(c.req.valid('param').id);
      const pdf = await pdfOf(template(printed), c.req.valid('query').paper, titleOf(printed));
      return download(c, pdf, 'application/pdf', 'template.pdf');
    })
    .openapi(rulerPdf, async (c) => {
      const printed = await printedOf(c.req.valid('param').id);
      const pdf = await pdfOf(ruler(printed), c.req.valid('query').paper, titleOf(printed));
      return download(c, pdf, 'application/pdf', 'placement-ruler.pdf');
    })
    .openapi(templateSvg, async (c) => {
      const printed = await printedOf(c.req.valid('param').id);
      return download(c, drawingToSvg(template(printed), titleOf(printed)), 'image/svg+xml', 'template.svg');
    })
    .openapi(sheetSvg, async (c) => {
      const printed = await printedOf(c.req.valid('param').id);
      const svg = drawingToSvg(sheetDrawing(printed.plan, printed.rules.units), titleOf(printed));
      return download(c, svg, 'image/svg+xml', 'sheet.svg');
    })
    .openapi(traceSvg, async (c) => {
      const printed = await printedOf(c.req.valid('param').id);
      const { mount, hoop } = printed.plan;
      placedOrSay(printed);
      if (!mount || !hoop?.laid)
        throw new ApiError(
          400,
          'not-hooped',
          'There is no path yet: no hoop on the shelf takes this design.',
        );
      const drawing = traceDrawing(mount.trace, hoop.laid.verdict.hoop, printed.ticket.mount.obstacles);
      return download(c, drawingToSvg(drawing, titleOf(printed)), 'image/svg+xml', 'trace.svg');
    })
    .openapi(sheetPng, async (c) => {
      const printed = await printedOf(c.req.valid('param').id);
      const drawing = sheetDrawing(printed.plan, printed.rules.units);
      const png = await svgToPng(
        drawingToSvg(drawing, titleOf(printed)),
        heightOf(drawing.box) / widthOf(drawing.box),
      );
      return download(c, png, 'image/png', 'sheet.png');
    });
}
