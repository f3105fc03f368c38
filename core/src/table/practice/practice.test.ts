import fc from 'fast-check';
import { distance } from '../../base/geometry/point';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { PracticeCommand, PracticeJob, PracticeState } from '../../model/practice';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { exampleA, hoop, SAMPLE_SHELF, twoLeaves } from '../../testing/samples';
import { alongPath, keyedHull, obeyPress, practiceJob, practiceOutcome, practiceStart } from './index';

function jobOf(ticket: Ticket = exampleA(), shelf: Shelf = SAMPLE_SHELF, lie?: PracticeLie): PracticeJob {
  const plan = planTicket(ticket, shelf, DEFAULT_HOUSE_RULES);
  const job = practiceJob(ticket, plan, { shelf, rules: DEFAULT_HOUSE_RULES }, { lie });
  if (!job) throw new Error('the example has no hoop');
  return job;
}
const MM = { system: 'mm' } as const;
type PracticeLie = NonNullable<Parameters<typeof practiceJob>[3]>['lie'];

/** Presses one after the other; the last answer, and all the codes on the way. */
function pressed(job: PracticeJob, commands: readonly PracticeCommand[], from?: PracticeState) {
  let state = from ?? practiceStart(job);
  const answers = commands.map((command) => {
    const answer = obeyPress(job, state, command);
    state = answer.state;
    return answer;
  });
  return { state, last: answers[answers.length - 1], codes: answers.map((a) => a.code) };
}
const READY: PracticeCommand[] = [{ press: 'put-on', hoopId: 'hoop-100x100' }, { press: 'latch' }];
const withMachine = (rest: Partial<Shelf['machines'][number]>): Shelf => ({
  ...SAMPLE_SHELF,
  machines: SAMPLE_SHELF.machines.map((m) => ({ ...m, ...rest })),
});
const upright = (): Ticket => applyChange(exampleA(), { stage: 'hoop', set: { turnDeg: 0 } });
const SEW: PracticeCommand = { press: 'sew', seconds: 3600 };

describe('what the practice machine refuses', () => {
  const job = jobOf(upright());
  it.each<[string, PracticeCommand[], string]>([
    ['to trace without a hoop', [{ press: 'trace' }], 'no-hoop'],
    ['to trace unlatched', [READY[0] as PracticeCommand, { press: 'trace' }], 'not-latched'],
    [
      'to run with another hoop than it is set to',
      [{ press: 'put-on', hoopId: 'hoop-130x180' }, { press: 'latch' }, { press: 'trace' }],
      'wrong-hoop',
    ],
    ['a second hoop', [...READY, { press: 'put-on', hoopId: 'hoop-100x100' }], 'hoop-on'],
    ['a hoop that does not go on it', [{ press: 'put-on', hoopId: 'hoop-of-others' }], 'unknown-hoop'],
    ['to move the design out of the field', [...READY, { press: 'move', x: 6.1, y: 0 }], 'outside-field'],
    [
      'to set a hoop whose field is too small',
      [{ press: 'set-hoop', hoopId: 'hoop-60x40' }],
      'outside-field',
    ],
    ['to jog the needle out of the field', [...READY, { press: 'jog', x: 50.1, y: 0 }], 'outside-field'],
    ['to start without the thread', [...READY, { press: 'start' }], 'wrong-thread'],
    ['to sew while it stands', [...READY, SEW], 'not-running'],
    ['to change the needle with the power on', [...READY, { press: 'new-needle' }], 'power-on'],
    ['anything while it is off', [{ press: 'power', on: false }, { press: 'trace' }], 'power-off'],
    [
      'to be moved while it stitches',
      [...READY, { press: 'thread', stop: 0 }, { press: 'start' }, { press: 'move', x: 1, y: 0 }],
      'running',
    ],
    ['to resize beyond its limits', [{ press: 'resize', percent: 70 }], 'cannot-resize'],
  ])('%s', (_, commands, code) => {
    const { last, state } = pressed(job, commands);
    expect(last?.code).toBe(code);
    expect(last?.message.length).toBeGreaterThan(10);
    expect(state).toEqual(pressed(job, commands.slice(0, -1)).state);
  });

  it('turns only in its steps, and mirrors only if it can', () => {
    const coarse = jobOf(upright(), withMachine({ turnStepDeg: 90, mirrors: false }));
    expect(pressed(coarse, [{ press: 'turn', deg: 45 }]).last?.code).toBe('turn-step');
    expect(pressed(coarse, [{ press: 'turn', deg: 180 }]).last?.state.turnDeg).toBe(180);
    expect(pressed(coarse, [{ press: 'mirror' }]).last?.code).toBe('cannot-mirror');
  });

  it('never lets a design it took leave the field, whatever is pressed', () => {
    const command = fc.oneof(
      fc.record({
        press: fc.constant('move' as const),
        x: fc.double({ min: -9, max: 9, noNaN: true }),
        y: fc.double({ min: -30, max: 30, noNaN: true }),
      }),
      fc.record({ press: fc.constant('turn' as const), deg: fc.integer({ min: -90, max: 90 }) }),
      fc.constant<PracticeCommand>({ press: 'mirror' }),
      fc.record({ press: fc.constant('resize' as const), percent: fc.integer({ min: 70, max: 130 }) }),
    );
    fc.assert(
      fc.property(fc.array(command, { maxLength: 12 }), (commands) => {
        const { state } = pressed(job, commands);
        return keyedHull(job, state).every((p) => Math.abs(p.x) <= 50 + 1e-6 && Math.abs(p.y) <= 50 + 1e-6);
      }),
      { numRuns: 300 },
    );
  });
});

describe('a run', () => {
  it('stops for each colour, and every stitch is counted once', () => {
    const job = jobOf(upright());
    const first = pressed(job, [
      ...READY,
      { press: 'trace' },
      { press: 'thread', stop: 0 },
      { press: 'start' },
      SEW,
    ]);
    expect([first.state.halt, first.state.stop]).toEqual(['colour-change', 1]);
    const end = pressed(job, [{ press: 'thread', stop: 1 }, { press: 'start' }, SEW], first.state);
    expect(end.state.halt).toBe('finished');
    expect(end.state.seconds).toBeCloseTo((6400 / 650) * 60, 0);
    expect(job.bobbinM - end.state.bobbinM).toBeCloseTo(6400 * job.bobbinMPerStitch, 6);
  });

  it('threads itself from needle to needle where there are several', () => {
    const job = jobOf(upright(), withMachine({ needles: 6 }));
    expect(pressed(job, [...READY, { press: 'start' }, SEW]).state.halt).toBe('finished');
  });

  it('runs out of bobbin where the plan says, and goes on with a new one from a few stitches back', () => {
    const ticket = applyChange(upright(), { stage: 'stitch', set: { bobbinLeftM: 2 } });
    const job = jobOf(ticket);
    const out = pressed(job, [...READY, { press: 'thread', stop: 0 }, { press: 'start' }, SEW]).state;
    expect(out.halt).toBe('bobbin-out');
    expect(out.done).toBe(Math.floor(2 / job.bobbinMPerStitch + 1e-9));
    expect(pressed(job, [{ press: 'start' }], out).last?.code).toBe('no-bobbin');
    const on = pressed(
      job,
      [{ press: 'new-bobbin' }, { press: 'back', stitches: 8 }, { press: 'start' }, SEW],
      out,
    );
    expect([on.state.halt, on.state.bobbinChanges]).toEqual(['colour-change', 1]);
  });

  it('passes in the same time whether it is asked for in one piece or in many', () => {
    const job = jobOf(upright());
    const begun = pressed(job, [...READY, { press: 'thread', stop: 0 }, { press: 'start' }]).state;
    const whole = pressed(job, [{ press: 'sew', seconds: 60 }], begun).state;
    const pieces = pressed(
      job,
      Array.from({ length: 10 }, () => ({ press: 'sew' as const, seconds: 6 })),
      begun,
    );
    expect(pieces.state.done).toBe(whole.done);
    expect(distance(pieces.state.needle, whole.needle)).toBeLessThan(1e-9);
  });

  it('breaks its needle on a pin in the field; the trace would have met it first', () => {
    const pin = { kind: 'pin' as const, x: 44, y: 0, turnDeg: 0 };
    const job = jobOf(applyChange(upright(), { stage: 'mount', set: { obstacles: [pin] } }));
    const traced = pressed(job, [...READY, { press: 'trace' }]);
    expect([traced.state.halt, traced.state.met, traced.state.traced]).toEqual([
      'foot-touches',
      'pin',
      false,
    ]);
    const run = pressed(job, [...READY, { press: 'thread', stop: 0 }, { press: 'start' }, SEW]).state;
    expect([run.halt, run.met, run.needleWhole]).toEqual(['needle-broken', 'pin', false]);
    expect(pressed(job, [{ press: 'start' }], run).last?.code).toBe('needle-broken');
    const mended = pressed(
      job,
      [{ press: 'power', on: false }, { press: 'new-needle' }, { press: 'power', on: true }],
      run,
    );
    expect(mended.state.needleWhole).toBe(true);
  });

  it('breaks its needle on the ring of a smaller hoop that it cannot tell from its own', () => {
    const small = hoop('hoop-small', [60, 60], [80, 80]);
    const shelf = { ...withMachine({ knowsHoops: false }), hoops: [...SAMPLE_SHELF.hoops, small] };
    const job = jobOf(upright(), shelf);
    const on: PracticeCommand[] = [{ press: 'put-on', hoopId: 'hoop-small' }, { press: 'latch' }];
    expect(pressed(job, [...on, { press: 'trace' }]).state).toMatchObject({
      halt: 'foot-touches',
      met: 'ring',
    });
    const run = pressed(job, [...on, { press: 'thread', stop: 0 }, { press: 'start' }, SEW]).state;
    expect([run.halt, run.met]).toEqual(['needle-broken', 'ring']);
  });

  it('follows the drawing’s shapes, stop by stop', () => {
    const job = jobOf(applyChange(twoLeaves(), { stage: 'hoop', set: { hoopId: 'hoop-130x180' } }));
    const xs = job.stops.map((stop) => stop.path.map((p) => Math.sign(p.x)));
    expect(xs[0]?.every((x) => x < 0)).toBe(true);
    expect(xs[1]?.every((x) => x > 0)).toBe(true);
  });
});

describe('how a run sits on its marks', () => {
  const press = (job: PracticeJob, keys: { turnDeg: number; x: number; y: number }) =>
    practiceOutcome(
      job,
      pressed(job, [
        { press: 'turn', deg: keys.turnDeg },
        { press: 'move', x: keys.x, y: keys.y },
      ]).state,
    );

  it('is on them when the plan’s keys were pressed', () => {
    const ticket = applyChange(exampleA(), { stage: 'hoop', set: { turnDeg: 180 } });
    const { mount } = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    const keys = mount?.keys;
    const outcome = press(jobOf(ticket), {
      turnDeg: keys?.turnDeg ?? 0,
      x: keys?.move.x ?? 0,
      y: keys?.move.y ?? 0,
    });
    expect(outcome.offMm).toBeLessThan(0.9);
    expect([outcome.offDeg, outcome.mirroredWrongly]).toEqual([0, false]);
    expect([outcome.good, say(outcome.text, MM)]).toEqual([
      true,
      expect.stringMatching(/^On its marks: 0(\.\d)? mm off\.$/),
    ]);
  });

  it('is upside down when nothing was pressed for a piece loaded the other way round', () => {
    const job = jobOf(applyChange(exampleA(), { stage: 'hoop', set: { turnDeg: 180 } }));
    expect(practiceOutcome(job, practiceStart(job)).offDeg).toBe(180);
    expect(say(practiceOutcome(job, practiceStart(job)).text, MM)).toMatch(/^Stitched upside down/);
  });

  it('is told in words, each fault with its figure', () => {
    const job = jobOf(applyChange(exampleA(), { stage: 'hoop', set: { turnDeg: 0 } }));
    const state = (rest: Partial<PracticeState>) => ({
      ...practiceStart(job),
      move: job.wanted.move,
      ...rest,
    });
    const told = (rest: Partial<PracticeState>) => {
      const { good, text } = practiceOutcome(job, state(rest));
      return [good, say(text, MM)];
    };
    const { x, y } = job.wanted.move;
    expect(told({})).toEqual([true, 'On its marks: 0 mm off.']);
    expect(told({ move: { x: x + 0.9, y } })).toEqual([true, 'On its marks: 0.9 mm off.']);
    expect(told({ move: { x: x + 3, y: y + 4 } })).toEqual([false, 'Stitched 5 mm off its mark.']);
    expect(told({ turnDeg: 2.5, mirror: true })).toEqual([
      false,
      'Stitched turned 2.5° off, the wrong way round: the mirror.',
    ]);
  });

  it('takes of the bobbin what the plan says it takes', () => {
    const plan = planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    const job = jobOf(exampleA());
    const stitches = job.stops.reduce((sum, stop) => sum + stop.stitches, 0);
    expect(stitches * job.bobbinMPerStitch).toBeCloseTo(plan.stitch?.bobbinNeededM ?? 0, 9);
  });

  it('is on them when the keys come from marks read on the crooked machine', () => {
    const lie = { turnDeg: 3, shift: { x: 1.5, y: -2 } };
    const ticket = upright();
    const job = jobOf(ticket, SAMPLE_SHELF, lie);
    const tenth = (v: number) => Math.round(v * 10) / 10;
    const readings = (['centre', 'left', 'right'] as const).map((mark) => ({
      mark,
      x: tenth(job.marks[mark]?.x ?? 0),
      y: tenth(job.marks[mark]?.y ?? 0),
    }));
    const read = applyChange(ticket, { stage: 'mount', set: { readings } });
    const keys = planTicket(read, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).mount?.keys;
    const outcome = press(job, { turnDeg: keys?.turnDeg ?? 0, x: keys?.move.x ?? 0, y: keys?.move.y ?? 0 });
    expect(outcome.offMm).toBeLessThan(0.3);
    expect(outcome.offDeg).toBeLessThan(0.5);
  });
});

describe('the way along a path', () => {
  it('goes by length, and has an answer where there is none', () => {
    const path = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 30 },
    ];
    expect(alongPath(path, 0.5)).toEqual({ x: 10, y: 10 });
    expect(alongPath(path, 1)).toEqual({ x: 10, y: 30 });
    expect(alongPath([], 0.5)).toEqual({ x: 0, y: 0 });
    expect(alongPath([{ x: 4, y: 5 }], 0.7)).toEqual({ x: 4, y: 5 });
  });
});
