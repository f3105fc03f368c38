import type { DesignFacts } from '../design/planDesign';
import { type Point, plus, turn } from '../geometry/point';
import type { PieceOutline } from '../piece/geometry';
import type { PiecePlan } from '../piece/planPiece';
import { halveOnTape } from '../units/halveOnTape';
import type { DisplayUnits } from '../units/length';
import { mm, type Phrase, phrase, type Quantity } from '../units/phrase';
import { landmark, type Placement } from './placement';
import type { MarkMethod } from './schema';

/** One step of the mark card, with what to draw for it. Points in the piece frame, mm. */
export interface MarkStep {
  text: Phrase;
  figure: Quantity | null;
  hint: Phrase | null;
  /** The tape lies from here to there. */
  tape: { from: Point; to: Point } | null;
  /** The chalk cross to make. */
  cross: Point | null;
}

/** What the steps are worked out from. */
export interface MarkQuestion {
  piece: PiecePlan;
  outline: PieceOutline;
  facts: DesignFacts;
  placement: Placement;
  centre: Point;
  /** The design's turn on the piece, clockwise in degrees. */
  turnDeg: number;
  /** Where the used centre line passes at the design's level. */
  lineX: number;
  units: DisplayUnits;
}

const side = (x: number) => (x >= 0 ? 'right' : 'left');
const step = (text: Phrase, rest: Partial<MarkStep> = {}): MarkStep => ({
  text,
  figure: null,
  hint: null,
  tape: null,
  cross: null,
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

function axisStep(q: MarkQuestion): MarkStep {
  const [left, right] = axisEnds(q);
  const level = q.turnDeg === 0 ? phrase`level with the centre` : phrase`along the design's own axis`;
  return step(phrase`Mark both axis ends, ${mm(q.facts.widthMm / 2)} either side of the centre, ${level}.`, {
    figure: mm(q.facts.widthMm / 2),
    hint: phrase`Three marks, ${mm(q.facts.widthMm)} from end to end. The centre alone fixes the place but not the angle.`,
    tape: { from: q.centre, to: right },
    cross: left,
  });
}

function centreStep(q: MarkQuestion, line: string): MarkStep {
  const across = q.centre.x - q.lineX;
  if (Math.abs(across) < 0.05) {
    return step(phrase`Chalk the centre where the level meets the ${line}.`, {
      cross: q.centre,
      hint: phrase`This is the design's centre.`,
    });
  }
  return step(phrase`From the ${line}, ${mm(Math.abs(across))} to your ${side(across)}: chalk the centre.`, {
    figure: mm(Math.abs(across)),
    hint: q.piece.kind.worn
      ? phrase`On your ${side(across)} as it faces you is the wearer's ${side(-across)}.`
      : null,
    tape: { from: { x: q.lineX, y: q.centre.y }, to: q.centre },
    cross: q.centre,
  });
}

function depthStep(q: MarkQuestion, mark: string): MarkStep {
  if (q.placement.from === 'shoulderPoint') {
    const point = landmark(q.outline, q.centre.x >= 0 ? 'neckPointRight' : 'neckPointLeft');
    const depth = q.centre.y - point.y;
    return step(
      phrase`From the high point of shoulder, where the collar meets the shoulder seam, straight down ${mm(depth)}: ${mark} a level line.`,
      {
        figure: mm(depth),
        tape: { from: point, to: { x: point.x, y: q.centre.y } },
        cross: { x: point.x, y: q.centre.y },
      },
    );
  }
  if (q.placement.from === 'collarSeam') {
    return step(
      phrase`From the collar seam at centre front straight down ${mm(q.centre.y)}: ${mark} a level line.`,
      {
        figure: mm(q.centre.y),
        tape: { from: { x: q.lineX, y: 0 }, to: { x: q.lineX, y: q.centre.y } },
        cross: { x: q.lineX, y: q.centre.y },
      },
    );
  }
  const bandTop = q.piece.readings.bandHeight ? (q.piece.readings.bandTop ?? 0) : 0;
  const height = -q.centre.y;
  return step(phrase`From the end hem up ${mm(height)}: ${mark} a level line.`, {
    figure: mm(height),
    hint:
      bandTop > 0
        ? phrase`That is ${mm(height - bandTop)} above the band's far edge; measure it there too.`
        : null,
    tape: { from: { x: q.lineX, y: 0 }, to: { x: q.lineX, y: q.centre.y } },
    cross: { x: q.lineX, y: q.centre.y },
  });
}

/** The whole width, between which landmarks, and what the edges are called. */
function widthOfPiece(q: MarkQuestion) {
  const worn = q.piece.kind.worn;
  const [left, right] = worn
    ? (['underarmLeft', 'underarmRight'] as const)
    : (['sideLeft', 'sideRight'] as const);
  return {
    width: q.piece.readings[worn ? 'chestWidth' : 'width'] ?? 0,
    left: landmark(q.outline, left),
    right: landmark(q.outline, right),
    edge: worn ? 'side seam' : 'side edge',
    name: worn ? 'underarm to underarm' : 'side to side',
  };
}

function seamOffsetHint(q: MarkQuestion): Phrase | null {
  const { centreLine } = q.piece;
  if (!centreLine.uneven) return null;
  const line = centreLine.usedSchool === 'seams' ? 'the seams' : 'the collar and the grain';
  return phrase`This piece is uneven: its edges' middle lies ${mm(Math.abs(centreLine.offsetMm))} to your ${side(centreLine.offsetMm)}. Trust ${line}.`;
}

function tapeSteps(q: MarkQuestion): MarkStep[] {
  const w = widthOfPiece(q);
  const half = halveOnTape(w.width, q.units);
  const second = q.piece.kind.worn
    ? phrase`The middle of the collar seam and this mark give the centre line: join them.`
    : phrase`Halve it again nearer the far end. Both marks together give the centre line: join them.`;
  const middleX = q.piece.centreLine.used.offset + q.piece.centreLine.used.slope * w.left.y;
  const foot = { x: middleX, y: q.outline.centreFrom };
  return [
    step(
      phrase`Tape across, ${w.name}: it reads ${mm(w.width)}. Mark half, ${mm(half)} from either ${w.edge}.`,
      {
        figure: mm(half),
        hint: seamOffsetHint(q),
        tape: { from: w.left, to: { x: 0, y: w.left.y } },
        cross: { x: middleX, y: w.left.y },
      },
    ),
    step(second, {
      tape: {
        from: q.piece.kind.worn ? { x: q.piece.centreLine.used.offset, y: 0 } : foot,
        to: { x: middleX, y: w.left.y },
      },
      cross: q.piece.kind.worn
        ? { x: q.piece.centreLine.used.offset, y: 0 }
        : { x: middleX, y: (w.left.y + q.outline.centreFrom) / 2 },
    }),
    depthStep(q, 'chalk'),
    centreStep(q, 'centre line'),
    axisStep(q),
  ];
}

function foldSteps(q: MarkQuestion): MarkStep[] {
  const w = widthOfPiece(q);
  const match = q.piece.kind.worn
    ? phrase`Fold it in half lengthwise: shoulder seams and side seams matched.`
    : phrase`Fold it in half lengthwise: side edges matched, hem to hem.`;
  const half = halveOnTape(w.width, q.units);
  const crease = { x: q.lineX, y: q.centre.y };
  return [
    step(match, {
      figure: mm(half),
      hint: phrase`Each half is ${mm(half)} wide.`,
      tape: { from: { x: 0, y: w.right.y }, to: w.right },
    }),
    step(phrase`Press a short crease, only where the design goes: the length of a finger. Open it again.`, {
      cross: crease,
      hint:
        q.piece.fabric.iron === 'yes'
          ? phrase`Mind the iron and the steam.`
          : phrase`This cloth takes little or no iron: finger-press it.`,
    }),
    depthStep(q, 'press or chalk'),
    centreStep(q, 'crease'),
    axisStep(q),
  ];
}

/** The steps of the mark card, in the order the tape is used, ending in the centre and its axis ends. */
export function markSteps(q: MarkQuestion, method: MarkMethod): MarkStep[] {
  return method === 'tape' ? tapeSteps(q) : foldSteps(q);
}

/** What to mind while marking this cloth. */
export function markCautions(piece: PiecePlan, prepare: 'wash' | 'press'): Phrase[] {
  const cautions: Phrase[] = [
    prepare === 'wash'
      ? phrase`Wash and press it first, so that it cannot shrink later.`
      : phrase`Press it first; it stays unwashed.`,
    phrase`Heat sets some inks: try the pen inside the hem, and mark after pressing.`,
    phrase`Air-fading ink may vanish before you hoop: mark late, or leave a pin in until it is hooped.`,
  ];
  if (piece.fabric.structure === 'pile')
    cautions.push(
      phrase`Chalk sinks into loops: use a placement marker, and lift it before the first stitch.`,
    );
  return cautions;
}
