import type { KeptDrawing } from '@zt/core/model/drawing';
import { drawingIdOf } from '@zt/core/model/drawingId';
import type { HouseRules } from '@zt/core/model/houseRules';
import type { DesignInput } from '@zt/core/model/ticket/design';
import { EMPTY_PART } from '@zt/core/model/ticket/part';
import type { StitchFigures } from '@zt/core/stages/design/stitchFigures';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { readSvg } from '@zt/core/stages/design/svg/readSvg';
import type { DrawingTools } from '@zt/core/stages/design/svg/tools';
import { toolsHere } from '../compiled';

/** The demo's own drawings, as SVG at true size in mm. */
const svg = (width: number, height: number, body: string, origin = '0 0') =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="${origin} ${width} ${height}">${body}</svg>`;

const OAR_TURNS = [52, -52];
const onBothOars = (shape: string) =>
  OAR_TURNS.map((deg) => `<g transform="rotate(${deg} 44 25.5)">${shape}</g>`).join('');
const OARS = [
  onBothOars('<rect x="42.6" y="-18" width="2.8" height="66" rx="1.4" fill="#8A5A2B"/>'),
  onBothOars('<path d="M44 46 C37 48 36 60 38.5 68 Q44 71 49.5 68 C52 60 51 48 44 46Z" fill="#1F3A5F"/>'),
  onBothOars('<path d="M38 62 Q44 65 50 62 L49.5 68 Q44 71 38.5 68Z" fill="#E9B93A"/>'),
  '<path d="M14 51 q7.5 -7 15 0 t15 0 t15 0 t15 0" fill="none" stroke="#2D6A99" stroke-width="2.4"/>',
].join('');

const DRAWINGS = {
  oars: {
    name: 'Crossed oars',
    hasUp: true,
    lettering: false,
    svg: svg(94, 64, OARS, '-3 -3'),
  },
  monogram: {
    name: 'LH monogram',
    hasUp: true,
    lettering: true,
    svg: svg(
      95,
      95,
      `<circle cx="47.5" cy="47.5" r="45.5" fill="none" stroke="#5B86A8" stroke-width="4"/><path d="M24 24 H33 V64 H49 V72 H24Z" fill="#5B86A8"/><path d="M52 24 H61 V43 H70 V24 H79 V72 H70 V51 H61 V72 H52Z" fill="#5B86A8"/><path d="M30 82 Q47.5 90 65 82" fill="none" stroke="#5B86A8" stroke-width="2"/>`,
    ),
  },
  paw: {
    name: 'Paw and heart',
    hasUp: true,
    lettering: false,
    svg: svg(
      70,
      64,
      `<path d="M35 62 C14 50 12 38 22 32 C29 28 34 33 35 36 C36 33 41 28 48 32 C58 38 56 50 35 62Z" fill="#A93F36"/><ellipse cx="14" cy="24" rx="6.5" ry="9" transform="rotate(-24 14 24)" fill="#59626E"/><ellipse cx="28" cy="12" rx="6.5" ry="9.5" transform="rotate(-8 28 12)" fill="#59626E"/><ellipse cx="43" cy="12" rx="6.5" ry="9.5" transform="rotate(8 43 12)" fill="#59626E"/><ellipse cx="57" cy="24" rx="6.5" ry="9" transform="rotate(24 57 24)" fill="#59626E"/>`,
    ),
  },
  book: {
    name: 'Open book',
    hasUp: true,
    lettering: false,
    svg: svg(
      90,
      62,
      `<path d="M45 16 C34 6 18 6 6 10 V52 C18 48 34 48 45 58Z" fill="#4C7550"/><path d="M45 16 C56 6 72 6 84 10 V52 C72 48 56 48 45 58Z" fill="#5F8A63"/><path d="M14 20 Q26 17 38 24 M14 29 Q26 26 38 33 M14 38 Q26 35 38 42" fill="none" stroke="#F2E9D8" stroke-width="1.6"/><path d="M76 20 Q64 17 52 24 M76 29 Q64 26 52 33 M76 38 Q64 35 52 42" fill="none" stroke="#F2E9D8" stroke-width="1.6"/>`,
    ),
  },
  carrot: {
    name: 'Carrot',
    hasUp: true,
    lettering: false,
    svg: svg(
      56,
      96,
      `<path d="M28 94 C16 74 10 54 14 42 Q28 34 42 42 C46 54 40 74 28 94Z" fill="#D9772B"/><path d="M16 54 q8 3 14 0 M20 68 q6 2 12 0" fill="none" stroke="#A94F16" stroke-width="1.4"/><path d="M28 40 C22 28 8 24 8 10 C18 12 24 22 27 32 C24 20 24 8 28 2 C33 8 32 20 29 32 C32 22 38 12 48 10 C48 24 34 28 28 40Z" fill="#4C7550"/>`,
    ),
  },
  gull: {
    name: 'Gull over waves',
    hasUp: true,
    lettering: false,
    svg: svg(
      120,
      58,
      `<path d="M8 22 C28 2 48 6 60 24 C72 6 92 2 112 22 C94 14 78 18 66 34 L60 40 L54 34 C42 18 26 14 8 22Z" fill="#59626E"/><path d="M20 50 q10 -8 20 0 t20 0 t20 0 t20 0" fill="none" stroke="#2D6A99" stroke-width="3"/>`,
    ),
  },
  hare: {
    name: 'Sitting hare',
    hasUp: true,
    lettering: false,
    looks: 'right',
    svg: svg(
      84,
      80,
      `<path d="M22 78 C4 72 6 46 26 42 C30 32 40 28 50 31 C44 20 42 8 46 3 C53 5 58 16 59 28 C60 16 65 7 72 6 C75 13 73 24 67 31 C79 34 82 46 74 52 C68 56 62 55 57 53 C60 63 57 73 51 78Z" fill="#8A5A2B"/><circle cx="69" cy="41" r="2.4" fill="#1F2B3A"/><circle cx="12" cy="67" r="7.5" fill="#F2E9D8"/>`,
    ),
  },
  threeGulls: {
    name: 'Three gulls',
    hasUp: true,
    lettering: false,
    svg: svg(
      126,
      30,
      [0, 48, 96]
        .map(
          (x, i) =>
            `<path d="M${x} ${12 + (i % 2) * 6} q7 -12 15 -2 q8 -10 15 2 q-9 -4 -13 5 l-2 4 l-2 -4 q-4 -9 -13 -5Z" fill="${['#59626E', '#2D6A99', '#59626E'][i]}"/>`,
        )
        .join(''),
    ),
  },
  lighthouse: {
    name: 'Lighthouse',
    hasUp: true,
    lettering: false,
    svg: svg(
      150,
      200,
      `<path d="M52 190 L62 60 H88 L98 190Z" fill="#C4554A"/><path d="M58.2 110 L60.4 82 H89.6 L91.8 110Z M54.3 160 L56.5 132 H93.5 L95.7 160Z" fill="#F5EFE2"/><rect x="58" y="40" width="34" height="20" fill="#E0B33A"/><path d="M54 40 L75 16 L96 40Z" fill="#1F3A5F"/><path d="M10 190 q16 -12 32 0 t32 0 t32 0 t32 0" fill="none" stroke="#2D6A99" stroke-width="4"/>`,
    ),
  },
} as const;

export type DrawingId = keyof typeof DRAWINGS;

let tools: DrawingTools | null = null;
/** Loads what the drawings are read with: before the first is read. */
export const openDrawings = async (): Promise<void> => {
  tools = await toolsHere();
};

/** The drawings as their files would have them. */
export const demoDrawings = (): KeptDrawing[] =>
  Object.values(DRAWINGS).map(({ svg: text }) => ({ id: drawingIdOf(text), text }));

/** What was read before: several tickets have the same drawing on the same cloth. */
const wasRead = new Map<string, ReturnType<typeof readSvg>>();

function readOnce(id: DrawingId, cloth: string, figures: StitchFigures): ReturnType<typeof readSvg> {
  if (!tools) throw new Error('assertion failed: nothing is there to read drawings with');
  const key = JSON.stringify([id, cloth, figures]);
  const read =
    wasRead.get(key) ?? readSvg(DRAWINGS[id].svg, `${id}.svg`, { figures, tools, cloth, widthMm: null });
  wasRead.set(key, read);
  return read;
}

/** A drawing read into design inputs for a cloth, as if the file had been chosen on the ticket. */
export function drawnDesign(
  id: DrawingId,
  { rules, cloth }: { rules: HouseRules; cloth: string },
): Partial<DesignInput> {
  const { name, hasUp, lettering, svg: _, ...looks } = DRAWINGS[id];
  const read = readOnce(id, cloth, stitchFigures(rules));
  if (!read.ok) throw new Error(`assertion failed: the demo drawing ${id} is ${read.code}`);
  const { widthMm, heightMm, stitches, colours, artwork } = read;
  const letterHeightMm = lettering ? 48 : null;
  const part = { ...EMPTY_PART, lettering, letterHeightMm, widthMm, heightMm, stitches, colours, artwork };
  return { name, hasUp, ...looks, parts: [part] };
}
