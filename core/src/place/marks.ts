import type { DesignFacts } from '../design/planDesign';
import { type Point, plus, turn } from '../geometry/point';
import { isA, type PieceOutline } from '../piece/geometry';
import type { PiecePlan } from '../piece/planPiece';
import { halveOnTape } from '../units/halveOnTape';
import type { DisplayUnits } from '../units/length';
import { count, mm, type Phrase, phrase, type Quantity } from '../units/phrase';
import type { Copy } from './copies';
import { landmark, type RuledSpot } from './placement';
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
    });
  }
  const across = q.centre.x - q.lineX;
  if (Math.abs(across) < 0.05) {
    return step(phrase`Chalk the centre where the level meets the ${line}.`, {
      cross: q.centre,
      hint: phrase`This is the design's centre.`,
    });
  }
  return step(phrase`From the ${line}, ${mm(Math.abs(across))} to your ${side(across)}: chalk the centre.`, {
    figure: mm(Math.abs(across)),
    hint: sideNamed(q, across),
    tape: { from: { x: q.lineX, y: q.centre.y }, to: q.centre },
    cross: q.centre,
  });
}

function depthStep(q: MarkQuestion, mark: string): MarkStep {
  const { depth, edge } = q.spot;
  const fromLine = depth.at.x === 0 && !edge;
  const from = fromLine ? { x: q.lineX, y: depth.at.y } : depth.at;
  const to = { x: from.x, y: q.centre.y };
  const reading = Math.abs(q.centre.y - depth.at.y);
  const text =
    depth.way === 'down'
      ? phrase`From ${depth.name} straight down ${mm(reading)}: ${mark} a level line.`
      : phrase`From ${depth.name} up ${mm(reading)}: ${mark} a level line.`;
  return step(text, { figure: mm(reading), hint: depth.hint ?? null, tape: { from, to }, cross: to });
}

/** The face's width, read between two landmarks, and half of it. */
function halved(q: MarkQuestion) {
  const { halving } = q.piece.view;
  const [left, right] = [landmark(q.outline, halving.left), landmark(q.outline, halving.right)];
  const width = Math.hypot(right.x - left.x, right.y - left.y);
  return { ...halving, left, right, width, half: halveOnTape(width, q.units) };
}

function seamOffsetHint(q: MarkQuestion): Phrase | null {
  const { centreLine } = q.piece;
  if (!centreLine.uneven) return null;
  const line = { seams: 'the seams', grain: 'the grain', wearers: 'the collar and the grain' }[
    centreLine.usedSchool
  ];
  return phrase`This piece is uneven: its edges' middle lies ${mm(Math.abs(centreLine.offsetMm))} to your ${side(centreLine.offsetMm)}. Trust ${line}.`;
}

const lineAt = (q: MarkQuestion, y: number): Point => ({
  x: q.piece.centreLine.used.offset + q.piece.centreLine.used.slope * y,
  y,
});

function centreLineSteps(q: MarkQuestion): MarkStep[] {
  const w = halved(q);
  const first = lineAt(q, w.left.y);
  const second = w.second ? lineAt(q, landmark(q.outline, w.second.landmark).y) : null;
  const far = lineAt(q, (w.left.y + q.outline.centreFrom) / 2);
  return [
    step(
      phrase`Tape across, ${w.name}: it reads ${mm(w.width)}. Mark half, ${mm(w.half)} from either ${w.edge}.`,
      {
        figure: mm(w.half),
        hint: seamOffsetHint(q),
        tape: { from: w.left, to: { x: 0, y: w.left.y } },
        cross: first,
      },
    ),
    step(
      w.second
        ? phrase`This mark and ${w.second.name} give the centre line: join them.`
        : phrase`Halve it again nearer the far end. Both marks together give the centre line: join them.`,
      { tape: { from: second ?? far, to: first }, cross: second ?? far },
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
    }),
  ];
}

function joinSteps(q: MarkQuestion): MarkStep[] {
  const w = halved(q);
  const top = w.second ? landmark(q.outline, w.second.landmark) : { x: 0, y: q.outline.centreFrom };
  const levelY = w.left.y;
  const apart = q.centre.y - levelY;
  return [
    step(
      w.second
        ? phrase`Find ${w.second.name}, and the middle of the far edge opposite. Join the two with a chalk line.`
        : phrase`Find the middles of both ends. Join the two with a chalk line.`,
      {
        tape: { from: top, to: lineAt(q, q.outline.centreTo) },
        cross: lineAt(q, top.y),
        hint: seamOffsetHint(q),
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
      },
    ),
  ];
}

function templateSteps(q: MarkQuestion): MarkStep[] {
  const reading = Math.abs(q.centre.y - q.spot.depth.at.y);
  const w = halved(q);
  return [
    step(phrase`Print the template at 100 %. Lay a ruler on its proving ruler: 100 mm must measure 100 mm.`, {
      hint: phrase`Cut it out; prick the centre and both axis ends.`,
    }),
    step(phrase`Find the centre line: half of ${mm(w.width)} is ${mm(w.half)} from either ${w.edge}.`, {
      figure: mm(w.half),
      tape: { from: w.left, to: { x: 0, y: w.left.y } },
      hint: seamOffsetHint(q),
    }),
    step(
      phrase`Lay the template with its arrow to the top and its centre ${mm(reading)} ${q.spot.depth.way} from ${q.spot.depth.name}${Math.abs(q.centre.x - q.lineX) < 0.05 ? phrase` on the centre line` : phrase`, ${mm(Math.abs(q.centre.x - q.lineX))} to your ${side(q.centre.x - q.lineX)} of the centre line`}.`,
      {
        figure: mm(reading),
        tape: { from: { x: q.centre.x, y: q.spot.depth.at.y }, to: q.centre },
        cross: q.centre,
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
  const reading = Math.abs(q.centre.y - q.spot.depth.at.y);
  return [
    step(phrase`Print the template at 100 % and cut it out. Put the garment on the person, shoulders level.`),
    step(
      phrase`Start at the tape's reading, ${mm(reading)} ${q.spot.depth.way} from ${q.spot.depth.name}, and tape the template on with low-tack tape.`,
      {
        figure: mm(reading),
        tape: { from: { x: q.centre.x, y: q.spot.depth.at.y }, to: q.centre },
        cross: q.centre,
        hint: sideNamed(q, q.centre.x),
      },
    ),
    step(
      phrase`Step back and look in a mirror. Move it until it sits right on the person, not on the seams; its top edge level.`,
    ),
    step(
      phrase`Mark through the holes: the centre and both axis ends. Take the garment off and measure where the centre is now.`,
      {
        cross: q.centre,
        hint: phrase`Enter the difference by dragging the design on the sheet, so that the plan knows.`,
      },
    ),
  ];
}

function copySteps(q: MarkQuestion): MarkStep[] {
  return q.copies.slice(1).map((copy, i) =>
    step(phrase`No. ${count(i + 2)}: ${copy.reading}. Chalk its centre.`, {
      cross: copy.centre,
      tape: { from: { x: q.lineX, y: copy.centre.y }, to: copy.centre },
      figure: mm(Math.abs(copy.centre.x - q.lineX)),
    }),
  );
}

/** The ways of §4 that serve a spot: not every one finds every spot. */
export function methodsFor(piece: PiecePlan, spot: RuledSpot): MarkMethod[] {
  if (spot.corner) return ['fold', 'tape'];
  if (spot.edge) return ['tape', 'template'];
  return isA(piece.kind, 'worn')
    ? ['tape', 'fold', 'join', 'template', 'wear']
    : ['tape', 'fold', 'join', 'template'];
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
