import type { DesignFacts } from '../design/planDesign';
import { leanDegOf } from '../geometry/fitLine';
import { minus, type Point, plus, turn } from '../geometry/point';
import { isA, type PieceOutline } from '../piece/geometry';
import type { PiecePlan } from '../piece/planPiece';
import type { Evenness } from '../piece/schema';
import { halveOnTape } from '../units/halveOnTape';
import type { DisplayUnits } from '../units/length';
import { count, mm, type Phrase, phrase, type Quantity } from '../units/phrase';
import type { Act } from './acts';
import type { Copy } from './copies';
import { landmark, type RuledSpot } from './placement';
import type { MarkMethod } from './schema';

/** One step of the mark card, with what the hand does and what to draw for it. Points in the piece frame, mm. */
export interface MarkStep {
  text: Phrase;
  figure: Quantity | null;
  hint: Phrase | null;
  /** The tape lies from here to there. */
  tape: { from: Point; to: Point } | null;
  /** The chalk cross to make. */
  cross: Point | null;
  /** What the hand does, in order. */
  acts: readonly Act[];
}

/** What the steps are worked out from. */
export interface MarkQuestion {
  piece: PiecePlan;
  outline: PieceOutline;
  facts: DesignFacts;
  spot: RuledSpot;
  centre: Point;
  /** The design's turn on the piece, clockwise in degrees. */
  turnDeg: number;
  /** Where the used centre line passes at the design's level. */
  lineX: number;
  copies: readonly Copy[];
  /** The smallest stabilizer patch that serves, mm. */
  patch: { widthMm: number; heightMm: number };
  units: DisplayUnits;
}

const side = (x: number) => (x >= 0 ? 'right' : 'left');
const step = (text: Phrase, rest: Partial<MarkStep> = {}): MarkStep => ({
  text,
  figure: null,
  hint: null,
  tape: null,
  cross: null,
  acts: [],
  ...rest,
});

/** The two ends of the design's level axis. */
export function axisEnds(q: Pick<MarkQuestion, 'facts' | 'centre' | 'turnDeg'>): [Point, Point] {
  const half = q.facts.widthMm / 2;
  return [
    plus(q.centre, turn({ x: -half, y: 0 }, q.turnDeg)),
    plus(q.centre, turn({ x: half, y: 0 }, q.turnDeg)),
  ];
}

/** Turns that differ by less are the same to a hand, degrees. */
const SAME_DEG = 0.05;

/** How a hand finds the design's own axis through its centre. */
function axisWords({ spot, piece, turnDeg }: MarkQuestion, right: Point, centre: Point): Phrase {
  if (Math.abs(turnDeg) < SAME_DEG) return phrase`level with the centre`;
  if (spot.corner && Math.abs(turnDeg + 45) < SAME_DEG) return phrase`square to the crease`;
  if (!spot.edge && Math.abs(turnDeg - leanDegOf(piece.centreLine.used)) < SAME_DEG)
    return phrase`square to the centre line`;
  return phrase`along the design's own axis: its right end lies ${wayThere(minus(right, centre))}`;
}

/** "30 mm to the right and 12 mm up"; what is nothing is left out. */
function wayThere({ x, y }: Point): Phrase {
  const parts = [
    ...(Math.abs(x) < 0.05 ? [] : [phrase`${mm(Math.abs(x))} to the ${side(x)}`]),
    ...(Math.abs(y) < 0.05 ? [] : [phrase`${mm(Math.abs(y))} ${y > 0 ? 'down' : 'up'}`]),
  ];
  return parts.flatMap((part, i) => (i === 0 ? part : [' and ', ...part]));
}

function axisStep(q: MarkQuestion): MarkStep {
  const [left, right] = axisEnds(q);
  return step(
    phrase`Mark both axis ends, ${mm(q.facts.widthMm / 2)} either side of the centre, ${axisWords(q, right, q.centre)}.`,
    {
      figure: mm(q.facts.widthMm / 2),
      hint: phrase`Three marks, ${mm(q.facts.widthMm)} from end to end. The centre alone fixes the place but not the angle.`,
      tape: { from: q.centre, to: right },
      cross: left,
    },
  );
}

/** Through to the wrong side, so that a patch of stabilizer can be centred there. */
function transferStep({ centre, patch }: MarkQuestion): MarkStep {
  return step(
    phrase`Push a pin through the centre. On the wrong side, centre the stabilizer on it: at least ${mm(patch.widthMm)} × ${mm(patch.heightMm)}.`,
    {
      figure: mm(Math.max(patch.widthMm, patch.heightMm)),
      hint: phrase`The size of the patch matters, not how exactly it is centred. The pin comes out before the first stitch.`,
      cross: centre,
    },
  );
}

const sideNamed = (q: MarkQuestion, across: number): Phrase | null => {
  const { wearersLeft } = q.piece.view;
  if (!wearersLeft) return null;
  const wearers = side(across) === wearersLeft ? 'left' : 'right';
  return phrase`On your ${side(across)} as it faces you is the wearer's ${wearers}.`;
};

function centreStep(q: MarkQuestion, line: string): MarkStep {
  const { edge } = q.spot;
  if (edge) {
    const from = Math.abs(edge.x - q.centre.x);
    return step(phrase`Along that level, measure ${mm(from)} from the ${edge.name}: chalk the centre.`, {
      figure: mm(from),
      hint: sideNamed(q, q.centre.x),
      tape: { from: { x: edge.x, y: q.centre.y }, to: q.centre },
      cross: q.centre,
      acts: [{ do: 'from edge', x: edge.x, mm: q.centre.x - edge.x }],
    });
  }
  const across = q.centre.x - q.lineX;
  if (Math.abs(across) < 0.05) {
    return step(phrase`Chalk the centre where the level meets the ${line}.`, {
      cross: q.centre,
      hint: phrase`This is the design's centre.`,
      acts: [{ do: 'from line', mm: across }],
    });
  }
  return step(phrase`From the ${line}, ${mm(Math.abs(across))} to your ${side(across)}: chalk the centre.`, {
    figure: mm(Math.abs(across)),
    hint: sideNamed(q, across),
    tape: { from: { x: q.lineX, y: q.centre.y }, to: q.centre },
    cross: q.centre,
    acts: [{ do: 'from line', mm: across }],
  });
}

const levelAct = ({ spot: { depth }, centre }: MarkQuestion): Act => ({
  do: 'level',
  from: depth.at,
  mm: Math.abs(centre.y - depth.at.y),
  way: centre.y >= depth.at.y ? 'down' : 'up',
});

function depthStep(q: MarkQuestion, mark: string): MarkStep {
  const { depth, edge } = q.spot;
  const fromLine = depth.at.x === 0 && !edge;
  const from = fromLine ? { x: q.lineX, y: depth.at.y } : depth.at;
  const to = { x: from.x, y: q.centre.y };
  const act = levelAct(q);
  const reading = Math.abs(to.y - from.y);
  const way = to.y >= from.y ? 'straight down' : 'up';
  return step(phrase`From ${depth.name} ${way} ${mm(reading)}: ${mark} a level line.`, {
    figure: mm(reading),
    hint: depth.hint ?? null,
    tape: { from, to },
    cross: to,
    acts: [act],
  });
}

/** The face's width, read between two landmarks, and half of it. */
function halved(q: MarkQuestion) {
  const { halving } = q.piece.view;
  const [left, right] = [landmark(q.outline, halving.left), landmark(q.outline, halving.right)];
  const width = Math.hypot(right.x - left.x, right.y - left.y);
  return { ...halving, left, right, width, half: halveOnTape(width, q.units) };
}

const lineAt = (q: MarkQuestion, y: number): Point => ({
  x: q.piece.centreLine.used.offset + q.piece.centreLine.used.slope * y,
  y,
});

/** Halves that differ by less are even to a tape, mm. */
const EVEN_MM = 0.3;

type OfPiece = Pick<MarkQuestion, 'piece'>;

/** Whether the piece is placed by the line that halving it gives: its halves are alike, as far as was read. */
function isHalved({ piece: { evenness, centreLine } }: OfPiece): boolean {
  const { used } = centreLine;
  const even = evenness.every((e) => Math.abs(e.rightMm - e.leftMm) / 2 < EVEN_MM);
  return even && used.offset === 0 && used.slope === 0;
}

/** Whether a crease with both edges matched is the line the piece is placed by: halved, or placed by its seams. */
function isFolded({ piece }: OfPiece): boolean {
  const { used } = piece.centreLine;
  return piece.evenness.every((e) => {
    const y = piece.view.datumSign * e.atMm;
    return Math.abs(used.offset + used.slope * y - (e.rightMm - e.leftMm) / 2) < EVEN_MM;
  });
}

const LINE_WORDS = { seams: "the seams' line", grain: "the grain's line", wearers: "the wearer's line" };

/** What the line of an uneven piece is called here: nobody wears a cloth. */
const lineWords = ({ piece }: MarkQuestion): string =>
  piece.centreLine.usedSchool === 'wearers' && !isA(piece.kind, 'worn')
    ? 'the straight line'
    : LINE_WORDS[piece.centreLine.usedSchool];

/** The landmark that heights are counted from, by its name: "the collar seam". */
const datumName = ({ piece }: MarkQuestion): string => piece.view.datum.replace(/^(above|below) /, '');

/** A mark at the landmark's own level, beside its middle where the line passes there. */
function atDatum(q: MarkQuestion): MarkStep {
  const at = lineAt(q, 0);
  const beside: Act = { do: 'beside', at: { x: 0, y: 0 }, mm: at.x };
  if (Math.abs(at.x) < 0.05)
    return step(phrase`Mark the middle of ${datumName(q)}.`, { cross: at, acts: [beside] });
  return step(phrase`At ${datumName(q)}, mark ${mm(Math.abs(at.x))} to your ${side(at.x)} of its middle.`, {
    figure: mm(Math.abs(at.x)),
    tape: { from: { x: 0, y: 0 }, to: at },
    cross: at,
    acts: [beside],
  });
}

/** A mark at a level that was measured, from the edge on your left: the tape is read there, and not halved. */
function atLevel(q: MarkQuestion, row: Evenness): MarkStep {
  const y = q.piece.view.datumSign * row.atMm;
  const at = lineAt(q, y);
  const fromLeft = row.leftMm + at.x;
  return step(
    phrase`At ${mm(row.atMm)} ${q.piece.view.datum} the tape reads ${mm(row.leftMm + row.rightMm)} across: mark ${mm(fromLeft)} from the edge on your left.`,
    {
      figure: mm(fromLeft),
      hint: phrase`That leaves ${mm(row.rightMm - at.x)} to the edge on your right.`,
      tape: { from: { x: -row.leftMm, y }, to: at },
      cross: at,
      acts: [{ do: 'from left', y, mm: fromLeft }],
    },
  );
}

/** A mark along the grain, so far down a ruler laid straight from the landmark, and so far beside it. */
function alongGrain(q: MarkQuestion): MarkStep {
  const y = (q.outline.centreFrom + q.outline.centreTo) / 2;
  const at = lineAt(q, y);
  const ruler = { x: 0, y };
  return step(
    phrase`Lay a ruler straight from the middle of ${datumName(q)}. ${mm(Math.abs(y))} along it, mark ${mm(Math.abs(at.x))} to your ${side(at.x)}.`,
    {
      figure: mm(Math.abs(at.x)),
      tape: { from: ruler, to: at },
      cross: at,
      acts: [{ do: 'beside', at: ruler, mm: at.x }],
    },
  );
}

/** The line of a piece that is not halved by it: two marks where it was measured, joined. */
function unevenLineSteps(q: MarkQuestion): MarkStep[] {
  const rows = [...q.piece.evenness].sort((a, b) => b.atMm - a.atMm);
  const [far, near] = [rows[0], rows.at(-1)];
  const apart = far && near && far.atMm - near.atMm > 20;
  const first = far ? atLevel(q, far) : alongGrain(q);
  const second = near && apart ? atLevel(q, near) : atDatum(q);
  const [a, b] = [first.cross, second.cross];
  return [
    first,
    second,
    step(
      phrase`Join both marks: that is ${lineWords(q)}, which this piece is placed by. Its halves are not alike.`,
      { tape: a && b ? { from: b, to: a } : null, cross: b, acts: [{ do: 'join' }] },
    ),
  ];
}

function centreLineSteps(q: MarkQuestion): MarkStep[] {
  if (!isHalved(q)) return unevenLineSteps(q);
  const w = halved(q);
  const y = w.left.y;
  const first = lineAt(q, y);
  const farY = (y + (y === q.outline.centreFrom ? q.outline.centreTo : q.outline.centreFrom)) / 2;
  const second = w.second ? landmark(q.outline, w.second.landmark) : lineAt(q, farY);
  const secondAct: Act = w.second ? { do: 'beside', at: second, mm: 0 } : { do: 'halve', y: farY };
  return [
    step(
      phrase`Tape across, ${w.name}: it reads ${mm(w.width)}. Mark half, ${mm(w.half)} from either ${w.edge}.`,
      {
        figure: mm(w.half),
        tape: { from: w.left, to: first },
        cross: first,
        acts: [{ do: 'halve', y }],
      },
    ),
    step(
      w.second
        ? phrase`This mark and ${w.second.name} give the centre line: join them.`
        : phrase`Halve it again nearer the far end. Both marks together give the centre line: join them.`,
      { tape: { from: second, to: first }, cross: second, acts: [secondAct, { do: 'join' }] },
    ),
  ];
}

function foldedLineSteps(q: MarkQuestion): MarkStep[] {
  const w = halved(q);
  return [
    step(phrase`Fold it in half lengthwise: ${w.fold}.`, {
      figure: mm(w.half),
      hint: phrase`Each half is ${mm(w.half)} wide.`,
      tape: { from: { x: 0, y: w.right.y }, to: w.right },
    }),
    step(phrase`Press a short crease, only where the design goes: the length of a finger. Open it again.`, {
      cross: { x: q.lineX, y: q.centre.y },
      acts: [{ do: 'crease' }],
      hint:
        q.piece.fabric.iron === 'yes'
          ? phrase`Mind the iron and the steam.`
          : phrase`This cloth takes little or no iron: finger-press it.`,
    }),
  ];
}

/** Along the crease that halves a corner. */
function diagonalSteps(q: MarkQuestion, corner: Point): MarkStep[] {
  const along = Math.hypot(corner.x - q.centre.x, corner.y - q.centre.y);
  return [
    step(phrase`Fold the corner so that its two edges lie on each other, and press a short crease.`, {
      tape: { from: corner, to: q.centre },
      hint: phrase`The crease halves the corner: 45° to both edges.`,
    }),
    step(phrase`From the corner's point ${mm(along)} along the crease: chalk the centre.`, {
      figure: mm(along),
      hint: phrase`Check it: ${mm(corner.x - q.centre.x)} from the side edge, ${mm(corner.y - q.centre.y)} from the bottom edge.`,
      tape: { from: corner, to: q.centre },
      cross: q.centre,
      acts: [{ do: 'along crease', corner, towards: q.centre, mm: along }],
    }),
  ];
}

/** Two landmarks joined, then a level of their own joined across, and another one so far from it. */
function joinSteps(q: MarkQuestion): MarkStep[] {
  const w = halved(q);
  const top = w.second ? landmark(q.outline, w.second.landmark) : { x: 0, y: q.outline.centreFrom };
  const farY = top.y === q.outline.centreTo ? q.outline.centreFrom : q.outline.centreTo;
  const topAct: Act = w.second ? { do: 'beside', at: top, mm: 0 } : { do: 'halve', y: top.y };
  const levelY = w.left.y;
  const apart = q.centre.y - levelY;
  return [
    step(
      w.second
        ? phrase`Find ${w.second.name}, and the middle of the far edge opposite. Join the two with a chalk line.`
        : phrase`Find the middles of both ends. Join the two with a chalk line.`,
      {
        tape: { from: top, to: lineAt(q, farY) },
        cross: lineAt(q, top.y),
        acts: [topAct, { do: 'halve', y: farY }, { do: 'join' }],
      },
    ),
    step(phrase`Join both ends of ${w.name}: that line is level.`, {
      tape: { from: w.left, to: w.right },
      cross: lineAt(q, levelY),
    }),
    step(
      Math.abs(apart) < 0.5
        ? phrase`The design's centre lies on that level.`
        : phrase`A second line level with it, ${mm(Math.abs(apart))} ${apart > 0 ? 'below' : 'above'}: measure at both sides.`,
      {
        figure: mm(Math.abs(apart)),
        tape: { from: lineAt(q, levelY), to: lineAt(q, q.centre.y) },
        cross: lineAt(q, q.centre.y),
        acts: [
          {
            do: 'level',
            from: { x: 0, y: levelY },
            mm: Math.abs(apart),
            way: apart >= 0 ? 'down' : 'up',
          },
        ],
      },
    ),
  ];
}

/** "190 mm down from the collar seam, 102 mm to your right of the centre line". */
function readingInWords(q: MarkQuestion, line: string): Phrase {
  const { depth } = q.spot;
  const down = q.centre.y >= depth.at.y;
  const reading = phrase`${mm(Math.abs(q.centre.y - depth.at.y))} ${down ? 'down' : 'up'} from ${depth.name}`;
  if (q.spot.edge) {
    const from = q.centre.x - q.spot.edge.x;
    return phrase`${reading} and ${mm(Math.abs(from))} from the ${q.spot.edge.name}`;
  }
  const across = q.centre.x - (line === 'middle' ? 0 : q.lineX);
  return Math.abs(across) < 0.05
    ? phrase`${reading} on the ${line}`
    : phrase`${reading} and ${mm(Math.abs(across))} to your ${side(across)} of the ${line}`;
}

/** Where the reading leads: along its level from the line, or from an edge. */
const readingActs = (q: MarkQuestion, fromLineMm: number): Act[] => [
  levelAct(q),
  q.spot.edge
    ? { do: 'from edge', x: q.spot.edge.x, mm: q.centre.x - q.spot.edge.x }
    : { do: 'from line', mm: fromLineMm },
];

function templateSteps(q: MarkQuestion): MarkStep[] {
  const [, right] = axisEnds(q);
  return [
    step(phrase`Print the template at 100 %. Lay a ruler on its proving ruler: 100 mm must measure 100 mm.`, {
      hint: phrase`Cut it out; prick the centre and both axis ends.`,
    }),
    ...(q.spot.edge ? [] : centreLineSteps(q)),
    step(
      phrase`Lay the template with its arrow to the top, its centre ${readingInWords(q, 'centre line')}, its axis ${axisWords(q, right, q.centre)}.`,
      {
        figure: mm(Math.abs(q.centre.y - q.spot.depth.at.y)),
        tape: { from: { x: q.centre.x, y: q.spot.depth.at.y }, to: q.centre },
        cross: q.centre,
        acts: readingActs(q, q.centre.x - q.lineX),
      },
    ),
    step(
      phrase`Mark through the three holes: the centre and both axis ends, ${mm(q.facts.widthMm)} from end to end.`,
      {
        figure: mm(q.facts.widthMm),
        cross: q.centre,
      },
    ),
  ];
}

function wearSteps(q: MarkQuestion): MarkStep[] {
  const middle: Act[] = [
    { do: 'beside', at: { x: 0, y: 0 }, mm: 0 },
    { do: 'beside', at: { x: 0, y: 100 }, mm: 0 },
    { do: 'join' },
  ];
  return [
    step(phrase`Print the template at 100 % and cut it out. Put the garment on the person, shoulders level.`),
    step(
      phrase`Start at the tape's reading, ${readingInWords(q, 'middle')}, and tape the template on with low-tack tape.`,
      {
        figure: mm(Math.abs(q.centre.y - q.spot.depth.at.y)),
        tape: { from: { x: q.centre.x, y: q.spot.depth.at.y }, to: q.centre },
        cross: q.centre,
        hint: sideNamed(q, q.centre.x),
        acts: [...middle, ...readingActs(q, q.centre.x)],
      },
    ),
    step(
      phrase`Step back and look in a mirror. Move it until it sits right on the person, not on the seams; its top edge level.`,
    ),
    step(
      phrase`Mark through the holes: the centre and both axis ends. Take the garment off and measure where the centre is now.`,
      {
        cross: q.centre,
        hint: phrase`Enter the difference by dragging the design on the sheet, or type it, so that the plan knows.`,
      },
    ),
  ];
}

/** The marks of every further copy: its centre, and its axis ends where it is turned otherwise than the first. */
function copySteps(q: MarkQuestion): MarkStep[] {
  return q.copies.slice(1).flatMap((copy, i) => {
    const no = count(i + 2);
    const [left, right] = axisEnds({ facts: q.facts, centre: copy.centre, turnDeg: copy.turnDeg });
    const readingMm = Math.abs(copy.centre.x - copy.tapeFrom.x);
    return [
      step(phrase`No. ${no}: ${copy.reading}. Chalk its centre.`, {
        cross: copy.centre,
        tape: { from: copy.tapeFrom, to: copy.centre },
        figure: readingMm < 0.05 ? null : mm(readingMm),
      }),
      step(
        phrase`No. ${no}: both axis ends, ${mm(q.facts.widthMm / 2)} either side of its centre; the right one ${wayThere(minus(right, copy.centre))} of it.`,
        {
          cross: left,
          tape: { from: copy.centre, to: right },
          figure: mm(q.facts.widthMm / 2),
        },
      ),
    ];
  });
}

/** The ways of marking that serve a spot: folding and joining only where the piece is halved by its line. */
export function methodsFor(piece: PiecePlan, spot: RuledSpot): MarkMethod[] {
  if (spot.corner) return ['fold', 'tape'];
  if (spot.edge) return ['tape', 'template'];
  const ways: readonly [MarkMethod, boolean][] = [
    ['tape', true],
    ['fold', isFolded({ piece }) && (piece.evenness.length > 0 || isHalved({ piece }))],
    ['join', isHalved({ piece })],
    ['template', true],
    ['wear', isA(piece.kind, 'worn')],
  ];
  return ways.flatMap(([way, serves]) => (serves ? way : []));
}

function findingSteps(q: MarkQuestion, method: MarkMethod): MarkStep[] {
  const { corner, edge } = q.spot;
  if (method === 'template') return templateSteps(q);
  if (corner && method === 'fold') return [...diagonalSteps(q, corner), axisStep(q)];
  if (edge) return [depthStep(q, 'chalk'), centreStep(q, 'edge'), axisStep(q)];
  if (method === 'wear') return wearSteps(q);
  if (method === 'join') return [...joinSteps(q), centreStep(q, 'centre line'), axisStep(q)];
  if (method === 'fold')
    return [...foldedLineSteps(q), depthStep(q, 'press or chalk'), centreStep(q, 'crease'), axisStep(q)];
  return [...centreLineSteps(q), depthStep(q, 'chalk'), centreStep(q, 'centre line'), axisStep(q)];
}

/** The steps of the mark card in the order the tape is used, ending in the centre, its axis ends and the wrong side. */
export function markSteps(q: MarkQuestion, method: MarkMethod): MarkStep[] {
  return [...findingSteps(q, method), ...copySteps(q), transferStep(q)];
}

/** What is done to the cloth before it is marked: only what it stands. */
export function prepareFor({ fabric }: PiecePlan, school: 'wash' | 'press'): Phrase {
  const pile = fabric.structure === 'pile' ? ' Lint-roll it.' : '';
  if (fabric.structure === 'no cloth') return phrase`No cloth to prepare: the film is cut and clamped dry.`;
  if (fabric.iron === 'no' || !fabric.mayGetWet)
    return phrase`Neither washed nor pressed: lay it flat and smooth it by hand.${pile}`;
  return school === 'wash'
    ? phrase`Wash and press it first, so that it cannot shrink later.${pile}`
    : phrase`Press it first; it stays unwashed.${pile}`;
}

/** What to mark with on this cloth, and what to mind. */
export function markCautions(piece: PiecePlan): Phrase[] {
  const { fabric } = piece;
  const pile = fabric.structure === 'pile';
  const cautions: Phrase[] = [];
  if (pile) {
    cautions.push(
      phrase`Chalk sinks into loops: use a placement marker or pins, and lift them before the first stitch.`,
    );
  } else if (!fabric.mayGetWet) {
    cautions.push(phrase`This cloth must stay dry: chalk or low-tack tape, no wash-out pen.`);
  } else {
    cautions.push(phrase`Wash-out pen or chalk; low-tack tape with an arrow to the top shows the direction.`);
  }
  cautions.push(
    ...(fabric.iron === 'no'
      ? []
      : [phrase`Heat sets some inks: try the pen inside the hem, and mark after pressing.`]),
    phrase`Air-fading ink and spray adhesive can make a mark vanish before you hoop: mark late, or leave a pin in until it is hooped.`,
    phrase`Stickers, tape and pins come off before the first stitch.`,
  );
  return cautions;
}
