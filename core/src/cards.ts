import type { Point } from './geometry/point';
import { faceOf } from './piece/planPiece';
import type { Plan } from './plan';
import type { Stage } from './stages';
import { minutes, mm, type Phrase, phrase, type Quantity } from './units/phrase';

/** One hands-busy step: read at arm's length, one figure, one small drawing. Points in the piece frame, mm. */
export interface Card {
  text: Phrase;
  figure: Quantity | null;
  hint: Phrase | null;
  caution: Phrase | null;
  tape: { from: Point; to: Point } | null;
  cross: Point | null;
  /** The face of the piece it is drawn on; null for the one the design goes on. */
  face: string | null;
}

const card = (text: Phrase, rest: Partial<Card> = {}): Card => ({
  text,
  figure: null,
  hint: null,
  caution: null,
  tape: null,
  cross: null,
  face: null,
  ...rest,
});

function pieceCards({ piece }: Plan): Card[] {
  return piece.asked.map((reading) => {
    const face = faceOf(piece, reading.on ?? piece.kind.views[0].id);
    const [from, to] = [face?.sketch.landmarks[reading.from], face?.sketch.landmarks[reading.to]];
    const value = piece.readings[reading.id];
    return card(phrase`${reading.how}`, {
      figure: value === undefined ? null : mm(value),
      hint: phrase`${reading.name}`,
      tape: from && to ? { from, to } : null,
      face: face?.view.id ?? null,
    });
  });
}

function hoopCards({ hoop, place }: Plan): Card[] {
  if (!hoop?.laid || !place) return [];
  const { hoop: chosen } = hoop.laid.verdict;
  const cut = hoop.cut
    ? [
        card(phrase`Cut the stabilizer ${mm(hoop.cut.widthMm)} × ${mm(hoop.cut.heightMm)}.`, {
          figure: mm(hoop.cut.widthMm),
          caution: phrase`Scissors away from you.`,
        }),
      ]
    : [];
  const opened = card(
    phrase`Loosen ${chosen.name} before you close it; bracket on the ${chosen.bracket}, arrow to arrow.`,
    { hint: phrase`The inner ring upside down puts its notches off.` },
  );
  const [centreNotch, level] = [
    phrase`Bring the hoop's notches onto the centre and both axis ends.`,
    { cross: place.centre },
  ];
  if (hoop.method === 'floated') {
    return [
      ...cut,
      opened,
      card(hoop.tension),
      card(phrase`Lay the piece on it: ${centreNotch}`, level),
      card(
        phrase`Smooth it from the middle outwards. A basting box ${mm(hoop.bastingMm ?? 0)} outside the design goes first.`,
      ),
    ];
  }
  return [
    ...cut,
    opened,
    card(phrase`Outer ring inside, under both layers' mark; the stabilizer covers the whole ring.`),
    card(centreNotch, level),
    card(phrase`Close it finger-tight, the inner ring a hair past flush.`, { hint: hoop.tension }),
  ];
}

function layerCards({ layers }: Plan): Card[] {
  if (!layers) return [];
  const sheets = [...layers.stack].reverse().map((layer) =>
    card(phrase`${layer.name}: ${layer.note}.`, {
      caution: layer.note.includes('spray')
        ? phrase`Spray on the stabilizer, well aired, away from the machine and any flame. Read the label.`
        : layer.note.includes('fused')
          ? phrase`Iron burns: mind your fingers.`
          : null,
    }),
  );
  return [
    ...sheets,
    card(
      phrase`Needle ${layers.parts.needle.choice.name}, ${layers.parts.thread.choice.name}, ${layers.parts.bobbin.choice.name}.`,
    ),
  ];
}

/** The deck of a stage's step cards, in order. Empty where the stage has none, or waits for an earlier one. */
export function deckOf(stage: Stage, plan: Plan): Card[] {
  switch (stage) {
    case 'piece':
      return pieceCards(plan);
    case 'place':
      return (plan.place?.marks ?? []).map((step) => card(step.text, step));
    case 'hoop':
      return hoopCards(plan);
    case 'layers':
      return layerCards(plan);
    case 'mount':
      return (plan.mount?.checklist ?? []).map((check) => card(check.text, { caution: check.caution }));
    case 'stitch':
      return (plan.stitch?.stops ?? []).map((stop, i) =>
        card(phrase`Colour ${String(i + 1)}: ${stop.thread?.name ?? stop.name}.`, {
          figure: minutes(Math.max(1, Math.round(stop.minutes))),
          hint: plan.stitch?.acts[0] ?? null,
          caution: phrase`Hands away from the moving hoop; never reach in while it runs.`,
        }),
      );
    case 'finish':
      return (plan.finish?.steps ?? []).map((step) => card(step.text, { caution: step.caution }));
    default:
      return [];
  }
}
