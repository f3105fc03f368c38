import { type Phrase, phrase } from '../../base/units/phrase';
import type { PiecePlan } from '../piece/planPiece';

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
