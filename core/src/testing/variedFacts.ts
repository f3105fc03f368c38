import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES, schoolsOfShop } from '../model/houseRules';
import { QUESTION_IDS, type QuestionId, SCHOOL_IDS } from '../model/schoolIds';
import { CHOICE_IDS } from '../model/ticket/layers';
import { STRUCTURES } from '../model/ticket/piece';
import type { LayerFacts } from '../stages/layers/facts';

const flag = fc.boolean();

const schools = fc.record(
  Object.fromEntries(QUESTION_IDS.map((q) => [q, fc.constantFrom(...SCHOOL_IDS[q])])) as {
    [Q in QuestionId]: fc.Arbitrary<string>;
  },
);

/** Facts that a rule may look at, as far as they can be so together: what is worn is no toy, only a woven drapes. */
export const variedFacts: fc.Arbitrary<LayerFacts> = fc
  .record({
    structure: fc.constantFrom(...STRUCTURES),
    use: fc.constantFrom('worn', 'young', 'toy', 'satOn', 'carried', 'household', 'ornament', 'none'),
    iron: fc.constantFrom('yes', 'low', 'no'),
    thread: fc.constantFrom(...CHOICE_IDS.thread),
    rank: fc.integer({ min: 0, max: 4 }),
    of: fc.record({
      textured: flag,
      thick: flag,
      thin: flag,
      pale: flag,
      seeThrough: flag,
      mayGetWet: flag,
      ringMarks: flag,
      holesStay: flag,
      bastingMm: fc.constantFrom(5, 3, null),
      floated: flag,
      flatRing: flag,
      many: flag,
      smallLetters: flag,
      appliqued: flag,
      plainLettering: flag,
      strongContrast: flag,
      closesWithSheet: flag,
      dark: flag,
    }),
    knit: flag,
    drapes: flag,
    heavyByCount: flag,
    schools,
  })
  .map(({ structure, use, iron, thread, rank, of, knit, drapes, heavyByCount, schools: chosen }) => ({
    ...of,
    structure,
    iron,
    thread,
    rank,
    fabricName: structure,
    knit: structure === 'knit' || (structure === 'pile' && knit),
    drapes: structure === 'stable woven' && drapes,
    looped: structure === 'pile' || structure === 'waffle',
    stretchPercent: 20,
    worn: use === 'worn' || use === 'young',
    againstSkin: use === 'worn' || use === 'young',
    young: use === 'young',
    toy: use === 'toy',
    satOn: use === 'satOn',
    carried: use === 'carried',
    household: use === 'household',
    ornament: use === 'ornament',
    densityName: 'medium' as const,
    stitches: 5000,
    heavy: rank >= 3 || heavyByCount,
    contrast: 50,
    schools: { ...schoolsOfShop(DEFAULT_HOUSE_RULES), ...chosen } as LayerFacts['schools'],
    rules: DEFAULT_HOUSE_RULES,
  }));
