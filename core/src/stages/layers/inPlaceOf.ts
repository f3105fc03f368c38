import { type Phrase, phrase } from '../../base/units/phrase';
import { CHOICES, NEEDLES, type NeedleKind, THREADS, type ThreadKind } from '../../catalogue/materials';
import { type Finding, finding } from '../../model/finding';
import type { ChoicePart, NeedleId, ThreadId } from '../../model/ticket/layers';
import type { PartDecision } from './decideLayers';

/** One thing that goes wrong when something stands in another's place: points to order by, and the words. */
export interface Cost {
  points: number;
  text: string;
}

/** From this sum of points nothing is offered in another's place, and a choice of it is a warning. */
const GRAVE = 4;

const SIZES: readonly NeedleKind['size'][] = [65, 75, 90];
const steps = (from: NeedleKind['size'], to: NeedleKind['size']): number =>
  SIZES.indexOf(to) - SIZES.indexOf(from);

/** How a needle in place of the right one goes wrong: by its point, its size and its eye. */
const NEEDLE_COSTS: readonly {
  points: (wanted: NeedleKind, chosen: NeedleKind) => number;
  text: string;
}[] = [
  {
    points: (w, c) => (w.point === 'ball' && c.point === 'embroidery' ? 2 : 0),
    text: 'it may catch a loop of the knit: try it on a scrap',
  },
  {
    points: (w, c) =>
      c.point !== 'sharp' ? 0 : w.point === 'ball' ? GRAVE : w.point === 'embroidery' ? 1 : 0,
    text: 'its sharp point may cut a loop',
  },
  {
    points: (w, c) =>
      (c.point === 'ball' && w.point !== 'ball') || (w.point === 'sharp' && c.point === 'embroidery') ? 1 : 0,
    text: 'fine lines are a little less crisp',
  },
  { points: (w, c) => (c.point === 'wing' && w.point !== 'wing' ? GRAVE : 0), text: 'it leaves open holes' },
  {
    points: (w, c) => (w.point === 'wing' && c.point !== 'wing' ? GRAVE : 0),
    text: 'the open holes of heirloom work are missing',
  },
  {
    points: (w, c) => 2 * Math.max(0, steps(w.size, c.size)),
    text: 'its holes are larger: small letters close up',
  },
  {
    points: (w, c) => 2 * Math.max(0, -steps(w.size, c.size)),
    text: 'it bends or breaks sooner: run it slower',
  },
  { points: (w, c) => (w.largeEye && !c.largeEye ? 3 : 0), text: 'the thread frays: run it slower' },
  { points: (w, c) => (c.largeEye && !w.largeEye ? 1 : 0), text: 'a large eye leaves larger holes' },
];

type Fibre = ThreadKind['fibre'];
const SHREDS: Cost = { points: GRAVE, text: 'it shreds: large-eye needle, and run it slower' };

/** What a thread of another fibre does, by the fibre wanted and the one chosen. */
const FIBRE_COSTS: Record<Fibre, Partial<Record<Fibre, Cost>>> = {
  polyester: {
    rayon: { points: 2, text: 'it fades and wears sooner in the wash' },
    cotton: { points: 2, text: 'it is duller, and lints' },
    metallic: SHREDS,
  },
  rayon: {
    polyester: { points: 1, text: 'a little less sheen' },
    cotton: { points: 3, text: 'no sheen' },
    metallic: SHREDS,
  },
  cotton: {
    polyester: { points: 2, text: 'it shines where an aged look was wanted' },
    rayon: { points: 3, text: 'it shines where an aged look was wanted' },
    metallic: SHREDS,
  },
  metallic: {
    polyester: { points: 2, text: 'no glitter' },
    rayon: { points: 2, text: 'no glitter' },
    cotton: { points: 3, text: 'no glitter' },
  },
};

const needleCosts = (wanted: NeedleKind, chosen: NeedleKind): Cost[] =>
  NEEDLE_COSTS.map(({ points, text }) => ({ points: points(wanted, chosen), text })).filter(
    (c) => c.points > 0,
  );

const threadCosts = (wanted: ThreadKind, chosen: ThreadKind): Cost[] => [
  ...(wanted.weight === 60 && chosen.weight === 40
    ? [{ points: 3, text: 'small letters close up: make them 6 mm or taller' }]
    : []),
  ...(wanted.weight === 40 && chosen.weight === 60
    ? [{ points: 2, text: 'it covers less: a fill looks thin' }]
    : []),
  ...[FIBRE_COSTS[wanted.fibre][chosen.fibre]].flatMap((cost) => cost ?? []),
];

/** The parts whose choices are compared with one another, not put into the risk model. */
export type ComparedPart = Extract<ChoicePart, 'needle' | 'thread' | 'bobbin'>;

/** What goes wrong with one choice in place of another of the same part; nothing for the right one itself. */
export function costsInPlaceOf(part: ComparedPart, wanted: string, chosen: string): Cost[] {
  if (wanted === chosen) return [];
  if (part === 'needle') return needleCosts(NEEDLES[wanted as NeedleId], NEEDLES[chosen as NeedleId]);
  if (part === 'thread') return threadCosts(THREADS[wanted as ThreadId], THREADS[chosen as ThreadId]);
  return [{ points: 1, text: 'it is of another thickness: check the top tension' }];
}

const sumOf = (costs: readonly Cost[]): number => costs.reduce((sum, { points }) => sum + points, 0);
const wordsOf = (costs: readonly Cost[]): Phrase => phrase`${costs.map(({ text }) => text).join('; ')}`;

/** The choice that costs least in place of another, of those that are there; null when every one costs too much. */
export function nearestChoice(
  part: ComparedPart,
  wanted: string,
  isThere: (id: string) => boolean,
): { id: string; cost: Phrase } | null {
  const [best] = Object.keys(CHOICES[part])
    .filter((id) => id !== wanted && isThere(id))
    .map((id) => ({ id, costs: costsInPlaceOf(part, wanted, id) }))
    .filter(({ costs }) => sumOf(costs) < GRAVE)
    .sort((a, b) => sumOf(a.costs) - sumOf(b.costs));
  return best ? { id: best.id, cost: wordsOf(best.costs) } : null;
}

/** What is at risk with a needle, thread or bobbin that the maker put in place of the rules'. */
export function inPlaceOfFindings(decided: Record<ComparedPart, PartDecision>): Finding[] {
  return (['needle', 'thread', 'bobbin'] as const).flatMap((part) => {
    const { choice, ruled } = decided[part];
    const costs = costsInPlaceOf(part, ruled, choice.id);
    if (costs.length === 0) return [];
    const severity = sumOf(costs) >= GRAVE ? 'warn' : 'note';
    const text = phrase`${choice.name} in place of ${CHOICES[part][ruled]?.name ?? ruled}: ${wordsOf(costs)}.`;
    return [finding('layers', 'layers-in-place-of', severity, text)];
  });
}
