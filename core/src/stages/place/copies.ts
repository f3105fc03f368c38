import { add, type Point, rotate } from '../../base/geometry/point';
import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { Reason } from '../../model/reason';
import type { PlaceInput } from '../../model/ticket/place';
import type { DesignFacts } from '../design/designFacts';
import type { PieceOutline } from '../piece/geometry';
import type { Readings } from '../piece/readings';
import type { UsualPlacement } from '../piece/usualPlacement';
import { footprintOf } from './footprint';
import { arithmetic, type Extents, landmark, type RuledSpot } from './placement';
import { closedRun, countClearOfSideSeams, type HemRun, openRun } from './repeats';
import { checkScatter } from './scatter';

/** One of several copies of the design on the piece. Piece frame, mm. */
export interface Copy {
  centre: Point;
  turnDeg: number;
  footprint: Point[];
  /** Where the tape finds it, and where it then begins. */
  reading: Phrase;
  tapeFrom: Point;
}

export interface CopyQuestion {
  placement: UsualPlacement;
  spot: RuledSpot;
  /** The first copy's centre and turn, the maker's move included. */
  centre: Point;
  turnDeg: number;
  facts: DesignFacts;
  outline: PieceOutline;
  readings: Readings;
  reachAt: (turnDeg: number) => Extents;
  input: PlaceInput;
  rules: HouseRules;
}

export interface Copies {
  /** All of them, the first being the one the rule speaks of; empty when there is only one. */
  copies: Copy[];
  run: HemRun | null;
  findings: Finding[];
  reasons: Reason[];
}

const NONE: Copies = { copies: [], run: null, findings: [], reasons: [] };

const copyAt = (
  q: CopyQuestion,
  centre: Point,
  turnDeg: number,
  reading: Phrase,
  tapeFrom: Point = { x: 0, y: centre.y },
): Copy => ({
  centre,
  turnDeg,
  footprint: footprintOf(q.facts, centre, turnDeg),
  reading,
  tapeFrom,
});

const CORNERS = [
  { name: 'lower right', x: 1, y: 1 },
  { name: 'lower left', x: -1, y: 1 },
  { name: 'upper left', x: -1, y: -1 },
  { name: 'upper right', x: 1, y: -1 },
] as const;

/** The same corner rule in each corner, turned a quarter clockwise from one to the next. */
function fourCorners(q: CopyQuestion): Copies {
  const gap = numberFor(q.rules, PLACE_NUMBERS.cornerFromHemsMm);
  const inside = landmark(q.outline, 'cornerRightInside');
  const edge = landmark(q.outline, 'cornerRight');
  const far = landmark(q.outline, 'farHem');
  const half = { x: inside.x, y: (edge.y - far.y) / 2 - (edge.y - inside.y) };
  const middle = { x: 0, y: (edge.y + far.y) / 2 };
  const copies = CORNERS.map(({ name, x, y }, k) => {
    const ruleTurn = q.spot.turnDeg + 90 * k;
    const reach = q.reachAt(ruleTurn);
    const [out, down] = [x > 0 ? reach.right : reach.left, y > 0 ? reach.bottom : reach.top];
    const [dx, dy] = q.spot.corner ? [Math.max(out, down), Math.max(out, down)] : [out, down];
    const centre = add(
      add(middle, { x: x * (half.x - gap - dx), y: y * (half.y - gap - dy) }),
      rotate(q.input.offset, 90 * k),
    );
    const across = edge.x - Math.abs(centre.x);
    const up = Math.min(edge.y - centre.y, centre.y - far.y);
    return copyAt(
      q,
      centre,
      q.turnDeg + 90 * k,
      phrase`${name} corner, turned ${count(90 * k)}°: ${mm(across)} from the side edge on your ${x > 0 ? 'right' : 'left'}, ${mm(up)} from the ${y > 0 ? 'bottom' : 'top'} edge`,
      { x: x * edge.x, y: centre.y },
    );
  });
  return { ...NONE, copies };
}

const runLength = (q: CopyQuestion, closed: boolean): number =>
  q.readings[closed ? 'circumference' : 'panelWidth'] ?? 0;

function runReason(q: CopyQuestion, run: HemRun, closed: boolean, gapMm: number): Reason {
  const length = runLength(q, closed);
  const width = q.facts.widthMm;
  const margin = q.input.repeat.marginMm ?? numberFor(q.rules, PLACE_NUMBERS.repeatMarginMm);
  const sums = closed
    ? [
        phrase`${mm(length)} ÷ (${mm(width)} + ${mm(gapMm)}) = ${count(length / (width + gapMm))}: ${count(run.count)} of them`,
        phrase`${mm(length)} ÷ ${count(run.count)} = ${mm(run.pitchMm)} from centre to centre`,
        phrase`${mm(run.pitchMm)} − ${mm(width)} = ${mm(run.gapMm)} true gap`,
      ]
    : [
        phrase`(${mm(length)} − 2 × ${mm(margin)} + ${mm(gapMm)}) ÷ (${mm(width)} + ${mm(gapMm)}): ${count(run.count)} of them`,
        phrase`${mm(run.pitchMm)} from centre to centre, gap ${mm(run.gapMm)}, ${mm(run.marginMm)} left at either end`,
      ];
  const text = closed
    ? phrase`Worked from the centre out; the gap is stretched or drawn in so that the repeats close.`
    : phrase`Worked from the centre out; what is left over goes to the ${q.input.repeat.keep === 'gap' ? 'ends' : 'gaps'}.`;
  return arithmetic('repeats', text, sums);
}

/** On a closed hem with the repeats over the side seams: the count that lets them fall in the gaps. */
function overSideSeams(
  q: CopyQuestion,
  run: HemRun,
  wish: { lengthMm: number; widthMm: number; leastGapMm: number },
): Finding[] {
  const seamX = wish.lengthMm / 4;
  const offset = q.centre.x;
  const over = run.positions.filter((x) => Math.abs(Math.abs(x + offset) - seamX) < wish.widthMm / 2);
  if (over.length === 0) return [];
  const better = countClearOfSideSeams(run.count, wish);
  const text = phrase`${count(over.length)} of them lie over a side seam.`;
  if (better === null || better === run.count)
    return [finding('place', 'repeats-over-seams', 'warn', text, { at: { x: seamX, y: q.centre.y } })];
  const gapMm = wish.lengthMm / better - wish.widthMm;
  const mend = {
    label: phrase`Make it ${count(better)}`,
    result: phrase`both side seams fall in a gap; true gap ${mm(gapMm)}`,
    change: {
      stage: 'place' as const,
      set: { repeat: { ...q.input.repeat, gapMm }, offset: { ...q.input.offset, x: 0 } },
    },
  };
  return [
    finding('place', 'repeats-over-seams', 'warn', text, { at: { x: seamX, y: q.centre.y }, mends: [mend] }),
  ];
}

/**
 * Where a repeat is found along a hem, from its middle, and where the tape then begins. A closed hem lies flat as two
 * layers: what is farther than a quarter of the way round is on the back, turned over, and its sides change places.
 */
function alongHemFrom(x: number, roundMm: number | null): { reading: Phrase; fromX: number } {
  const at = roundMm === null ? x : x - roundMm * Math.round(x / roundMm);
  if (Math.abs(at) < 0.05) return { reading: phrase`at the middle`, fromX: x };
  const side = (toRight: boolean) => (toRight ? 'right' : 'left');
  if (roundMm === null || Math.abs(at) <= roundMm / 4)
    return {
      reading: phrase`${mm(Math.abs(at))} to your ${side(at > 0)} of the middle`,
      fromX: x - at,
    };
  const fromBack = roundMm / 2 - Math.abs(at);
  const backX = x + Math.sign(at) * fromBack;
  return fromBack < 0.05
    ? { reading: phrase`turned over, at the middle of the back`, fromX: x }
    : {
        reading: phrase`turned over, ${mm(fromBack)} to your ${side(at < 0)} of the middle of the back`,
        fromX: backX,
      };
}

/** Repeats along the hem, from the middle out. */
function alongHem(q: CopyQuestion, closed: boolean): Copies {
  const { repeat } = q.input;
  const gapMm = repeat.gapMm ?? numberFor(q.rules, PLACE_NUMBERS.repeatGapMm);
  const wish = {
    lengthMm: runLength(q, closed),
    widthMm: q.facts.widthMm,
    gapMm,
    leastGapMm: numberFor(q.rules, PLACE_NUMBERS.leastRepeatGapMm),
  };
  const margin = repeat.marginMm ?? numberFor(q.rules, PLACE_NUMBERS.repeatMarginMm);
  const run = closed ? closedRun(wish) : openRun(wish, margin, repeat.keep);
  if (!run) {
    const text = phrase`One design of ${mm(wish.widthMm)} does not fit the run of ${mm(wish.lengthMm)}${closed ? phrase`` : phrase` less ${mm(margin)} at either end`}.`;
    return { ...NONE, findings: [finding('place', 'repeats-none-fit', 'stop', text, { at: q.centre })] };
  }
  const seamsFound = closed ? overSideSeams(q, run, wish) : [];
  const outwards = [...run.positions].sort((a, b) => Math.abs(a) - Math.abs(b) || b - a);
  const copies = outwards.map((x) => {
    const centre = add(q.centre, { x, y: 0 });
    const { reading, fromX } = alongHemFrom(centre.x, closed ? wish.lengthMm : null);
    return copyAt(q, centre, q.turnDeg, reading, { x: fromX, y: centre.y });
  });
  return {
    copies,
    run,
    findings: seamsFound,
    reasons: [runReason(q, run, closed, gapMm)],
  };
}

/** The spots that were found and accepted, checked again against the design as it is now. */
function scattered(q: CopyQuestion): Copies {
  const { scatter } = q.input;
  if (scatter.spots.length === 0)
    return {
      ...NONE,
      findings: [
        finding('place', 'scatter-not-yet', 'note', phrase`Not scattered yet: one lies in the middle.`),
      ],
    };
  const gapMm = scatter.gapMm ?? numberFor(q.rules, PLACE_NUMBERS.scatterGapMm);
  const insetMm = numberFor(q.rules, PLACE_NUMBERS.scatterInsetMm);
  const within = q.outline.within?.area ?? q.outline.outline;
  const top = q.outline.landmarks.patternTop?.y ?? 0;
  const copies = scatter.spots.map((s) =>
    copyAt(
      q,
      { x: s.x, y: s.y },
      s.turnDeg,
      phrase`${mm(Math.abs(s.x))} to your ${s.x >= 0 ? 'right' : 'left'} of the centre line, ${mm(s.y - top)} below the pattern's top, turned ${count(s.turnDeg)}°`,
    ),
  );
  const wrong = checkScatter(scatter.spots, { hull: q.facts.hull, within, insetMm, gapMm });
  const findings: Finding[] = [];
  const [pair] = wrong.tooClose;
  if (pair)
    findings.push(
      finding(
        'place',
        'scatter-too-close',
        'stop',
        phrase`${count(wrong.tooClose.length)} pairs lie closer than ${mm(gapMm)}; the closest you meet first are ${mm(pair[2])} apart. Scatter again.`,
        { at: copies[pair[0]]?.centre ?? q.centre },
      ),
    );
  const [out] = wrong.outside;
  if (out !== undefined)
    findings.push(
      finding(
        'place',
        'scatter-outside',
        'stop',
        phrase`${count(wrong.outside.length)} of them lie less than ${mm(insetMm)} inside the seam line. Scatter again.`,
        { at: copies[out]?.centre ?? q.centre },
      ),
    );
  if (scatter.spots.length < scatter.count)
    findings.push(
      finding(
        'place',
        'scatter-fewer',
        'warn',
        phrase`Room was found for ${count(scatter.spots.length)} of ${count(scatter.count)}.`,
      ),
    );
  return { ...NONE, copies, findings };
}

/** Further copies that the placement makes, each with its own centre, turn and tape reading. */
export function copiesFor(q: CopyQuestion): Copies {
  switch (q.placement.copies) {
    case 'four corners':
      return fourCorners(q);
    case 'closed hem':
      return alongHem(q, true);
    case 'open hem':
      return alongHem(q, false);
    case 'scatter':
      return scattered(q);
    default:
      return NONE;
  }
}
