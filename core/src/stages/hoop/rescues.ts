import { boxOf, centreOf, grown, heightOf, holds, nearestIn, widthOf } from '../../base/geometry/box';
import {
  distance,
  fullTurnDeg,
  minus,
  ORIGIN,
  opposite,
  type Point,
  plus,
  turn,
} from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { count, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import type { Mend } from '../../model/finding';
import type { Artwork } from '../../model/ticket/design';
import { type HoopInput, type Method, otherHoop, type QuarterTurn } from '../../model/ticket/hoop';
import { elementsOf, gathered } from '../design/elements';
import type { DesignFacts } from '../design/planDesign';
import { type HoopQuestion, type HoopVerdict, judgeHoop, whyNotClosed, whyNotIn } from './judgeHoop';
import { type LaidHoop, layPart, splitsOf } from './layHoop';
import { nearestReach } from './nearestReach';
import { inHoopFrame } from './ring';
import type { Split, SplitPart } from './split';

/** What keeps a hoop from stitching a design: past its field, not let into the piece, its ring not closing. */
export type HoopFault = 'misses' | 'opening' | 'closing';

/** A way out, with the faults that are gone once it is taken. */
type Rescue = Mend & { removes: readonly HoopFault[] };

const WHERE_IT_LIES: readonly HoopFault[] = ['misses', 'closing'];
const ALL_FAULTS: readonly HoopFault[] = ['misses', 'opening', 'closing'];

/** What the ways out of a hoop's trouble depend on. */
export interface RescueQuestion {
  /** The hoop where it lies; null where none was chosen. */
  laid: LaidHoop | null;
  /** The hoop that comes nearest, where none was chosen. */
  nearest?: HoopVerdict;
  verdicts: readonly HoopVerdict[];
  method: Method;
  input: HoopInput;
  q: HoopQuestion;
  scalePercent: number;
  /** The drawing as it came, where there is one that can be rearranged. */
  artwork: Artwork | null;
  /** How far the design is off its rule already, piece frame. */
  offset: Point;
  /** Where the design's centre comes to lie on the piece when it is another size or another outline. */
  centreFor: (facts: DesignFacts) => Point;
}

/** A rescue question with the hoop it is about. */
interface Asked extends RescueQuestion {
  verdict: HoopVerdict;
}

type HoopSet = Partial<HoopInput>;
const set = (change: HoopSet): Mend['change'] => ({ stage: 'hoop', set: change });
const forHoop = ({ verdict, input }: Asked, rest: HoopSet = {}): HoopSet => ({
  ...(input.hoopId === verdict.hoop.id ? {} : { hoopId: verdict.hoop.id }),
  ...rest,
});

/** The turns in which a hoop can be used by the method, the design as judged. */
const turnsOf = (verdict: HoopVerdict, method: Method) => {
  if (verdict.whyNotUsed !== null || (method === 'hooped' && verdict.whyNotHooped.length > 0)) return [];
  return verdict.turns.filter((t) => t.miss === null && (method === 'floated' || t.designAt !== null));
};
const works = (verdict: HoopVerdict, method: Method): boolean => turnsOf(verdict, method).length > 0;

const scaledBy = (facts: DesignFacts, by: number): DesignFacts => ({
  ...facts,
  widthMm: facts.widthMm * by,
  heightMm: facts.heightMm * by,
  hull: facts.hull.map((p) => ({ x: p.x * by, y: p.y * by })),
});

/** A hoop judged for the design changed, where its rule then puts it. */
const judgeChanged = ({ verdict, q, centreFor }: Asked, facts: DesignFacts): HoopVerdict =>
  judgeHoop(verdict.hoop, { ...q, facts, designCentre: centreFor(facts) });

/** Whether this hoop's ring could close on the cloth at all, wherever it lay. */
const canClose = ({ verdict, q }: Asked): boolean => whyNotClosed(verdict.hoop, q).length === 0;

/** Where the opening is too tight: open the seam nearest at hand. */
function openSeam({ verdict, q }: Asked): Rescue[] {
  if (!verdict.whyNotUsed || whyNotIn(verdict.hoop, { ...q, opened: ['a seam'] })) return [];
  const seams = q.outline.seams.filter((s) => s.style === 'seam');
  const [seam] = [...seams.filter((s) => s.id.startsWith('sideSeam')), ...seams];
  if (!seam) return [];
  return [
    {
      label: phrase`Open the ${seam.name}`,
      result: phrase`lets ${verdict.hoop.name} in`,
      cost: phrase`closed again by hand; Finish lists it`,
      change: { stage: 'piece', set: { opened: [seam.name] } },
      removes: ['opening'],
    },
  ];
}

/** 1. Turn the hoop on the piece. */
function turnHoop({ verdict, method, input }: Asked): Rescue[] {
  if (input.turnDeg === null) return [];
  const [other] = turnsOf(verdict, method).sort((a, b) => b.spareMm - a.spareMm);
  if (!other || other.turnDeg === input.turnDeg) return [];
  const by = fullTurnDeg(other.turnDeg - input.turnDeg);
  return [
    {
      label: phrase`Turn the hoop ${String(by)}°`,
      result: phrase`fits with ${mm(other.spareMm)} to spare each side`,
      cost: phrase`none: the design stays where it is`,
      change: set({ turnDeg: other.turnDeg, shift: null }),
      removes: WHERE_IT_LIES,
    },
  ];
}

/** The design with another outline at its scale, about its own middle. */
function factsWithHull(facts: DesignFacts, hull: Polygon, scale: number): DesignFacts {
  const box = boxOf(hull);
  const middle = centreOf(box);
  return {
    ...facts,
    widthMm: widthOf(box) * scale,
    heightMm: heightOf(box) * scale,
    hull: hull.map((p) => ({ x: (p.x - middle.x) * scale, y: (p.y - middle.y) * scale })),
  };
}

/** 2. Draw the elements of the design closer together. */
function moveCloser(asked: Asked): Rescue[] {
  const { artwork, q, scalePercent, verdict } = asked;
  if (!artwork || works(verdict, asked.method)) return [];
  const scale = scalePercent / 100;
  const fits = (hull: Polygon) =>
    works(judgeChanged(asked, factsWithHull(q.facts, hull, scale)), asked.method);
  const gapMm = numberFor(q.rules, HOOP_NUMBERS.elementGapMm);
  const found = gathered(elementsOf(artwork), fits, gapMm / scale);
  if (!found) return [];
  const farthest = Math.max(...found.moves.map((m) => Math.hypot(m.x, m.y))) * scale;
  return [
    {
      label: phrase`Move its elements closer together`,
      result: phrase`fits ${verdict.hoop.name}; ${mm(found.gapMm * scale)} are left between them`,
      cost: phrase`the composition changes: up to ${mm(farthest)} for an element; save the file so`,
      change: { stage: 'design', set: { elementMoves: found.moves } },
      also: set(forHoop(asked, { turnDeg: null, shift: null })),
      removes: WHERE_IT_LIES,
    },
  ];
}

/** A design moved by less lies where it lay: half of a sixteenth of an inch. */
const LEAST_SHIFT_MM = 0.8;

/** Ways in words, piece frame. */
function wayInWords(by: Point): Phrase {
  const parts = [
    ...(Math.abs(by.y) < LEAST_SHIFT_MM ? [] : [phrase`${mm(Math.abs(by.y))} ${by.y > 0 ? 'down' : 'up'}`]),
    ...(Math.abs(by.x) < LEAST_SHIFT_MM
      ? []
      : [phrase`${mm(Math.abs(by.x))} ${by.x > 0 ? 'to the right' : 'to the left'}`]),
  ];
  return parts.length === 2 ? phrase`${parts[0] ?? []} and ${parts[1] ?? []}` : (parts[0] ?? phrase`a hair`);
}

function moved(asked: Asked, by: Point, change: HoopSet, removes: readonly HoopFault[]): Rescue[] {
  const off = distance(plus(asked.offset, by), ORIGIN);
  return [
    {
      label: phrase`Shift the design ${wayInWords(by)}`,
      result: phrase`inside the field of ${asked.verdict.hoop.name}`,
      cost: phrase`it sits ${mm(off)} off the rule`,
      change: { stage: 'place', set: { offset: plus(asked.offset, by) } },
      also: set(forHoop(asked, change)),
      removes,
    },
  ];
}

/** 3. Shift the design inside the field, off its rule: the hoop stays where it is on the cloth, or goes where it lies. */
function shiftInField(asked: Asked): Rescue[] {
  const { laid, q, method, verdict } = asked;
  if (laid && asked.input.shift && laid.allowed.length > 0) {
    const inside = nearestIn(boxOf(laid.allowed.map((p) => inHoopFrame(p, laid))), laid.designAt);
    const by = turn(minus(inside, laid.designAt), laid.onPieceDeg);
    return distance(by, ORIGIN) < 0.05 ? [] : moved(asked, by, { shift: opposite(inside) }, ['misses']);
  }
  const movable = verdict.fits && verdict.whyNotUsed === null && canClose(asked);
  if (method === 'floated' || !movable || works(verdict, method)) return [];
  const reach = nearestReach(verdict, q);
  if (!reach) return [];
  const { by, turnDeg, designAt } = reach;
  const place = { turnDeg, shift: opposite(designAt) };
  if (distance(by, ORIGIN) > LEAST_SHIFT_MM) return moved(asked, by, place, WHERE_IT_LIES);
  return [
    {
      label: phrase`Lay the hoop ${wayInWords(turn(place.shift, q.designTurnDeg + turnDeg))}, off the mark`,
      result: phrase`its ring lies clear there`,
      cost: phrase`none: the design stays on its rule, off the middle of the field`,
      change: set(forHoop(asked, place)),
      removes: WHERE_IT_LIES,
    },
  ];
}

/** 4. Shrink the design, as far as its stitches stand it. */
function shrink(asked: Asked): Rescue[] {
  const { verdict, q, scalePercent, method } = asked;
  if (works(verdict, method) || (method === 'hooped' && !canClose(asked))) return [];
  const least = numberFor(q.rules, DESIGN_NUMBERS.resizeLeastPercent);
  const freely = numberFor(q.rules, DESIGN_NUMBERS.resizeFreelyPercent);
  const from = Math.min(scalePercent - 1, Math.floor(verdict.largestScale * scalePercent));
  for (let to = from; to >= least; to--) {
    const facts = scaledBy(q.facts, to / scalePercent);
    if (!works(judgeChanged(asked, facts), method)) continue;
    const denser = ((100 / to) ** 2 - 1) * 100;
    return [
      {
        label: phrase`Shrink to ${percent(to)}`,
        result: phrase`fits ${verdict.hoop.name}`,
        cost: phrase`${percent(denser)} denser with the same stitches${to < freely ? ': watch for a stiff patch' : ''}`,
        change: { stage: 'design', set: { scalePercent: to } },
        also: set(forHoop(asked, { turnDeg: null, shift: null })),
        removes: WHERE_IT_LIES,
      },
    ];
  }
  return [];
}

/** 5. The next hoop up that works. */
function nextHoop({ verdict, verdicts, method }: Asked): Rescue[] {
  const other = verdicts.find((v) => v.hoop.id !== verdict.hoop.id && works(v, method));
  if (!other) return [];
  const best = Math.max(...turnsOf(other, method).map((t) => t.spareMm));
  const more =
    (other.hoop.ringWidthMm * other.hoop.ringHeightMm) /
      (verdict.hoop.ringWidthMm * verdict.hoop.ringHeightMm) -
    1;
  return [
    {
      label: phrase`Use ${other.hoop.name}`,
      result: phrase`fits with ${mm(best)} to spare each side`,
      cost: more > 0 ? phrase`${percent(more * 100)} more stabilizer` : phrase`none`,
      change: set(otherHoop(other.hoop.id)),
      removes: ALL_FAULTS,
    },
  ];
}

/** 6. Hoop it again, so many mm over: the design stays on its rule. */
function rehoop(asked: Asked): Rescue[] {
  const { laid, input, verdict, method } = asked;
  if (!laid || !input.shift) return [];
  const way = verdict.turns.find((t) => t.turnDeg === laid.turnDeg);
  if (!way || way.miss || (method === 'hooped' && way.designAt === null)) return [];
  const to = way.designAt ?? ORIGIN;
  const by = turn(minus(laid.designAt, to), laid.onPieceDeg);
  return [
    {
      label: phrase`Hoop it again ${wayInWords(by)}`,
      result: phrase`the design stays on its rule, inside the field`,
      cost: phrase`the hoop comes off: one more hooping`,
      change: set({ shift: null }),
      removes: WHERE_IT_LIES,
    },
  ];
}

/** How many elements of the drawing lie in no part whole. */
function elementsCut({ artwork, scalePercent }: Asked, parts: readonly SplitPart[]): number {
  if (!artwork) return 0;
  const boxes = parts.map((part) => grown(boxOf(part.hull), 0.01));
  const scale = scalePercent / 100;
  return elementsOf(artwork).filter(({ hull }) => {
    const own = boxOf(hull.map((p) => ({ x: p.x * scale, y: p.y * scale })));
    return !boxes.some((box) => holds(box, own));
  }).length;
}

/** The split with the fewest parts whose rings all lie clear; floated where they do not, or the ring cannot close. */
function bestSplit({
  verdict,
  q,
  method,
}: Asked): { turnDeg: QuarterTurn; split: Split; floats: boolean } | null {
  const splits = splitsOf(verdict, q);
  const lying =
    method === 'hooped' && whyNotClosed(verdict.hoop, q).length === 0
      ? splits.find(({ turnDeg, split }) => layPart(verdict, turnDeg, { split, index: 0 }, q)?.split?.lies)
      : undefined;
  const [best] = lying ? [lying] : splits;
  return best ? { ...best, floats: method === 'hooped' && !lying } : null;
}

/** 7. Stitch it in parts that overlap. */
function splitIt(asked: Asked): Rescue[] {
  const { verdict, input } = asked;
  if (verdict.fits || verdict.whyNotUsed !== null || input.split) return [];
  const best = bestSplit(asked);
  if (!best) return [];
  const { parts, overlapMm, byPositions } = best.split;
  const floated: HoopSet = best.floats ? { method: 'floated' } : {};
  const cut = elementsCut(asked, parts);
  const and = [
    ...(cut > 0 ? phrase`; ${count(cut)} of its elements ${cut === 1 ? 'is' : 'are'} cut through` : []),
    ...(best.floats ? phrase`; floated, since the ring cannot close on every part` : []),
  ];
  return [
    {
      label: byPositions
        ? phrase`Stitch it in ${count(parts.length)} places of this hoop`
        : phrase`Split it into ${count(parts.length)} hoopings`,
      result: phrase`each inside the field, overlapping ${mm(overlapMm)}, laid by registration crosses`,
      cost: byPositions
        ? phrase`the file is saved in ${count(parts.length)} parts${and}`
        : phrase`${count(parts.length - 1)} more ${parts.length === 2 ? 'hooping' : 'hoopings'}; the file is saved in ${count(parts.length)} parts${and}`,
      change: set(forHoop(asked, { split: true, part: 0, turnDeg: best.turnDeg, shift: null, ...floated })),
      removes: WHERE_IT_LIES,
    },
  ];
}

/** The rescues in the order people try them. */
const RESCUES: readonly ((asked: Asked) => Rescue[])[] = [
  openSeam,
  turnHoop,
  moveCloser,
  shiftInField,
  shrink,
  nextHoop,
  rehoop,
  splitIt,
];

/** Ways out of a hoop's faults, in the order people try them, each with its cost and with what is gone after it. */
export interface Rescues {
  /** Those after which this fault is gone. */
  from: (fault: HoopFault) => Mend[];
}

/** Ways to make the chosen hoop work, or to leave it. */
export function rescuesFor(question: RescueQuestion): Rescues {
  const verdict = question.laid?.verdict ?? question.nearest;
  const all = verdict ? RESCUES.flatMap((rescue) => rescue({ ...question, verdict })) : [];
  return {
    from: (fault) =>
      all.filter(({ removes }) => removes.includes(fault)).map(({ removes: _, ...mend }): Mend => mend),
  };
}

export const floatRescue = (): Mend => ({
  label: phrase`Float it`,
  result: phrase`only the stabilizer is hooped`,
  cost: phrase`a basting box, and a cloth that can shift`,
  change: set({ method: 'floated' }),
});
export const hoopRescue = (): Mend => ({
  label: phrase`Hoop it`,
  result: phrase`the cloth is held flat all round`,
  change: set({ method: 'hooped' }),
});
export const wholeRescue = (): Mend => ({
  label: phrase`Stitch it whole`,
  result: phrase`in one hooping, where the field takes it`,
  change: set({ split: false, part: 0 }),
});
