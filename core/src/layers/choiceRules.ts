import { count, phrase } from '../units/phrase';
import type { LayerFacts } from './facts';
import type { ChoiceRule } from './rule';
import type { ChoicePart } from './schema';

const rule = (
  part: ChoicePart,
  choice: string,
  priority: number,
  rest: Omit<ChoiceRule, 'part' | 'choice' | 'priority'>,
): ChoiceRule => ({ part, choice, priority, ...rest });

const sinks = (f: LayerFacts) => f.looped || f.textured || f.structure === 'open weave';

const TOPPER_RULES: readonly ChoiceRule[] = [
  rule('topper', 'none', 10, {
    id: 'topper-none',
    when: () => true,
    reason: (f) => phrase`On ${f.fabricName.toLowerCase()} nothing sinks.`,
  }),
  rule('topper', 'soluble-film', 30, {
    id: 'topper-sinks',
    when: (f) => sinks(f) && f.mayGetWet,
    reason: (f) => phrase`Stitches sink into ${f.fabricName.toLowerCase()}: film keeps them on top.`,
  }),
  rule('topper', 'heat-away-film', 29, {
    id: 'topper-dry',
    when: (f) => sinks(f) && f.iron !== 'no',
    reason: () => phrase`Heat-away film where it must stay dry.`,
  }),
  rule('topper', 'permanent-film', 40, {
    id: 'topper-contrast',
    when: (f) => f.strongContrast && (f.looped || (f.dark && f.textured)),
    reason: (f) =>
      phrase`Thread and ground differ by ${count(Math.round(f.contrast))} in lightness: on loops the ground shines through without a film that stays.`,
  }),
  rule('topper', 'soluble-film', 20, {
    id: 'topper-always',
    school: { question: 'topper', id: 'always' },
    when: (f) => f.mayGetWet,
    reason: () => phrase`This shop lays a film on everything.`,
  }),
];

const NEEDLE_RULES: readonly ChoiceRule[] = [
  rule('needle', '75-embroidery', 10, {
    id: 'needle-usual',
    when: () => true,
    reason: () => phrase`The usual needle for 40 wt thread.`,
  }),
  rule('needle', '75-ballpoint', 20, {
    id: 'needle-knit',
    when: (f) => f.knit,
    reason: () => phrase`A ballpoint parts the loops of a knit; a sharp one cuts them.`,
  }),
  rule('needle', '75-sharp', 20, {
    id: 'needle-tight',
    when: (f) => f.structure === 'stable woven' || f.structure === 'faux suede',
    reason: () => phrase`A sharp point pierces tight cloth cleanly.`,
  }),
  rule('needle', '90', 25, {
    id: 'needle-canvas',
    when: (f) => f.structure === 'canvas',
    reason: () => phrase`A 75 bends in canvas.`,
  }),
  rule('needle', '65', 40, {
    id: 'needle-small-letters',
    when: (f) => f.smallLetters,
    reason: () => phrase`Small letters need fine holes.`,
  }),
];

const THREAD_RULES: readonly ChoiceRule[] = [
  rule('thread', 'polyester-40', 10, {
    id: 'thread-usual',
    when: () => true,
    reason: (f) => (f.worn || f.looped ? phrase`It is washed often.` : phrase`Holds its colour in the wash.`),
  }),
  rule('thread', 'rayon-40', 5, {
    id: 'thread-sheen',
    when: () => true,
    reason: () => phrase`For sheen, where it is washed gently.`,
  }),
  rule('thread', 'polyester-60', 30, {
    id: 'thread-small-letters',
    when: (f) => f.smallLetters,
    reason: () => phrase`Letters under 6 mm close up in 40 wt.`,
  }),
];

const OTHER_RULES: readonly ChoiceRule[] = [
  rule('bobbin', 'bobbin-60', 10, {
    id: 'bobbin-usual',
    when: () => true,
    reason: () =>
      phrase`What most machines are set for: on the back it fills the middle third of a satin column.`,
  }),
  rule('bobbin', 'bobbin-90', 5, {
    id: 'bobbin-fine',
    when: () => true,
    reason: () => phrase`Finer: check the top tension first.`,
  }),
  rule('cover', 'none', 10, {
    id: 'cover-none',
    when: () => true,
    reason: (f) =>
      f.worn
        ? phrase`Soft enough for grown skin; offered if it scratches.`
        : phrase`Nothing lies on skin for long.`,
  }),
  rule('cover', 'soft-cover', 30, {
    id: 'cover-young',
    when: (f) => f.toddler,
    reason: () => phrase`Young skin: a soft sheet over the back after stitching.`,
  }),
  rule('cover', 'soft-cover', 5, {
    id: 'cover-offered',
    when: (f) => f.worn,
    reason: () => phrase`A soft sheet over the back, if it scratches.`,
  }),
  rule('trim', 'rounded', 20, {
    id: 'trim-rounded',
    school: { question: 'trim', id: 'rounded' },
    when: () => true,
    reason: () => phrase`Enough left to carry the stitches, no corner to feel.`,
  }),
  rule('trim', 'close', 20, {
    id: 'trim-close',
    school: { question: 'trim', id: 'close' },
    when: () => true,
    reason: () => phrase`This shop trims close.`,
  }),
  rule('trim', 'tear-all', 20, {
    id: 'trim-tear',
    school: { question: 'trim', id: 'tearAll' },
    when: () => true,
    reason: () => phrase`This shop tears out everything that comes.`,
  }),
];

/** What goes on top, through and after: one choice to each part. */
export const CHOICE_RULES: readonly ChoiceRule[] = [
  ...TOPPER_RULES,
  ...NEEDLE_RULES,
  ...THREAD_RULES,
  ...OTHER_RULES,
];
