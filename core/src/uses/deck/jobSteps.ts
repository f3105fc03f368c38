import { minutes, mm, type Phrase, phrase } from '../../base/units/phrase';
import type { HouseRules } from '../../model/houseRules';
import type { Stage } from '../../model/stages';
import type { Plan } from '../../planner/planned';
import type { LaidHoop } from '../../stages/hoop/layHoop';
import { topperWords } from '../../stages/mount/planMount';
import { faceOf } from '../../stages/piece/planPiece';
import { topperAfter } from '../../stages/stitch/clothWork';
import type { StitchStop } from '../../stages/stitch/planStitch';
import { bondSteps, clothCutSteps, cutSteps } from './cutAndBond';
import { furtherCopies } from './furtherCopies';
import { ringSteps } from './ring';
import { type Phase, type Step, stepOf } from './step';

/** Readings to take: those that the marks ask for, or those that can wait until the ring closes. */
function measureSteps({ piece }: Plan, phase: 'measure' | 'measure the rest'): Step[] {
  const { asked, later, assumed } = piece;
  return asked
    .filter((reading) => later.includes(reading) === (phase === 'measure the rest'))
    .map((reading) => {
      const face = faceOf(piece, reading.on ?? piece.kind.views[0].id);
      const [from, to] = [face?.sketch.landmarks[reading.from], face?.sketch.landmarks[reading.to]];
      const value = assumed.includes(reading.id) ? undefined : piece.readings[reading.id];
      return stepOf(phase, `measure ${reading.id}`, phrase`${reading.how}`, {
        figure: value === undefined ? null : mm(value),
        hint: phrase`${reading.name}`,
        reading: reading.id,
        tape: from && to ? { from, to } : null,
        face: face?.view.id ?? null,
      });
    });
}

const HEAT_SETS = phrase`Fusing follows, and heat sets ink: mark with thread, tape or a placement marker.`;

/** Whether something is fused while the marks are on the cloth. */
const isFusedMarked = ({ layers, design }: Plan): boolean =>
  (layers?.sheets ?? []).some(({ bond }) => bond === 'fused') ||
  (design.facts?.cloths ?? []).some(({ applique: { cloth, way } }) => cloth.fused && way !== 'trimmed');

/** Preparing the cloth, its marks, and their way to the wrong side. */
function markSteps(plan: Plan): Step[] {
  const { place } = plan;
  if (!place) return [];
  const last = place.marks.length - 1;
  const caution = isFusedMarked(plan) ? HEAT_SETS : null;
  return [
    stepOf('prepare', 'prepare', place.prepare, { choice: place.methods.length > 1 ? 'method' : null }),
    ...place.marks.map(({ text, ...rest }, i) =>
      stepOf(
        i === last ? 'transfer' : 'mark',
        `mark ${i}`,
        text,
        i === 0 && caution ? { ...rest, caution } : rest,
      ),
    ),
  ];
}

/** Closing the ring; of a split design the registration crosses of the part in hand come with it. */
function hoopSteps({ hoop, place, piece, layers, mount }: Plan, rules: HouseRules): Step[] {
  if (!hoop?.laid || !place || !layers || !mount) return [];
  const { laid } = hoop;
  return [...ringSteps({ hoop: { ...hoop, laid }, place, piece, layers, mount, rules }), ...partSteps(laid)];
}

function partSteps({ split }: LaidHoop): Step[] {
  if (!split || split.split.parts.length < 2) return [];
  const { index, split: all } = split;
  const of = all.parts.length;
  const text =
    index === 0
      ? phrase`Part 1 of ${String(of)}: its crosses are stitched with it.`
      : phrase`Part ${String(index + 1)} of ${String(of)}: bring the needle over each cross of the part before, then stitch.`;
  const hint =
    index + 1 === of
      ? phrase`Crosses are picked out when all is stitched.`
      : phrase`Leave the crosses in: the next part is laid on them.`;
  return [stepOf('hoop', `part ${index}`, text, { hint })];
}

function needleSteps({ layers }: Plan): Step[] {
  if (!layers) return [];
  const { needle, thread, bobbin } = layers.parts;
  const text = phrase`Needle ${needle.choice.name}, ${thread.choice.name}, ${bobbin.choice.name}.`;
  return [stepOf('bond', 'needle and thread', text)];
}

/** What is keyed in, once the hoop is latched. */
const KEYS = stepOf('check', 'check keys', phrase`Call the design up and key it in.`, {
  keys: 1,
  hint: phrase`Then compare the machine’s screen with the drawing.`,
});

const checkSteps = ({ mount }: Plan): Step[] =>
  (mount?.checklist ?? []).flatMap(({ id, text, caution }) => [
    stepOf('check', `check ${id}`, text, { caution }),
    ...(id === 'latched' ? [KEYS] : []),
  ]);

/** Over the cloth of an appliqué the topper is laid once that is in its place, before what covers its edge. */
function topperStep({ stitch, layers }: Plan, i: number): Step[] {
  const topper = layers?.parts.topper.choice;
  if (!stitch || !layers || !topper || topper.id === 'none' || topperAfter(stitch.stops) !== i) return [];
  return [
    stepOf('stitch', `cloth ${i} topper`, topperWords(topper.name, layers), {
      hint: phrase`Not before: the iron or scissors would spoil it.`,
      caution: phrase`The machine stands still before a hand goes into the hoop.`,
    }),
  ];
}

const stitchSteps = (plan: Plan): Step[] =>
  (plan.stitch?.stops ?? []).flatMap((stop, i) => [
    stepOf('stitch', `stitch ${i}`, phrase`Colour ${String(i + 1)}: ${stop.called}.`, {
      figure: minutes(Math.max(1, Math.round(stop.minutes))),
      hint: plan.stitch?.acts[0] ?? null,
      caution: phrase`Hands away from the moving hoop; never reach in while it runs.`,
    }),
    ...clothSteps(stop, i),
    ...topperStep(plan, i),
  ]);

/** Laying and trimming the cloth of an appliqué, each on a card of its own. */
function clothSteps({ time: { cloth } }: StitchStop, i: number): Step[] {
  if (!cloth) return [];
  const { id, what, how, caution } = cloth;
  return [stepOf('stitch', `cloth ${i} ${id}`, sentence(what), { hint: how, caution })];
}

/** Words as a sentence. */
const sentence = ([first, ...rest]: Phrase): Phrase => {
  const begun = typeof first === 'string' ? first.charAt(0).toUpperCase() + first.slice(1) : (first ?? '');
  return [begun, ...rest, '.'];
};

const finishSteps = ({ finish }: Plan): Step[] =>
  (finish?.steps ?? []).map(({ id, text, caution }) => stepOf('finish', `finish ${id}`, text, { caution }));

/**
 * The whole job as one ordered list: measure, prepare, mark, transfer, measure what could wait, cut, bond, hoop, check,
 * stitch, hoop and stitch each further copy, finish.
 * What waits for an earlier stage is left out.
 */
export const jobSteps = (plan: Plan, rules: HouseRules): Step[] => [
  ...measureSteps(plan, 'measure'),
  ...markSteps(plan),
  ...(plan.place ? measureSteps(plan, 'measure the rest') : []),
  ...cutSteps(plan, rules),
  ...clothCutSteps(plan, rules),
  ...bondSteps(plan),
  ...needleSteps(plan),
  ...hoopSteps(plan, rules),
  ...checkSteps(plan),
  ...stitchSteps(plan),
  ...furtherCopies(plan),
  ...finishSteps(plan),
];

/** The phases that a stage's deck shows: the hoop's begins with what must be done before the ring closes. */
const SLICES: Partial<Record<Stage, readonly Phase[]>> = {
  piece: ['measure'],
  place: ['prepare', 'mark', 'transfer'],
  hoop: ['measure the rest', 'cut', 'bond', 'hoop'],
  layers: ['cut', 'bond'],
  mount: ['check'],
  stitch: ['stitch', 'further copies'],
  finish: ['finish'],
};

/** The deck of a stage: its slice of the job. Empty where the stage has no steps, or waits for an earlier one. */
export function deckOf(stage: Stage, plan: Plan, rules: HouseRules): Step[] {
  const phases = SLICES[stage];
  return phases ? jobSteps(plan, rules).filter(({ phase }) => phases.includes(phase)) : [];
}
