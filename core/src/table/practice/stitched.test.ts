import type { Clipper } from '../../base/geometry/clip';
import { distance } from '../../base/geometry/point';
import { toEnd } from '../../base/inSteps';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { PracticeCommand } from '../../model/practice';
import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { answerStitches } from '../../stages/design/stitches/answer';
import { stitchesAsked } from '../../stages/design/stitches/asked';
import { codeOf } from '../../stages/design/stitches/stitches';
import { appliqued } from '../../testing/appliqued';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { toolsInNode } from '../../testing/toolsInNode';
import { keyedPoint, obeyPress, practiceJob, practiceStart } from './index';

const RULES = DEFAULT_HOUSE_RULES;
let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

const ticket = (): Ticket => {
  const upright = applyChange(exampleA(), { stage: 'hoop', set: { turnDeg: 0 } });
  const part = { ...appliqued({ way: 'trimmed' }), scalePercent: 70 };
  return { ...upright, design: { ...upright.design, parts: [part] } };
};

function laid() {
  const kept = ticket();
  const plan = planTicket(kept, SAMPLE_SHELF, RULES);
  const question = stitchesAsked(kept.design, { fabric: plan.piece.fabric, rules: RULES });
  if (!question) throw new Error('nothing to stitch');
  const { stitches } = toEnd(answerStitches(question, clip));
  const job = practiceJob(kept, plan, { shelf: SAMPLE_SHELF, rules: RULES }, { stitches });
  if (!job) throw new Error('no hoop');
  return { job, stitches };
}

it('the practice machine stitches the very stitches that were made, one after the other', () => {
  const { job, stitches } = laid();
  expect(job.stops.reduce((sum, stop) => sum + stop.stitches, 0)).toBe(stitches.x.length);
  const cuts = job.stops.flatMap(({ cutBefore }) => cutBefore ?? []);
  expect(cuts).toHaveLength(stitches.kind.filter((kind) => kind === codeOf('trim')).length);
  let state = practiceStart(job);
  const press = (command: PracticeCommand) => {
    const answer = obeyPress(job, state, command);
    state = answer.state;
    return answer;
  };
  press({ press: 'put-on', hoopId: job.hoopId });
  press({ press: 'latch' });
  press({ press: 'thread', stop: 0 });
  press({ press: 'start' });
  const second = 60 / job.machine.stitchesPerMinute;
  for (let i = 0; i < (job.stops[0]?.stitches ?? 0); i++) {
    press({ press: 'sew', seconds: second });
    const at = job.stops[0]?.path[i];
    expect(at && distance(state.needle, keyedPoint(at, state))).toBeLessThan(1e-9);
  }
});

it('it stands still for the hands at the cloth, and keeps its thread from step to step', () => {
  const { job } = laid();
  let state = practiceStart(job);
  const said: string[] = [];
  const press = (command: PracticeCommand) => {
    const answer = obeyPress(job, state, command);
    state = answer.state;
    if (['start', 'sew', 'thread'].includes(command.press) && answer.message) said.push(answer.message);
    return answer;
  };
  press({ press: 'put-on', hoopId: job.hoopId });
  press({ press: 'latch' });
  press({ press: 'thread', stop: 0 });
  for (let i = 0; i < 3; i++) {
    expect(press({ press: 'start' }).ok).toBe(true);
    press({ press: 'sew', seconds: 3600 });
  }
  expect(said.filter((words) => !/^(Stitching|Threaded)/.test(words))).toEqual([
    'Stopped for your hands: lay the cotton on its line. Then madder, tack-down.',
    'Stopped for your hands: trim the cotton close to its tack-down. Then madder, satin edge.',
    'Colour change: thread navy.',
  ]);
  expect(press({ press: 'start' }).code).toBe('wrong-thread');
});

it('of a split design each hooping stitches what lies in its part, and all of them stitch all of it', () => {
  const whole = ticket();
  const wide = { ...whole, design: { ...whole.design, scalePercent: 200 } };
  const split = applyChange(wide, {
    stage: 'hoop',
    set: { hoopId: 'hoop-100x100', method: 'floated', split: true },
  });
  // To a tenth of a millimetre, looked for in the cells beside it too.
  const seen = new Set<string>();
  const key = (x: number, y: number) => `${Math.round(x * 10)} ${Math.round(y * 10)}`;
  const isSeen = (x: number, y: number) =>
    [-0.05, 0.05].some((dx) => [-0.05, 0.05].some((dy) => seen.has(key(x + dx, y + dy))));
  const plan = planTicket(split, SAMPLE_SHELF, RULES);
  const parts = plan.hoop?.laid?.split?.split.parts ?? [];
  expect(parts.length).toBeGreaterThan(1);
  const question = stitchesAsked(split.design, { fabric: plan.piece.fabric, rules: RULES });
  if (!question) throw new Error('nothing to stitch');
  const { stitches } = toEnd(answerStitches(question, clip));
  for (const [part, { centre }] of parts.entries()) {
    const one = applyChange(split, { stage: 'hoop', set: { part } });
    const shop = { shelf: SAMPLE_SHELF, rules: RULES };
    const job = practiceJob(one, planTicket(one, SAMPLE_SHELF, RULES), shop, { stitches });
    if (!job) throw new Error('no hoop');
    for (const { path } of job.stops)
      for (const p of path) {
        // In the hoop's field about the part's middle; what is sewn reaches a hair past the drawing.
        expect(Math.max(Math.abs(p.x), Math.abs(p.y))).toBeLessThan(51);
        seen.add(key(p.x + centre.x, p.y + centre.y));
      }
  }
  const scale = plan.design.facts?.scale ?? 1;
  const unseen = Array.from(stitches.x).filter((x, i) => !isSeen(x * scale, (stitches.y[i] ?? 0) * scale));
  expect(unseen).toEqual([]);
});
