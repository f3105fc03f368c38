import { FABRICS } from '../src/catalogue/fabrics';
import { DEFAULT_HOUSE_RULES } from '../src/model/houseRules';
import { planTicket } from '../src/planner/plan';
import { decideLayers } from '../src/stages/layers/decideLayers';
import { layerFacts } from '../src/stages/layers/facts';
import { planLayers } from '../src/stages/layers/planLayers';
import { exampleA, SAMPLE_SHELF } from '../src/testing/samples';

/** The layers of 1 000 tickets decided in one pass, beside copying their facts, the plainest thing to do with them. */
const COUNT = 1000;
const ROUNDS = 15;
const NOTHING_CHOSEN = { support: null, choices: {} };

const facts = Array.from({ length: COUNT }, (_, i) => {
  const base = exampleA();
  const fabricId = FABRICS[i % FABRICS.length]?.id ?? 'jersey-tee';
  const ticket = {
    ...base,
    piece: { ...base.piece, fabricId, fabricChanges: {} },
    design: { ...base.design, stitches: 1500 + ((i * 7919) % 16_000) },
  };
  const plan = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  if (!plan.design.facts || !plan.hoop) throw new Error('the example is not planned');
  return layerFacts(plan.piece, plan.design.facts, plan.hoop, DEFAULT_HOUSE_RULES);
});

function medianMs(work: () => unknown): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(ROUNDS / 2)] ?? 0;
}

const decide = medianMs(() => facts.map((f) => decideLayers(NOTHING_CHOSEN, f)));
const explain = medianMs(() => facts.map((f) => planLayers(NOTHING_CHOSEN, f, SAMPLE_SHELF)));
const copy = medianMs(() => facts.map((f) => structuredClone(f)));
console.log(
  `layers of ${COUNT} tickets decided in one pass: ${decide.toFixed(1)} ms, ${(decide / copy).toFixed(1)} times copying their facts (${copy.toFixed(1)} ms); with every reason, alternative and risk ${explain.toFixed(1)} ms`,
);
