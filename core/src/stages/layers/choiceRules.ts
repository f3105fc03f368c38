import { count, phrase } from '../../base/units/phrase';
import type { ChoiceId, ChoicePart } from '../../model/ticket/layers';
import type { LayerFacts } from './facts';
import type { ChoiceRule } from './rule';

const rule = <P extends ChoicePart>(
  part: P,
  choice: ChoiceId<P>,
  priority: number,
  rest: Omit<ChoiceRule, 'part' | 'choice' | 'priority'>,
): ChoiceRule => ({ part, choice, priority, ...rest });

const sinks = (f: LayerFacts) =>
  f.looped || f.structure === 'open weave' || (f.textured && f.structure !== 'canvas');

const TOPPER_RULES: readonly ChoiceRule[] = [
  rule('topper', 'none', 10, {
    id: 'topper-none',
    on: 'any cloth',
    when: () => true,
    reason: (f) => phrase`On ${f.fabricName.toLowerCase()} nothing sinks.`,
  }),
  rule('topper', 'soluble-film', 30, {
    id: 'topper-sinks',
    on: 'pile, loops, ribs or an open weave, may get wet',
    when: (f) => sinks(f) && f.mayGetWet,
    reason: (f) => phrase`Stitches sink into ${f.fabricName.toLowerCase()}: film keeps them on top.`,
  }),
  rule('topper', 'heat-away-film', 29, {
    id: 'topper-dry',
    on: 'pile, loops, ribs or an open weave, takes an iron',
    when: (f) => sinks(f) && f.iron !== 'no',
    reason: () => phrase`Heat-away film where it must stay dry.`,
  }),
  rule('topper', 'permanent-film', 28, {
    id: 'topper-neither',
    on: 'pile, loops, ribs or an open weave that takes neither water nor an iron',
    when: (f) => sinks(f) && !f.mayGetWet && f.iron === 'no',
    reason: (f) =>
      phrase`Stitches sink into ${f.fabricName.toLowerCase()}, and no film may be washed or ironed out of it: one that stays.`,
  }),
  rule('topper', 'permanent-film', 40, {
    id: 'topper-contrast',
    on: 'strong contrast on loops, or on dark cloth',
    when: (f) => f.strongContrast && (f.looped || f.dark) && f.structure !== 'no cloth',
    reason: (f) =>
      phrase`Thread and ground differ by ${count(Math.round(f.contrast))} in lightness: ${f.looped ? 'between the loops' : 'through a pale fill'} the ground shows without a film that stays, or a denser fill.`,
  }),
  rule('topper', 'soluble-film', 20, {
    id: 'topper-always',
    on: 'may get wet',
    school: { question: 'topper', id: 'always' },
    when: (f) => f.mayGetWet,
    reason: () => phrase`This shop lays a film on everything.`,
  }),
];

const NEEDLE_RULES: readonly ChoiceRule[] = [
  rule('needle', '75-embroidery', 10, {
    id: 'needle-usual',
    on: 'any cloth',
    when: () => true,
    reason: () => phrase`The usual needle for 40 wt thread.`,
  }),
  rule('needle', '75-ballpoint', 20, {
    id: 'needle-knit',
    on: 'knit',
    when: (f) => f.knit,
    reason: () => phrase`A ballpoint parts the loops of a knit; a sharp one cuts them.`,
  }),
  rule('needle', '75-sharp', 20, {
    id: 'needle-tight',
    on: 'stable woven or faux suede',
    when: (f) => f.structure === 'stable woven' || f.structure === 'faux suede',
    reason: () => phrase`A sharp point pierces tight cloth cleanly.`,
  }),
  rule('needle', '90', 25, {
    id: 'needle-canvas',
    on: 'canvas',
    when: (f) => f.structure === 'canvas',
    reason: () => phrase`A 75 bends in canvas.`,
  }),
  rule('needle', '65', 30, {
    id: 'needle-fine',
    on: 'light wovens that drape, and sheers',
    when: (f) => f.drapes || f.structure === 'sheer',
    reason: () => phrase`A fine needle leaves no holes in fine cloth.`,
  }),
  rule('needle', '65', 41, {
    id: 'needle-fine-thread',
    on: '60 wt thread',
    when: (f) => f.thread === 'polyester-60',
    reason: () => phrase`Thin thread wants a thin needle: in a larger hole it lies loose.`,
  }),
  rule('needle', '90-large-eye', 50, {
    id: 'needle-large-eye',
    on: 'metallic or heavy matte cotton thread',
    when: (f) => f.thread === 'metallic-40' || f.thread === 'matte-40',
    reason: () => phrase`This thread shreds in a narrow eye.`,
  }),
  rule('needle', 'wing', 1, {
    id: 'needle-wing',
    on: 'open weave',
    when: (f) => f.structure === 'open weave',
    reason: () => phrase`For decorative holes, in heirloom work.`,
  }),
  rule('needle', '65', 40, {
    id: 'needle-small-letters',
    on: 'lettering under 6 mm',
    when: (f) => f.smallLetters,
    reason: () => phrase`Small letters need fine holes.`,
  }),
];

const THREAD_RULES: readonly ChoiceRule[] = [
  rule('thread', 'polyester-40', 10, {
    id: 'thread-usual',
    on: 'anything',
    when: () => true,
    reason: (f) => (f.worn || f.looped ? phrase`It is washed often.` : phrase`Holds its colour in the wash.`),
  }),
  rule('thread', 'rayon-40', 5, {
    id: 'thread-sheen',
    on: 'anything',
    when: () => true,
    reason: () => phrase`For sheen, where it is washed gently.`,
  }),
  rule('thread', 'matte-40', 4, {
    id: 'thread-aged',
    on: 'anything',
    when: () => true,
    reason: () => phrase`For an aged look.`,
  }),
  rule('thread', 'metallic-40', 3, {
    id: 'thread-metallic',
    on: 'anything',
    when: () => true,
    reason: () => phrase`For glitter: run it slower.`,
  }),
  rule('thread', 'polyester-60', 30, {
    id: 'thread-small-letters',
    on: 'lettering under 6 mm',
    when: (f) => f.smallLetters,
    reason: () => phrase`Letters under 6 mm close up in 40 wt.`,
  }),
];

const OTHER_RULES: readonly ChoiceRule[] = [
  rule('bobbin', 'bobbin-60', 10, {
    id: 'bobbin-usual',
    on: 'anything',
    when: () => true,
    reason: () =>
      phrase`What most machines are set for: on the back it fills the middle third of a satin column.`,
  }),
  rule('bobbin', 'bobbin-90', 5, {
    id: 'bobbin-fine',
    on: 'anything',
    when: () => true,
    reason: () => phrase`Finer: check the top tension first.`,
  }),
  rule('cover', 'none', 10, {
    id: 'cover-none',
    on: 'anything',
    when: () => true,
    reason: (f) =>
      f.worn
        ? phrase`Soft enough for grown skin; offered if it scratches.`
        : phrase`Nothing lies on skin for long.`,
  }),
  rule('cover', 'soft-cover', 30, {
    id: 'cover-young',
    on: 'baby and toddler wear, takes an iron',
    when: (f) => f.young && f.iron !== 'no',
    reason: () => phrase`Young skin: a soft sheet over the back after stitching.`,
  }),
  rule('cover', 'lining', 29, {
    id: 'cover-young-no-iron',
    on: 'baby and toddler wear',
    when: (f) => f.young,
    reason: () => phrase`Young skin, and nothing may be fused here: a lining sewn over the back.`,
  }),
  rule('cover', 'soft-cover', 5, {
    id: 'cover-offered',
    on: 'worn',
    when: (f) => f.worn,
    reason: () => phrase`A soft sheet over the back, if it scratches.`,
  }),
  rule('trim', 'rounded', 20, {
    id: 'trim-rounded',
    on: 'anything',
    school: { question: 'trim', id: 'rounded' },
    when: () => true,
    reason: () => phrase`Enough left to carry the stitches, no corner to feel.`,
  }),
  rule('trim', 'close', 20, {
    id: 'trim-close',
    on: 'anything',
    school: { question: 'trim', id: 'close' },
    when: () => true,
    reason: () => phrase`This shop trims close.`,
  }),
  rule('trim', 'tear-all', 20, {
    id: 'trim-tear',
    on: 'anything',
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
