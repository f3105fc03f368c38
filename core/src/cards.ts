import type { Point } from './geometry/point';
import type { LaidHoop } from './hoop/layHoop';
import { type RingPicture, ritualFor } from './hoop/ritual';
import { faceOf } from './piece/planPiece';
import type { Plan } from './plan';
import type { HouseRules } from './rules/schema';
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
  /** A picture of the ring in place of the piece; null for the piece. */
  ring: RingPicture | null;
}

const card = (text: Phrase, rest: Partial<Card> = {}): Card => ({
  text,
  figure: null,
  hint: null,
  caution: null,
  tape: null,
  cross: null,
  face: null,
  ring: null,
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

/** The ring's ritual; of a split design the registration crosses of the part in hand come with it. */
function hoopCards({ hoop, place, piece, layers, mount }: Plan, rules: HouseRules): Card[] {
  if (!hoop?.laid || !place || !layers || !mount) return [];
  const { laid } = hoop;
  const steps = ritualFor({ hoop: { ...hoop, laid }, place, piece, layers, mount, rules });
  const cards = steps.map(({ text, figure, hint, caution, picture, atCentre }) =>
    card(text, {
      figure: figure ?? null,
      hint: hint ?? null,
      caution: caution ?? null,
      ring: picture,
      cross: atCentre ? place.centre : null,
    }),
  );
  return [...cards, ...partCards(laid)];
}

function partCards({ split }: LaidHoop): Card[] {
  if (!split || split.split.parts.length < 2) return [];
  const { index, split: all } = split;
  const last = index + 1 === all.parts.length;
  return [
    card(
      index === 0
        ? phrase`Part 1 of ${String(all.parts.length)}: its crosses are stitched with it.`
        : phrase`Part ${String(index + 1)} of ${String(all.parts.length)}: bring the needle over each cross of the part before, then stitch.`,
      {
        hint: last
          ? phrase`Crosses are picked out when all is stitched.`
          : phrase`Leave the crosses in: the next part is laid on them.`,
      },
    ),
  ];
}

function layerCards({ layers }: Plan): Card[] {
  if (!layers) return [];
  const sheets = [...layers.stack].reverse().map((layer) =>
    card(phrase`${layer.name}: ${layer.note}.`, {
      caution:
        layer.sheet?.hold === 'spray'
          ? phrase`Spray on the stabilizer, well aired, away from the machine and any flame. Read the label.`
          : layer.sheet?.hold === 'fused'
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
export function deckOf(stage: Stage, plan: Plan, rules: HouseRules): Card[] {
  switch (stage) {
    case 'piece':
      return pieceCards(plan);
    case 'place':
      return (plan.place?.marks ?? []).map((step) => card(step.text, step));
    case 'hoop':
      return hoopCards(plan, rules);
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
