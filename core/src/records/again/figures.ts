import { z } from 'zod';
import { nameOfColour } from '../../base/colour/colour';
import { PointSchema } from '../../base/geometry/schema';
import { count, deg, mm, type Phrase, phrase } from '../../base/units/phrase';
import { BOBBINS, NEEDLES, THREADS, TOPPERS } from '../../catalogue/materials';
import { FAULTS, SEVERITY_WORDS } from '../../model/faults';
import type { FrozenPlan } from '../../model/frozenPlan';
import type { LogEntry } from '../../model/logEntry';
import { piecesOf } from '../../model/pieces';
import type { Method } from '../../model/ticket/hoop';
import { offBy } from '../../model/ticket/log';
import { densityClassOf } from '../../stages/design/designFacts';
import { sheetsOfToday } from '../../stages/layers/keptSheets';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { keptFabric } from '../evidence/pieceRecord';
import { stackName } from '../evidence/stackName';
import { stackWords } from '../evidence/stackWords';
import { minutesOf } from '../logbook/ticked';

/** A figure of a piece: how it is said, and by what it is told from another. */
export interface Figure {
  id: string;
  name: string;
  said: Phrase;
  value: number | string;
  /** Two figures nearer together than this are the same. */
  within: number;
}

/** Two pieces made alike lie as near together as this: mm, degrees, a share of the stitches. */
export const ALIKE = { mm: 1, deg: 0.5, stitches: 0.02 } as const;

const KeptPlaceSchema = z.looseObject({
  centre: PointSchema,
  turnDeg: z.number(),
  depthName: z.string().catch(''),
});
const KeptLaidSchema = z.looseObject({
  laid: z.looseObject({
    verdict: z.looseObject({ hoop: z.looseObject({ id: z.string(), name: z.string() }) }),
  }),
});

/** Where a kept plan has the design, piece frame; null where it has no place, or none that can be read. */
export const keptPlace = ({ place }: FrozenPlan): z.infer<typeof KeptPlaceSchema> | null =>
  KeptPlaceSchema.safeParse(place).data ?? null;

/** The hoop of a kept plan. */
export const keptHoop = ({ hoop }: FrozenPlan): { id: string; name: string } | null =>
  KeptLaidSchema.safeParse(hoop).data?.laid.verdict.hoop ?? null;

const word = (id: string, name: string, value: string | null): Figure[] =>
  value === null || value === '' ? [] : [{ id, name, said: phrase`${value}`, value, within: 0 }];
const length = (id: string, name: string, value: number): Figure => ({
  id,
  name,
  said: phrase`${mm(value)}`,
  value,
  within: ALIKE.mm,
});
/** A length to one side of the piece's own lines, and which. */
const sided = (id: string, name: string, value: number, [less, more]: readonly [string, string]): Figure => ({
  ...length(id, name, value),
  said: phrase`${mm(Math.abs(value))}${value === 0 ? '' : value < 0 ? ` ${less}` : ` ${more}`}`,
});
const angle = (id: string, name: string, value: number): Figure => ({
  id,
  name,
  said: phrase`${deg(value)}`,
  value,
  within: ALIKE.deg,
});

/** What was planned and used of a piece, in the order of work; what an older planner did not keep is left out. */
export function figuresOf({ ticket, plan, log }: Pick<LogEntry, 'ticket' | 'plan' | 'log'>): Figure[] {
  const { used } = log;
  const { colour } = ticket.piece;
  const facts = plan.design?.facts ?? null;
  const place = keptPlace(plan);
  const hoop = keptHoop(plan);
  const keys = plan.mount?.keys ?? null;
  const parts = (plan.layers?.parts ?? {}) as Record<
    string,
    { choice: { id: string; name: string } } | undefined
  >;
  const planned: Method = plan.hoop?.method ?? 'hooped';
  const nameOf = (
    part: string,
    names: Record<string, { name: string }>,
    own: string | null,
  ): string | null => (own === null ? (parts[part]?.choice.name ?? null) : (names[own]?.name ?? own));
  const topper = used.topper ?? parts.topper?.choice.id ?? 'none';
  const sheets = used.sheets ?? (plan.layers ? sheetsOfToday(plan.layers.sheets, planned) : null);
  const usedHoop = used.hoopId !== null && used.hoopId !== hoop?.id ? used.hoopId : null;
  return [
    ...word('kind', 'Piece', PIECE_KINDS[ticket.piece.kind].name),
    ...word('cloth', 'Cloth', keptFabric({ ticket, plan }).name),
    { id: 'colour', name: 'Colour', said: phrase`${nameOfColour(colour)}`, value: colour, within: 0 },
    ...(facts
      ? [
          length('width', 'Design, width', facts.widthMm),
          length('height', 'Design, height', facts.heightMm),
          {
            id: 'stitches',
            name: 'Stitches',
            said: phrase`${count(facts.stitches)}`,
            value: facts.stitches,
            within: Math.max(1, facts.stitches * ALIKE.stitches),
          },
          ...word(
            'density',
            'Density',
            densityClassOf(facts.stitches / Math.max(0.01, (facts.widthMm * facts.heightMm) / 100)),
          ),
        ]
      : []),
    ...(place
      ? [
          sided('across', 'Middle, across', place.centre.x, ['left', 'right']),
          sided('along', 'Middle, up or down', place.centre.y, ['up', 'down']),
          angle('turn', 'Turned', place.turnDeg),
        ]
      : []),
    ...word('method', 'Method', used.method ?? plan.hoop?.method ?? null),
    ...word('hoop', 'Hoop', usedHoop ?? hoop?.name ?? null),
    ...word('stack', 'Support', sheets && stackName(stackWords(sheets, 'none').join(' + '))),
    ...word('topper', 'Topper', nameOf('topper', TOPPERS, topper)),
    ...word('needle', 'Needle', nameOf('needle', NEEDLES, used.needle)),
    ...word('thread', 'Thread', nameOf('thread', THREADS, null)),
    ...word('bobbin', 'Bobbin', nameOf('bobbin', BOBBINS, used.bobbin)),
    ...word(
      'threads',
      'Colours',
      (plan.stitch?.stops ?? []).map((stop) => stop.thread?.name ?? stop.name).join(', '),
    ),
    ...(keys
      ? [
          angle('keyed turn', 'Keyed, turn', used.keyed?.turnDeg ?? keys.turnDeg),
          sided('keyed x', 'Keyed, sideways', used.keyed?.x ?? keys.move.x, ['left', 'right']),
          sided('keyed y', 'Keyed, to or from you', used.keyed?.y ?? keys.move.y, ['away', 'towards you']),
        ]
      : []),
  ];
}

/** How it came out: faults, how far off its place, minutes, who made it. */
export function resultFigures({ ticket, plan, log }: Pick<LogEntry, 'ticket' | 'plan' | 'log'>): Figure[] {
  const { mm: off, turnDeg } = offBy(log, plan.design?.facts?.widthMm ?? 0);
  const faults = FAULTS.flatMap(({ id, name }) => {
    const level = log.faults[id] ?? 0;
    return level > 0 ? [`${name.toLowerCase()} ${SEVERITY_WORDS[level]}`] : [];
  });
  return [
    ...word('outcome', 'Came out', faults.join(', ') || 'clean'),
    ...(off === null ? [] : [length('off', 'Off its place', off)]),
    ...(turnDeg === null ? [] : [angle('crooked', 'Lies turned', turnDeg)]),
    ...Object.entries(minutesOf(log)).map(
      ([stage, value]): Figure => ({
        id: `minutes ${stage}`,
        name: `Minutes, ${stage}`,
        said: phrase`${count(value)}`,
        value,
        within: 0.5,
      }),
    ),
    ...word('pieces', 'Pieces', String(piecesOf(ticket))),
    ...word('who', 'Done by', log.by),
    ...word('note', 'Note', log.note),
    ...word('next', 'Next time', log.nextTime),
  ];
}

export const isSame = (a: Figure | undefined, b: Figure | undefined): boolean => {
  if (!a || !b) return a === b;
  if (typeof a.value === 'number' && typeof b.value === 'number')
    return Math.abs(a.value - b.value) <= Math.max(a.within, b.within) + 1e-9;
  return a.value === b.value;
};

/** One line of a comparison: the same figure of each, undefined where one has none. */
export interface ComparedLine {
  id: string;
  name: string;
  figures: (Figure | undefined)[];
  differs: boolean;
}

/** Pieces side by side: what differs first, each part in the order of work. */
export function compared(pieces: readonly Pick<LogEntry, 'ticket' | 'plan' | 'log'>[]): ComparedLine[] {
  const lists = pieces.map((piece) => [...resultFigures(piece), ...figuresOf(piece)]);
  const names = new Map(lists.flat().map(({ id, name }) => [id, name]));
  const lines = [...names].map(([id, name]): ComparedLine => {
    const figures = lists.map((list) => list.find((figure) => figure.id === id));
    return { id, name, figures, differs: figures.some((figure) => !isSame(figure, figures[0])) };
  });
  return [...lines.filter(({ differs }) => differs), ...lines.filter(({ differs }) => !differs)];
}
