import { rotate, subtract } from '../../base/geometry/point';
import { type DisplayUnits, formatLength } from '../../base/units/length';
import { say } from '../../base/units/phrase';
import { FAULT_IDS } from '../../model/faults';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { planTicket } from '../../planner/plan';
import { layerFacts } from '../../stages/layers/facts';
import { breaksNever } from '../../stages/layers/never';
import { casesOf } from '../../testing/cases';
import { report } from '../../testing/report';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';
import { stackWord, stackWords } from '../evidence/stackWords';
import {
  DRILLS,
  type DrillQuestion,
  type DrillShop,
  drillQuestion,
  drillTopics,
  gradeDrill,
  topicName,
} from './drills';

const MM: DisplayUnits = { system: 'mm' };
const INCH: DisplayUnits = { system: 'in', denominator: 16 };
const shopIn = (units: DisplayUnits): DrillShop => ({
  shelf: SAMPLE_SHELF,
  rules: DEFAULT_HOUSE_RULES,
  units,
  jobs: [exampleA(), exampleB()],
});

/** The answer, worked out another way than the question was made. */
function worksOut(
  { topic, ticket, answer, text, options }: DrillQuestion,
  { shelf, rules }: DrillShop,
): void {
  const plan = ticket && planTicket(ticket, shelf, rules);
  if (topic.drill === 'halve') {
    const [whole] = text.flatMap((part) => (typeof part === 'object' && 'mm' in part ? [part.mm] : []));
    expect(Number(answer) * 2).toBeCloseTo(whole ?? -1, 9);
  } else if (topic.drill === 'stack') {
    expect(answer).toBe(stackWord(stackWords(plan?.layers?.sheets ?? [], 'none')));
    const facts =
      plan?.design.facts && plan.hoop && layerFacts(plan.piece, plan.design.facts, plan.hoop, rules);
    const parts = plan?.layers?.parts;
    if (!facts || !parts) throw new Error('the piece is planned');
    const choice = {
      topper: parts.topper.choice.id,
      cover: parts.cover.choice.id,
      trim: parts.trim.choice.id,
    };
    expect(breaksNever({ sheets: plan.layers?.sheets ?? [], ...choice }, facts)).toBe(false);
  } else if (topic.drill === 'turn') {
    expect(((Number(answer) - (plan?.mount?.keys.turnDeg ?? Number.NaN)) % 360) + 0).toBe(0);
  } else if (topic.drill === 'way') {
    expect(answer).toBe(plan?.mount?.chosen.topPoints);
  } else if (topic.drill === 'fault') {
    expect(FAULT_IDS).toContain(answer);
    expect(topic.subject).toBe(answer);
  } else {
    // The mark goes from where the turn has put it to where it should be; its longer way is the hand's.
    const said = say(text, MM);
    const [by = 0] = text.flatMap((part) => (typeof part === 'object' && 'deg' in part ? [part.deg] : []));
    const [half = 0] = text.flatMap((part) => (typeof part === 'object' && 'mm' in part ? [part.mm] : []));
    const ends = {
      right: { x: half, y: 0 },
      left: { x: -half, y: 0 },
      top: { x: 0, y: -half },
      bottom: { x: 0, y: half },
    };
    const [name, should] = Object.entries(ends).find(([end]) => said.includes(`${end} axis end`)) ?? [
      '',
      { x: 0, y: 0 },
    ];
    expect(name).not.toBe('');
    const goes = subtract(should, rotate(should, said.includes('counter-clockwise') ? -by : by));
    const way =
      Math.abs(goes.x) > Math.abs(goes.y)
        ? goes.x > 0
          ? 'to the right'
          : 'to the left'
        : goes.y > 0
          ? 'towards you'
          : 'away from you';
    expect(answer).toBe(way);
  }
  if (options) {
    const ids = options.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toContain(answer);
    expect(ids.length).toBeGreaterThan(1);
  }
}

const QUESTIONS = casesOf(10_000, 400);

it(`${QUESTIONS} seeded questions: the stated answer is what the planner says, worked out again`, () => {
  const asked: Record<string, number> = {};
  const shops = [shopIn(MM), shopIn(INCH)] as const;
  const topics = drillTopics(shops[0]);
  for (let seed = 0; seed < QUESTIONS; seed += 1) {
    const shop = shops[seed % 2] ?? shops[0];
    const topic = topics[seed % topics.length];
    const question = topic && drillQuestion(topic, seed, shop);
    if (!question) continue;
    asked[question.topic.drill] = (asked[question.topic.drill] ?? 0) + 1;
    worksOut(question, shop);
    expect(
      gradeDrill(
        question,
        question.options ? question.answer : formatLength(Number(question.answer), shop.units),
        shop.units,
      ),
    ).toBe(true);
    for (const { id } of question.options ?? [])
      expect(gradeDrill(question, id, shop.units)).toBe(id === question.answer);
    expect(say(question.explain, shop.units).length).toBeGreaterThan(8);
  }
  report(DRILLS.map((drill) => `${drill} ${asked[drill] ?? 0}`).join(', '));
  expect(Object.values(asked).reduce((a, b) => a + b, 0)).toBeGreaterThan(0.99 * QUESTIONS);
  for (const drill of DRILLS) expect(asked[drill]).toBeGreaterThan(0.02 * QUESTIONS);
});

it('the same seed makes the same question; a half is right as the tape has it, and what is no length is told apart', () => {
  const shop = shopIn(INCH);
  const [halve] = drillTopics(shop);
  if (!halve) throw new Error('a half can be asked');
  const one = drillQuestion(halve, 5, shop);
  expect(drillQuestion(halve, 5, shop)).toEqual(one);
  expect(drillQuestion(halve, 6, shop)).not.toEqual(one);
  if (!one) throw new Error('a half is asked');
  const answer = Number(one.answer);
  expect(gradeDrill(one, formatLength(answer + 25.4 / 32, INCH), INCH)).toBe(true);
  expect(gradeDrill(one, formatLength(answer + 6, INCH), INCH)).toBe(false);
  expect(gradeDrill(one, `${answer.toFixed(1)} mm`, INCH)).toBe(true);
  expect(gradeDrill(one, 'about half', INCH)).toBeNull();
});

it('asks nothing of a machine that has no hoop, and names what it asks', () => {
  const shop = { ...shopIn(MM), shelf: { ...SAMPLE_SHELF, hoops: [] }, jobs: [] };
  const topics = drillTopics(shop);
  const turn = topics.find(({ drill }) => drill === 'turn');
  expect(turn && drillQuestion(turn, 1, shop)).toBeNull();
  expect(topics.map((topic) => topicName(topic, shop.shelf))).toContain('What goes under linen');
  expect(new Set(topics.map(({ key }) => key)).size).toBe(topics.length);
});
