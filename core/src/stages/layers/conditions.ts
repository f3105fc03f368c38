import type { LayerFacts } from './facts';

/** Something that is so of a piece or not: the test and its words in one place, so that they cannot part. */
export interface Condition {
  words: string;
  holds: (facts: LayerFacts) => boolean;
  /** What else is so wherever this is. */
  implies?: readonly Condition[];
}

const condition = (
  words: string,
  holds: Condition['holds'],
  implies: readonly Condition[] = [],
): Condition => ({ words, holds, implies });

const ofStructure = (structure: LayerFacts['structure'], words: string = structure): Condition =>
  condition(words, (f) => f.structure === structure);

/** What cloth it is. */
export const KNIT = condition('knit', (f) => f.knit);
export const THICK_KNIT = condition('thick knit', (f) => f.knit && f.thick, [KNIT]);
export const SHOWS_THROUGH = condition(
  'thin or pale and see-through',
  (f) => f.seeThrough && (f.thin || f.pale),
);
export const STABLE_WOVEN = ofStructure('stable woven');
export const DRAPES = condition('light woven that drapes', (f) => f.drapes, [STABLE_WOVEN]);
export const OPEN_WEAVE = ofStructure('open weave');
export const LOOPS = condition('pile or waffle', (f) => f.looped);
export const PILE = { ...ofStructure('pile'), implies: [LOOPS] };
export const WAFFLE = { ...ofStructure('waffle'), implies: [LOOPS] };
export const NO_PILE = condition('without pile', (f) => f.structure !== 'pile');
export const CANVAS = ofStructure('canvas');
export const FAUX_SUEDE = ofStructure('faux suede');
export const SHEER = ofStructure('sheer');
export const NO_CLOTH = ofStructure('no cloth', 'lace without a cloth');
export const TIGHT = condition('stable woven or faux suede', (f) =>
  [STABLE_WOVEN, FAUX_SUEDE].some((cloth) => cloth.holds(f)),
);
export const FINE = condition(
  'light wovens that drape, and sheers',
  (f) => f.drapes || f.structure === 'sheer',
);
export const SINKS = condition(
  'pile, loops, ribs or an open weave',
  (f) => f.looped || f.structure === 'open weave' || (f.textured && f.structure !== 'canvas'),
);

/** What it stands. */
export const TAKES_AN_IRON = condition('takes an iron', (f) => f.iron !== 'no');
export const TAKES_NO_IRON = condition('takes no iron', (f) => f.iron === 'no');
export const MAY_GET_WET = condition('may get wet', (f) => f.mayGetWet);
export const STAYS_DRY = condition('must stay dry', (f) => !f.mayGetWet);

/** What it is for. */
export const WORN = condition('worn', (f) => f.worn);
export const YOUNG = condition('baby and toddler wear', (f) => f.young, [WORN]);
export const HOUSEHOLD = condition('napkins and tea towels', (f) => f.household);
export const SAT_ON = condition('what is sat on', (f) => f.satOn);
export const CARRIED = condition('carried', (f) => f.carried);
export const TOY = condition('soft toys', (f) => f.toy);

/** How it is held. */
export const FLOATED = condition('floated', (f) => f.floated);
export const HOOPED = condition('hooped', (f) => !f.floated);

/** What goes on it. */
export const MEDIUM_OR_DENSER = condition('under a medium or denser design', (f) => f.rank >= 2);
export const HEAVY = condition('under a heavy design', (f) => f.heavy);
export const CARRIES_IT = condition(
  'under a design that is not heavy or in a ring that closes on no sheet',
  (f) => !f.heavy || !f.closesWithSheet,
);
export const PLAIN_LETTERING = condition('letters of one colour', (f) => f.plainLettering);
export const SMALL_LETTERS = condition('small lettering', (f) => f.smallLetters);
export const STRONG_CONTRAST = condition(
  'strong contrast on loops, or on dark cloth',
  (f) => f.strongContrast && (f.looped || f.dark) && f.structure !== 'no cloth',
);
export const FINE_THREAD = condition('60 wt thread', (f) => f.thread === 'polyester-60');
export const THICK_THREAD = condition(
  'metallic or heavy matte cotton thread',
  (f) => f.thread === 'metallic-40' || f.thread === 'matte-40',
);

/** Conditions with all that they imply. */
export function closureOf(conditions: readonly Condition[]): Set<Condition> {
  const all = new Set<Condition>();
  const add = (one: Condition): void => {
    if (all.has(one)) return;
    all.add(one);
    for (const implied of one.implies ?? []) add(implied);
  };
  conditions.forEach(add);
  return all;
}

/** Whether all of them hold. */
export const allHold = (conditions: readonly Condition[], facts: LayerFacts): boolean =>
  conditions.every((one) => one.holds(facts));

/** Conditions as they are said: in their order, with commas; `anything` where there are none. */
export const conditionsInWords = (conditions: readonly Condition[], anything: string): string =>
  conditions.map(({ words }) => words).join(', ') || anything;
