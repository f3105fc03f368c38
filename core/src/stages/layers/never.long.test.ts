import { FABRICS } from '../../catalogue/fabrics';
import { QUESTIONS } from '../../catalogue/schools';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { QuestionId } from '../../model/schoolIds';
import { applyChange } from '../../model/ticket';
import { CHOICE_PARTS } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import { someOf } from '../../testing/cases';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { decideLayers } from './decideLayers';
import { type LayerFacts, layerFacts } from './facts';
import { breaksNever } from './never';
import { floatsOnNothing, whySheetCannot } from './placing';

/** The questions whose schools the layers look at. */
const ASKED: readonly QuestionId[] = [
  'layerCount',
  'wearableBacking',
  'hold',
  'topper',
  'trim',
  'thickJacket',
  'knitTension',
];

/** Every combination of schools on those questions. */
const SCHOOLS = ASKED.reduce<Record<string, string>[]>(
  (all, question) =>
    all.flatMap((chosen) =>
      Object.keys(QUESTIONS[question].schools).map((school) => ({ ...chosen, [question]: school })),
    ),
  [{}],
);

const USES = {
  worn: { worn: true, againstSkin: true },
  'baby wear': { worn: true, againstSkin: true, young: true },
  household: { worn: false, household: true },
  cushion: { worn: false, satOn: true },
  toy: { worn: false, toy: true },
} as const satisfies Record<string, Partial<LayerFacts>>;
const USUAL = {
  worn: false,
  againstSkin: false,
  young: false,
  household: false,
  satOn: false,
  toy: false,
  carried: false,
};
const NOTHING_CHOSEN = { support: null, choices: {} };

function factsOf(fabricId: string): LayerFacts {
  const ticket = applyChange(exampleA(), { stage: 'piece', set: { fabricId, fabricChanges: {} } });
  const plan = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  if (!plan.design.facts) throw new Error('the example has a design');
  return layerFacts(plan.piece, plan.design.facts, { method: 'hooped' }, DEFAULT_HOUSE_RULES);
}

/** Each cloth with some of the combinations in every run, and all of them in the long one. */
const OF_SCHOOLS = someOf(SCHOOLS, 7);
const COMBINATIONS = FABRICS.length * 5 * 5 * 2 * OF_SCHOOLS.length;

it(`what must never be is never proposed, in ${COMBINATIONS} combinations: a complete stack or a stop, each with its reason`, () => {
  let [enumerated, stopped] = [0, 0];
  const wrong: string[] = [];
  for (const fabric of FABRICS) {
    const cloth = factsOf(fabric.id);
    for (const rank of [0, 1, 2, 3, 4])
      for (const [use, of] of Object.entries(USES))
        for (const floated of [false, true])
          for (const chosen of OF_SCHOOLS) {
            const facts = {
              ...cloth,
              ...USUAL,
              ...of,
              rank,
              heavy: rank >= 3,
              floated,
              schools: { ...cloth.schools, ...chosen },
            };
            const { support, parts, sheets, stack } = decideLayers(NOTHING_CHOSEN, facts);
            enumerated++;
            if (facts.drapes && rank >= 3) stopped++;
            const reasons = [support.rule, ...CHOICE_PARTS.map((part) => parts[part].decision.rule)];
            const silent = reasons.some((rule) => rule.reason(facts).length === 0);
            const bare = sheets.length === 0 && facts.structure !== 'canvas';
            const onNothing = floatsOnNothing(sheets, facts);
            const impossible = sheets.some((s) => whySheetCannot(s, facts) !== null);
            if (breaksNever(stack, facts) || silent || bare || impossible || onNothing)
              wrong.push(`${fabric.id} ${rank} ${use} ${floated} ${JSON.stringify(chosen)}`);
          }
  }
  expect(wrong.slice(0, 5)).toEqual([]);
  expect(enumerated).toBe(COMBINATIONS);
  expect(stopped).toBeGreaterThan(0);
});
