import { type DisplayUnits, formatLength } from '../base/units/length';
import { say } from '../base/units/phrase';
import type { CutSource, SheetToCut } from '../business/cutPlan/cutPlan';
import { alike, numbersInWords, sayCuts, saySource } from '../business/cutPlan/sayCuts';
import { GRAPHITE, line, type PaperDrawing, type PaperMark, text } from './drawing';
import { type MeasureWords, type PaperBlock, setInColumns } from './flow';
import { CARD_PAPERS, type CardPaperId } from './tiles';

const MARGIN = 14;
/** So much of a page is the drawing. */
const DRAWN_SHARE = 0.46;

interface Setting {
  paper: CardPaperId;
  units: DisplayUnits;
  measure: MeasureWords;
}

/** The sheet or length of roll to scale, each piece with its number and its two sides. */
function drawn(source: CutSource, numberOf: ReadonlyMap<string, number>, { units, paper }: Setting) {
  const { widthMm, heightMm } = CARD_PAPERS[paper];
  const room = { width: widthMm - 2 * MARGIN, height: heightMm * DRAWN_SHARE };
  const scale = Math.min(room.width / source.lengthMm, room.height / source.acrossMm);
  const top = MARGIN + 20;
  const at = (x: number, y: number) => ({ x: MARGIN + x * scale, y: top + y * scale });
  const box = (left: number, boxTop: number, right: number, bottom: number, rest = {}): PaperMark =>
    line([at(left, boxTop), at(right, boxTop), at(right, bottom), at(left, bottom)], {
      closed: true,
      ...rest,
    });
  const marks: PaperMark[] = [
    box(0, 0, source.lengthMm, source.acrossMm, { widthMm: 0.5 }),
    ...source.placed.flatMap(({ id, at: lies }): PaperMark[] => {
      const middle = at((lies.left + lies.right) / 2, (lies.top + lies.bottom) / 2);
      const sides = [lies.right - lies.left, lies.bottom - lies.top].map((mm) => formatLength(mm, units));
      const room_ = (lies.right - lies.left) * scale;
      return [
        box(lies.left, lies.top, lies.right, lies.bottom, { fill: '#F7F2E8' }),
        text(middle, String(numberOf.get(id) ?? ''), {
          sizeMm: Math.min(6, room_ / 2),
          bold: true,
          anchor: 'middle',
        }),
        ...(room_ > 22
          ? [
              text({ x: middle.x, y: middle.y + 4.4 }, sides.join(' × '), {
                sizeMm: 2.6,
                anchor: 'middle',
                colour: GRAPHITE,
              }),
            ]
          : []),
      ];
    }),
  ];
  return { marks, bottom: top + source.acrossMm * scale };
}

function blocksOf(source: CutSource, pieces: readonly SheetToCut[], units: DisplayUnits): PaperBlock[] {
  const own = pieces.filter(({ id }) => source.placed.some((one) => one.id === id));
  return [
    {
      heading: 'Cut in this order',
      rows: sayCuts(source).map((words, i) => ({ words: `${i + 1}. ${say(words, units)}` })),
    },
    {
      heading: 'The pieces',
      rows: alike(own).map(({ nos, piece }) => ({
        words: `No. ${numbersInWords(nos)}: ${formatLength(piece.widthMm, units)} × ${formatLength(piece.heightMm, units)}, ${piece.title}`,
      })),
    },
    ...(source.offcuts.length > 0
      ? [
          {
            heading: 'Keep what is left',
            rows: source.offcuts.map(({ widthMm, heightMm }) => ({
              words: `${formatLength(widthMm, units)} × ${formatLength(heightMm, units)}`,
            })),
          },
        ]
      : []),
  ];
}

/** A cut plan on paper: a page or more for each sheet and roll, drawn with its numbers, its cuts in their order, and whom each piece is for. */
export function cutPages(
  { sources, pieces }: { sources: readonly CutSource[]; pieces: readonly SheetToCut[] },
  setting: Setting,
): PaperDrawing[] {
  const { paper, units, measure } = setting;
  const { widthMm, heightMm } = CARD_PAPERS[paper];
  const numberOf = new Map(pieces.map(({ id, no }) => [id, no]));
  const page = { left: 0, top: 0, right: widthMm, bottom: heightMm };
  return sources.flatMap((source) => {
    const { marks, bottom } = drawn(source, numberOf, setting);
    const columns = widthMm > 180 ? 2 : 1;
    const column = (widthMm - 2 * MARGIN - (columns - 1) * 8) / columns;
    const set = setInColumns(
      blocksOf(source, pieces, units),
      (n) => ({
        at: Array.from({ length: columns }, (_, i) => ({
          left: MARGIN + i * (column + 8),
          top: n === 0 ? bottom + 10 : MARGIN,
        })),
        widthMm: column,
        footMm: heightMm - MARGIN,
      }),
      { sizeMm: 3.4, measure },
    );
    const head = [
      text({ x: MARGIN, y: MARGIN + 6 }, 'Cut plan', { sizeMm: 6.4, bold: true }),
      text({ x: MARGIN, y: MARGIN + 13 }, say(saySource(source), units), { sizeMm: 3.6, colour: GRAPHITE }),
    ];
    return set.map((own, n) => ({ box: page, marks: n === 0 ? [...head, ...marks, ...own] : own }));
  });
}
