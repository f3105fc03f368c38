import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { report } from '../../testing/report';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { obeyPress, type PracticeCommand, practiceJob, practiceOutcome, practiceStart } from './index';

const RULES = DEFAULT_HOUSE_RULES;
const SIZES: readonly [number, number][] = [
  [40, 30],
  [60, 40],
  [88, 51],
  [99.7, 60],
  [100, 100],
  [128, 178],
];

/** Every kind at each of its places, in several sizes, as proposed and in each turn of the hoop that was asked for. */
const tickets: Ticket[] = PIECE_KIND_IDS.flatMap((kind) =>
  PIECE_KINDS[kind].placements.flatMap((p, i) => {
    const size = SIZES[(kind.length + i) % SIZES.length] ?? [40, 30];
    const ticket = measuredTicket(kind, p.id, size);
    const turned = ([0, 90, 180, 270] as const)[(kind.length + i) % 4] ?? 0;
    return [
      ticket,
      applyChange(ticket, { stage: 'hoop', set: { turnDeg: turned } }),
      applyChange(ticket, { stage: 'mount', set: { mirror: true } }),
    ];
  }),
);

it(`pressing what a plan shows, in its order, ends traced and clear: every fitting plan of ${tickets.length}`, () => {
  const wrong: string[] = [];
  let played = 0;
  for (const ticket of tickets) {
    const plan = planTicket(ticket, SAMPLE_SHELF, RULES);
    const job = practiceJob(ticket, plan, { shelf: SAMPLE_SHELF, rules: RULES });
    const { mount } = plan;
    const fits = !plan.findings.some(
      (f) => (f.stage === 'hoop' || f.stage === 'mount') && f.severity === 'stop',
    );
    if (!job || !mount || !fits) continue;
    const presses: Record<string, PracticeCommand> = {
      turn: { press: 'turn', deg: mount.keys.turnDeg },
      mirror: { press: 'mirror' },
      move: { press: 'move', ...mount.keys.move },
    };
    const order: PracticeCommand[] = [
      { press: 'put-on', hoopId: job.hoopId },
      { press: 'latch' },
      ...mount.keyOrder.flatMap((step) => presses[step] ?? []),
      { press: 'trace' },
    ];
    let state = practiceStart(job);
    const refused: string[] = [];
    for (const command of order) {
      const answer = obeyPress(job, state, command);
      state = answer.state;
      if (!answer.ok) refused.push(`${command.press}: ${answer.message}`);
    }
    played++;
    if (refused.length > 0 || !state.traced || practiceOutcome(job, state).offMm > 1.2)
      wrong.push(`${ticket.id} ${ticket.place.placement} ${refused.join('; ') || state.halt}`);
  }
  report(`plans played on the practice machine as shown: ${played}; refused or not clear: ${wrong.length}`);
  expect(wrong).toEqual([]);
  expect(played).toBeGreaterThan(150);
});

it('a move is refused only when it makes the miss worse, and a press that does nothing says why', () => {
  const ticket = measuredTicket('bread-cloth', 'centre', [88, 51]);
  const job = practiceJob(ticket, planTicket(ticket, SAMPLE_SHELF, RULES), {
    shelf: SAMPLE_SHELF,
    rules: RULES,
  });
  if (!job) throw new Error('nothing is planned');
  const outside = { ...practiceStart(job), onId: job.hoopId, latched: true, move: { x: 30, y: 0 } };
  expect(obeyPress(job, outside, { press: 'trace' })).toMatchObject({ ok: false, code: 'outside-field' });
  expect(obeyPress(job, outside, { press: 'start' }).ok).toBe(false);
  expect(obeyPress(job, outside, { press: 'move', x: -10, y: 0 })).toMatchObject({ ok: true });
  expect(obeyPress(job, outside, { press: 'move', x: 1, y: 0 })).toMatchObject({
    ok: false,
    code: 'outside-field',
  });
  const state = practiceStart(job);
  expect(obeyPress(job, state, { press: 'back', stitches: 20 })).toMatchObject({
    ok: false,
    code: 'at-start',
  });
  expect(obeyPress(job, { ...state, done: 7 }, { press: 'back', stitches: 20 }).message).toBe(
    'Back by 7 stitches.',
  );
  expect(obeyPress(job, state, { press: 'thread', stop: 59 })).toMatchObject({
    ok: false,
    code: 'unknown-stop',
  });
});
