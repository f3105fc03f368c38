import type { Point } from '../../../base/geometry/point';
import { halveOnTape } from '../../../base/units/halveOnTape';
import { mm, phrase } from '../../../base/units/phrase';
import type { Evenness } from '../../../model/ticket/piece';
import { datumName, isA } from '../../piece/geometry';
import { landmark } from '../placement';
import type { MarkAct } from './acts';
import { type MarkQuestion, type MarkStep, side, step } from './markStep';

/** The face's width, read between two landmarks, and half of it. */
export function halved(q: MarkQuestion) {
  const { halving } = q.piece.view;
  const [left, right] = [landmark(q.outline, halving.left), landmark(q.outline, halving.right)];
  const width = Math.hypot(right.x - left.x, right.y - left.y);
  return { ...halving, left, right, width, half: halveOnTape(width, q.units) };
}

/** Where the used centre line passes at a level. */
export const lineAt = (q: MarkQuestion, y: number): Point => ({
  x: q.piece.centreLine.used.offset + q.piece.centreLine.used.slope * y,
  y,
});

/** Halves that differ by less are even to a tape, mm. */
const EVEN_MM = 0.3;

type OfPiece = Pick<MarkQuestion, 'piece'>;

/** Whether the piece is placed by the line that halving it gives: its halves are alike, as far as was read. */
export function isHalved({ piece: { evenness, centreLine } }: OfPiece): boolean {
  const { used } = centreLine;
  const even = evenness.every((e) => Math.abs(e.rightMm - e.leftMm) / 2 < EVEN_MM);
  return even && used.offset === 0 && used.slope === 0;
}

/** Whether a crease with both edges matched is the line the piece is placed by: halved, or placed by its seams. */
export function isFolded({ piece }: OfPiece): boolean {
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

/** A mark at the landmark's own level, beside its middle where the line passes there. */
function atDatum(q: MarkQuestion): MarkStep {
  const at = lineAt(q, 0);
  const beside: MarkAct = { do: 'beside', at: { x: 0, y: 0 }, mm: at.x };
  if (Math.abs(at.x) < 0.05)
    return step(phrase`Mark the middle of ${datumName(q.piece.view)}.`, { cross: at, acts: [beside] });
  return step(
    phrase`At ${datumName(q.piece.view)}, mark ${mm(Math.abs(at.x))} to your ${side(at.x)} of its middle.`,
    {
      figure: mm(Math.abs(at.x)),
      tape: { from: { x: 0, y: 0 }, to: at },
      cross: at,
      acts: [beside],
    },
  );
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
    phrase`Lay a ruler straight from the middle of ${datumName(q.piece.view)}. ${mm(Math.abs(y))} along it, mark ${mm(Math.abs(at.x))} to your ${side(at.x)}.`,
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

/** The line the piece is placed by, found with the tape. */
export function centreLineSteps(q: MarkQuestion): MarkStep[] {
  if (!isHalved(q)) return unevenLineSteps(q);
  const w = halved(q);
  const y = w.left.y;
  const first = lineAt(q, y);
  const farY = (y + (y === q.outline.centreFrom ? q.outline.centreTo : q.outline.centreFrom)) / 2;
  const second = w.second ? landmark(q.outline, w.second.landmark) : lineAt(q, farY);
  const secondAct: MarkAct = w.second ? { do: 'beside', at: second, mm: 0 } : { do: 'halve', y: farY };
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

/** The same line found by folding. */
export function foldedLineSteps(q: MarkQuestion): MarkStep[] {
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
