import { percent, phrase } from '../../../base/units/phrase';
import { KNIT, MEDIUM_OR_DENSER, SHOWS_THROUGH, TAKES_AN_IRON, THICK_KNIT } from '../conditions';
import type { LayerFacts } from '../facts';
import type { RuleGroup } from '../orderOfRules';
import type { SupportRule } from '../rule';

const stretch = (f: LayerFacts) =>
  phrase`${f.fabricName} is a knit with ${percent(f.stretchPercent)} stretch`;

/** Knits: what stays in. */
export const KNITS_RULES: RuleGroup<SupportRule> = {
  id: 'knits',
  before: ['wovens'],
  rules: [
    {
      id: 'knit-see-through-dense',
      on: [KNIT, SHOWS_THROUGH, TAKES_AN_IRON, MEDIUM_OR_DENSER],
      before: ['sweatshirt', 'sweatshirt-interfacing', 'terry', 'pile-no-iron'],
      sheets: ['mesh-fusible', 'tear-away'],
      further: 'tear-away',
      reason: (f) =>
        phrase`${stretch(f)}, thin or pale enough to see through: fused mesh hardly shows, and a tear-away carries the ${f.densityName} design while it is stitched.`,
    },
    {
      id: 'knit-see-through',
      on: [KNIT, SHOWS_THROUGH, TAKES_AN_IRON],
      before: ['sweatshirt', 'sweatshirt-interfacing', 'terry', 'pile-no-iron'],
      sheets: ['mesh-fusible'],
      further: 'tear-away',
      reason: (f) => phrase`${stretch(f)}, thin or pale enough to see through: fused mesh hardly shows.`,
    },
    {
      id: 'knit-see-through-no-iron',
      on: [KNIT, SHOWS_THROUGH],
      before: ['sweatshirt', 'sweatshirt-interfacing', 'terry', 'pile-no-iron'],
      sheets: ['mesh'],
      further: 'tear-away',
      reason: (f) => phrase`${stretch(f)}, seen through: light mesh hardly shows.`,
    },
    {
      id: 'sweatshirt',
      on: [THICK_KNIT, TAKES_AN_IRON],
      before: ['terry', 'pile-no-iron'],
      sheets: ['mesh-fusible', 'cut-away'],
      further: 'tear-away',
      reason: (f) =>
        phrase`${stretch(f)} and thick: a fused mesh makes it act like a woven, cut-away carries the stitches.`,
    },
    {
      id: 'sweatshirt-interfacing',
      on: [THICK_KNIT, TAKES_AN_IRON],
      before: ['terry', 'pile-no-iron'],
      givesWayTo: ['sweatshirt'],
      sheets: ['interfacing', 'mesh'],
      further: 'tear-away',
      reason: () => phrase`Fusible interfacing makes a sweatshirt act like a woven.`,
    },
    {
      id: 'knit-cut-away',
      on: [KNIT],
      sheets: ['cut-away'],
      further: 'tear-away',
      reason: (f) => phrase`${stretch(f)}: support that stays in, or the stitches sag after the first wash.`,
    },
    {
      id: 'knit-fused-mesh',
      on: [KNIT, TAKES_AN_IRON],
      givesWayTo: ['knit-cut-away'],
      sheets: ['mesh-fusible'],
      further: 'tear-away',
      reason: () => phrase`Fused mesh stays in too, softer against the skin.`,
    },
  ],
};
