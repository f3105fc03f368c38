import type { Act, Deed } from '../../model/deed';
import { applyChange, type Ticket } from '../../model/ticket';
import { appliqued } from '../../testing/appliqued';
import { casesOf } from '../../testing/cases';
import { report } from '../../testing/report';
import { exampleA, exampleB, measuredTicket, SAMPLE_RULES, SAMPLE_SHELF } from '../../testing/samples';
import { variedJob } from '../../testing/variedTickets';
import { planTicket } from '../plan';
import { type Job, jobOf } from './job';
import { jobActs } from './jobActs';
import { obey } from './obey';
import type { RefusalCode } from './refusal';

const NOBODY = { right: null, down: null };

/** The acts of a ticket and the things they are done to. */
function jobFor(ticket: Ticket): { acts: Act[]; job: Job } {
  const plan = planTicket(ticket, SAMPLE_SHELF, SAMPLE_RULES);
  const job = jobOf(plan, SAMPLE_RULES, NOBODY);
  if (!job) throw new Error('the example is not planned');
  return { acts: jobActs(plan, SAMPLE_RULES), job };
}

const codesOf = ({ acts, job }: { acts: readonly Act[]; job: Job }): RefusalCode[] =>
  obey(acts, job).map(({ code }) => code);

const WAYS = ['preCut', 'trimmed', 'turned', 'rawEdge'] as const;
const CLOTH = { name: 'red cotton', hex: '#A93F36', stripMm: 500, alongGrain: false };

/** Every fourth job with cloth laid on, by all its ways, fused and not. */
function jobNo(n: number) {
  const { ticket, shelf, rules } = variedJob(n);
  if (n % 4 !== 1) return { ticket, shelf, rules };
  const way = WAYS[Math.floor(n / 4) % WAYS.length] ?? 'preCut';
  const part = appliqued({ way, cloth: { ...CLOTH, fused: Math.floor(n / 16) % 2 === 0 } });
  return { ticket: { ...ticket, design: { ...ticket.design, parts: [part] } }, shelf, rules };
}

it('what is planned is carried out to the letter, and what hands refuse of it is said before', () => {
  let [jobs, steps, refused, mended] = [0, 0, 0, 0];
  const unsaid: number[] = [];
  const unmended: string[] = [];
  for (let n = 0; n < casesOf(5000, 220); n += 1) {
    const { ticket, shelf, rules } = jobNo(n);
    const plan = planTicket(ticket, shelf, rules);
    const table = jobOf(plan, rules, ticket.mount.sample);
    if (!table) continue;
    jobs += 1;
    const acts = jobActs(plan, rules);
    steps += acts.length;
    const isRefused = obey(acts, table).length > 0;
    if (isRefused) refused += 1;
    if (
      isRefused &&
      !plan.findings.some(({ code, severity }) => severity === 'stop' || code === 'mount-basting-misses')
    )
      unsaid.push(n);
    for (const { code, mends } of plan.findings.filter((found) => found.code.startsWith('hands-')))
      for (const { change } of mends) {
        mended += 1;
        const after = planTicket(applyChange(ticket, change), shelf, rules);
        if (after.findings.some((found) => found.code === code)) unmended.push(`${n} ${code}`);
      }
  }
  report(
    `${steps} acts of ${jobs} jobs carried out; ${refused} refused, each said before; ${mended} ways out followed`,
  );
  expect(unsaid).toEqual([]);
  expect(unmended).toEqual([]);
  expect(jobs).toBeGreaterThan(casesOf(3000, 100));
});

it('of proposals alone nothing is refused: nobody chose hoop, method or layers, or read marks off a hoop', () => {
  let jobs = 0;
  const wrong: string[] = [];
  for (let n = 0; n < casesOf(5000, 180); n += 1) {
    const { ticket, shelf, rules } = jobNo(n);
    const proposed = [
      {
        stage: 'hoop',
        set: { hoopId: null, turnDeg: null, shift: null, method: null, split: false, part: 0 },
      },
      { stage: 'layers', set: { support: null, choices: {} } },
      { stage: 'mount', set: { readings: [], mirror: false, obstacles: [] } },
    ] as const;
    const bare = proposed.reduce((one: Ticket, change) => applyChange(one, change as never), ticket);
    const plan = planTicket(bare, shelf, rules);
    const table = jobOf(plan, rules, bare.mount.sample);
    // Where every hoop is too small or too tight, what is proposed is a way out and not a job.
    if (
      !table ||
      plan.findings.some(({ code }) => /^hoop-(none-fits|cannot-close|hooping-cannot-close)$/.test(code))
    )
      continue;
    jobs += 1;
    for (const { code, act } of obey(jobActs(plan, rules), table))
      wrong.push(`${n} ${code} ${act?.id ?? 'end'}`);
  }
  report(`${jobs} jobs as they are proposed carried out, nothing refused`);
  expect(wrong).toEqual([]);
  expect(jobs).toBeGreaterThan(casesOf(3000, 80));
});

describe('a fault that is planted is caught', () => {
  const towel = exampleB();
  const shirt = exampleA();
  const supported = (ticket: Ticket, ...sheets: object[]) =>
    applyChange(ticket, { stage: 'layers', set: { support: { sheets: sheets as never, why: '' } } });
  const without = (id: string) => (acts: Act[]) => acts.filter((act) => act.id !== id);
  const changed =
    (id: string, change: (deed: Deed) => Deed) =>
    (acts: Act[]): Act[] =>
      acts.map((act) => (act.id === id ? { ...act, deed: change(act.deed) } : act));
  const before = (id: string, other: string) => (acts: Act[]) => {
    const moved = acts.find((act) => act.id === id);
    if (!moved) throw new Error(`no ${id}`);
    return acts.flatMap((act) => (act.id === id ? [] : act.id === other ? [moved, act] : [act]));
  };
  const first = (acts: readonly Act[], deed: Deed['do']) =>
    acts.find((act) => act.deed.do === deed)?.id ?? '';
  const fusedShirt = supported(shirt, {
    stabilizer: 'mesh-fusible',
    where: 'in the ring',
    bond: 'fused',
    fastening: 'none',
  });
  const cloth = { name: 'red cotton', hex: '#A93F36', stripMm: 500, alongGrain: false, fused: true };
  const withCloth = (ticket: Ticket): Ticket => ({
    ...ticket,
    design: { ...ticket.design, parts: [appliqued({ way: 'preCut', cloth })] },
  });
  const corners = measuredTicket('napkin', 'four-corners', [40, 30]);
  const opened = applyChange(measuredTicket('cushion', 'middle', [60, 50]), {
    stage: 'piece',
    set: { opened: ['side seam'] },
  });
  // A hoop whose field lies off the marks.
  const shifted = applyChange(shirt, {
    stage: 'hoop',
    set: { hoopId: 'hoop-130x180', shift: { x: 8, y: 6 } },
  });

  const FAULTS: [string, Ticket, (acts: Act[]) => Act[], RefusalCode][] = [
    [
      'the hoop is never closed',
      applyChange(shirt, { stage: 'hoop', set: { method: 'hooped' } }),
      without('close'),
      'nothing-holds',
    ],
    [
      'the design’s centre for the hoop’s',
      shifted,
      changed('notches', (d) => ({ ...d, on: 'marks' }) as Deed),
      'off-marks',
    ],
    [
      'the settings of another copy',
      corners,
      (acts) => {
        const [a, b] = acts.filter(
          ({ deed, phase }) => deed.do === 'enter keys' && phase === 'further copies',
        );
        return acts.map((act) =>
          act === a && b
            ? {
                ...act,
                deed: { do: 'enter keys', keys: { turnDeg: 0, mirror: false, move: { x: 30, y: 0 } } },
              }
            : act,
        );
      },
      'off-marks',
    ],
    ['a copy is left out', corners, without('copy 3'), 'not-stitched'],
    [
      'the hoop stays where it was for the first copy',
      corners,
      (acts) => acts.filter(({ id }) => !/^(notches|hoop centre) 2$/.test(id)),
      'no-centre',
    ],
    [
      'film on before the cloth of an appliqué',
      withCloth(towel),
      (acts) => {
        const topper = acts.find(({ deed }) => deed.do === 'lay topper')?.id ?? '';
        return before(topper, first(acts, 'lay cloth'))(acts);
      },
      'pinned-down',
    ],
    [
      'the web’s paper is left on',
      withCloth(shirt),
      (acts) => changed(first(acts, 'lay cloth'), (d) => ({ ...d, isFused: false }) as Deed)(acts),
      'paper-on',
    ],
    [
      'an appliqué is ironed on the machine',
      withCloth(shirt),
      (acts) => without(first(acts, 'take hoop off'))(acts),
      'hot-machine',
    ],
    [
      'the hoop is not put back after the iron',
      withCloth(shirt),
      (acts) => without(first(acts, 'put hoop back'))(acts),
      'not-mounted',
    ],
    [
      'the cloth of an appliqué is not laid',
      withCloth(shirt),
      (acts) => without(first(acts, 'lay cloth'))(acts),
      'no-cloth',
    ],
    [
      'ink where fusing follows',
      fusedShirt,
      (acts) => [
        ...acts.map((act) =>
          act.deed.do === 'mark' ? { ...act, deed: { ...act.deed, heatFollows: false } } : act,
        ),
      ],
      'hot-marks',
    ],
    [
      'pressed before the marks are out',
      shirt,
      (acts) =>
        before(
          'finish press',
          'finish marks',
        )(
          acts.map((act) =>
            act.deed.do === 'mark' ? { ...act, deed: { ...act.deed, heatFollows: false } } : act,
          ),
        ),
      'hot-marks',
    ],
    ['marks left in', shirt, without('finish marks'), 'marks-left'],
    ['the sheet is not peeled', towel, without('peel'), 'paper-on'],
    ['the paper is not scored', towel, without('score'), 'paper-on'],
    [
      'the film is cut as small as the design',
      towel,
      (acts) =>
        acts.map((act) =>
          act.deed.do === 'cut' && act.deed.thing === 'topper'
            ? { ...act, deed: { ...act.deed, widthMm: 40, heightMm: 40 } }
            : act,
        ),
      'too-small',
    ],
    ['the film is forgotten', towel, (acts) => without(first(acts, 'lay topper'))(acts), 'no-topper'],
    ['a sheet is not cut', shirt, (acts) => without(first(acts, 'cut'))(acts), 'not-cut'],
    [
      'the needle is changed after the settings',
      shirt,
      before('check needle-fitted', 'check trace'),
      'keys-lost',
    ],
    ['no trace', shirt, without('check trace'), 'not-traced'],
    ['the pin stays in', shirt, without('check pins'), 'pins-in-field'],
    ['a seam stays open', opened, (acts) => acts.filter(({ deed }) => deed.do !== 'close seam'), 'seam-open'],
    ['pressed with the film still on', towel, without('finish film'), 'hot-film'],
    ['the support stays on', towel, without('finish tear-away'), 'left-on'],
    ['never taken out', shirt, without('finish off'), 'in-the-hoop'],
  ];

  it.each(FAULTS)('%s', (_, ticket, plant, code) => {
    const { acts, job } = jobFor(ticket);
    expect(codesOf({ acts, job })).not.toContain(code);
    expect(codesOf({ acts: plant(acts), job })).toContain(code);
  });
});

it('copies in one hooping, each with cloth that is laid: the film of one comes off before the next', () => {
  const [largest] = [...SAMPLE_SHELF.hoops].sort(
    (a, b) => b.fieldWidthMm * b.fieldHeightMm - a.fieldWidthMm * a.fieldHeightMm,
  );
  for (const [way, fused] of WAYS.flatMap((one) => [[one, true] as const, [one, false] as const])) {
    const part = { ...appliqued({ way, cloth: { ...CLOTH, fused } }), widthMm: 20, heightMm: 15 };
    const bare = measuredTicket('handkerchief', 'four-corners-diagonal', [20, 15]);
    const onTerry = applyChange(
      { ...bare, design: { ...bare.design, parts: [part] } },
      { stage: 'piece', set: { fabricId: 'terry-towel' } },
    );
    const ticket = applyChange(onTerry, { stage: 'hoop', set: { hoopId: largest?.id ?? null } });
    const { acts, job } = jobFor(ticket);
    const laid = acts.filter(({ deed }) => deed.do === 'lay topper').length;
    // Four copies, several in one hooping: as many films as copies.
    expect([way, fused, laid, new Set(acts.map(({ hooping }) => hooping.number)).size < 4]).toEqual([
      way,
      fused,
      4,
      true,
    ]);
    expect([way, fused, codesOf({ acts, job })]).toEqual([way, fused, []]);
    const between = acts.find(({ id }) => id.startsWith('film before'))?.id ?? '';
    expect(codesOf({ acts: acts.filter(({ id }) => id !== between), job })).toContain('pinned-down');
  }
});
