import { say } from '../../base/units/phrase';
import { FABRICS } from '../../catalogue/fabrics';
import { KNOWN_WAYS } from '../../catalogue/knownWays';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { appliqued } from '../../testing/appliqued';
import { casesOf } from '../../testing/cases';
import { designed } from '../../testing/designed';
import { named, plainSetting } from '../../testing/named';
import { exampleA, exampleB, measuredTicket, SAMPLE_RULES, SAMPLE_SHELF } from '../../testing/samples';
import { variedJob } from '../../testing/variedTickets';
import { clothSteps, jobSteps } from './jobSteps';

const MM = { system: 'mm' } as const;
const planOf = (ticket: Ticket) => planTicket(ticket, SAMPLE_SHELF, SAMPLE_RULES);
const idsOf = (ticket: Ticket) => jobSteps(planOf(ticket), SAMPLE_RULES).map(({ id }) => id);
const codesOf = (ticket: Ticket) => planOf(ticket).findings.map(({ code }) => code);
const on = (ticket: Ticket, fabricId: string): Ticket =>
  applyChange(ticket, { stage: 'piece', set: { fabricId } });
const withCloth = (ticket: Ticket, way: Parameters<typeof appliqued>[0]): Ticket => ({
  ...ticket,
  design: { ...ticket.design, parts: [appliqued(way)] },
});
const fusedCloth = {
  way: 'preCut',
  cloth: { name: 'red cotton', hex: '#A93F36', stripMm: 500, alongGrain: false, fused: true },
} as const;

describe('an appliqué with a topper', () => {
  it.each(['preCut', 'trimmed', 'turned', 'rawEdge'] as const)(
    'cut %s: the film is laid once the cloth is down, and not before the first stitch',
    (way) => {
      const ids = idsOf(withCloth(exampleB(), { way }));
      const film = ids.findIndex((id) => id.endsWith('topper'));
      expect(ids).not.toContain('check topper');
      // Placement, tack-down and edge are stops 0 to 2, then comes the dot of thread alone; a raw edge has no third.
      const trimmed = way === 'trimmed' ? 'cloth 1 on' : 'stitch 1';
      expect(ids[film - 1]).toBe(trimmed);
      expect(ids[film + 1]).toBe('stitch 2');
    },
  );

  it('is not held by the basting box, which is stitched before it: it is cut past the field', () => {
    const plan = planOf(withCloth(exampleB(), { way: 'preCut' }));
    expect(plan.layers?.topperHeldBy).not.toBe('basting box');
  });

  it('is on top from the start where there is no cloth to lay', () => {
    expect(idsOf(exampleB())).toContain('check topper');
  });
});

describe('cloth that takes no iron', () => {
  const cold = FABRICS.filter(({ iron, structure }) => iron === 'no' && structure !== 'no cloth');

  it.each(cold.map(({ id }) => id))('%s: fused appliqué becomes a sprayed one, and it is said why', (id) => {
    const ticket = on(withCloth(exampleA(), fusedCloth), id);
    const plan = planOf(ticket);
    expect(plan.design.facts?.cloths.some(({ applique }) => applique.cloth.fused)).toBe(false);
    const steps = jobSteps(plan, SAMPLE_RULES).map(({ text }) => say(text, MM));
    const hot = steps.filter((text) =>
      /\b(fuse|press|iron)\b/i.test(text.replace('Press the inner ring in', '')),
    );
    expect(hot).toEqual([]);
    const found = plan.findings.find(({ code }) => code === 'design-web-on-cold-cloth');
    expect(found?.mends).toHaveLength(1);
    const [mend] = found?.mends ?? [];
    if (mend) expect(codesOf(applyChange(ticket, mend.change))).not.toContain('design-web-on-cold-cloth');
  });

  it('is fused elsewhere: paper off, the hoop off the machine', () => {
    const steps = jobSteps(planOf(withCloth(exampleA(), fusedCloth)), SAMPLE_RULES);
    const at = steps.findIndex(({ id }) => id === 'cloth 0 lay');
    expect(steps.slice(at - 1, at + 2).map(({ text }) => say(text, MM))).toEqual([
      'Take the hoop off the machine; the cloth stays in it.',
      'Lay the red cotton on its line.',
      'Latch the hoop on the machine again.',
    ]);
    expect(say(steps[at]?.hint ?? [], MM)).toMatch(/^Peel the paper off the web/);
    // The page of the cloth says the same, from the same acts.
    const own = clothSteps(planOf(withCloth(exampleA(), fusedCloth)), SAMPLE_RULES);
    expect(own.map(({ step, isByHand }) => [step.id, isByHand])).toEqual([
      ['stitch 0', false],
      ['cloth 0 off', true],
      ['cloth 0 lay', true],
      ['cloth 0 on', true],
      ['stitch 1', false],
      ['stitch 2', false],
    ]);
    expect(clothSteps(planOf(exampleA()), SAMPLE_RULES)).toEqual([]);
  });
});

it('marks are out before any iron, and what was soaked is dry before it is fused, in varied jobs', () => {
  let seen = 0;
  for (let n = 0; n < casesOf(700, 60); n += 1) {
    const { ticket, shelf, rules } = variedJob(n);
    const { finish } = planTicket(ticket, shelf, rules);
    if (!finish) continue;
    seen += 1;
    const steps = finish.steps.map(({ id, text }) => ({ id, text: say(text, MM) }));
    const marks = steps.findIndex(({ id }) => id === 'marks');
    const hot = steps.findIndex(({ text }) =>
      /\b(iron|fuse|press|steam)\b/i.test(text.replace(/Let it dry.*/, '')),
    );
    if (hot >= 0) expect(hot).toBeGreaterThan(marks);
    const [soak, dry, cover] = ['soak', 'dry', 'cover'].map((id) =>
      steps.findIndex((step) => step.id === id),
    );
    const isFused = /^Fuse/.test(steps[cover ?? -1]?.text ?? '');
    if ((soak ?? -1) >= 0 && isFused) {
      expect(dry).toBeGreaterThan(soak ?? 0);
      expect(cover).toBeGreaterThan(dry ?? 0);
    }
  }
  expect(seen).toBeGreaterThan(casesOf(300, 24));
});

it('who marks before something is fused is told with what, in varied jobs', () => {
  let fused = 0;
  for (let n = 0; n < casesOf(700, 60); n += 1) {
    const { ticket, shelf, rules } = variedJob(n);
    const steps = jobSteps(planTicket(ticket, shelf, rules), rules);
    const isFused = steps.some(
      ({ id, text }) => !id.startsWith('finish') && /^Fuse the (?!web)/.test(say(text, MM)),
    );
    if (!isFused || !steps.some(({ phase }) => phase === 'mark')) continue;
    fused += 1;
    const told = steps.flatMap(({ caution }) => (caution ? [say(caution, MM)] : []));
    expect([n, told.some((text) => text.includes('heat sets ink'))]).toEqual([n, true]);
  }
  expect(fused).toBeGreaterThan(casesOf(40, 3));
});

describe('a floated piece', () => {
  it('is held by something, by every rule and every known way, in varied jobs', () => {
    let floated = 0;
    for (let n = 0; n < casesOf(700, 60); n += 1) {
      const { ticket, shelf, rules } = variedJob(n);
      const ways = KNOWN_WAYS.map((way) => ({ ...way, since: '2026-03-14', on: n % 2 === 0 }));
      const proposed = applyChange(ticket, { stage: 'layers', set: { support: null } });
      const { hoop, layers, piece } = planTicket(proposed, shelf, { ...rules, ways });
      if (hoop?.method !== 'floated' || !layers || piece.fabric.structure === 'no cloth') continue;
      floated += 1;
      const isHeld = layers.sheets.some(
        ({ where, bond, fastening }) => where === 'in the ring' && (bond !== 'none' || fastening !== 'none'),
      );
      expect([n, isHeld]).toEqual([n, true]);
    }
    expect(floated).toBeGreaterThan(casesOf(100, 8));
  });

  it('on a bare sheet of one’s own is a stop, and what is offered holds it', () => {
    const bare = applyChange(exampleB(), {
      stage: 'layers',
      set: {
        support: {
          sheets: [{ stabilizer: 'tear-away', where: 'in the ring', bond: 'none', fastening: 'none' }],
          why: '',
        },
      },
    });
    const found = planOf(bare).findings.find(({ code }) => code === 'layers-nothing-holds');
    expect(found?.severity).toBe('stop');
    const [mend] = found?.mends ?? [];
    expect(mend).toBeDefined();
    if (mend) expect(codesOf(applyChange(bare, mend.change))).not.toContain('layers-nothing-holds');
  });
});

it('a thread is called by one name: in the list that is laid out and at its stop', () => {
  for (let n = 0; n < casesOf(200, 25); n += 1) {
    const { ticket, shelf, rules } = variedJob(n);
    const { mount, stitch } = planTicket(ticket, shelf, rules);
    const list = say(mount?.checklist.find(({ id }) => id === 'threads')?.text ?? [], MM);
    if (!list || !stitch) continue;
    for (const [i, stop] of stitch.stops.entries())
      expect(list).toContain(`${i + 1} ${stop.thread?.name ?? stop.name}`);
  }
});

it('landmarks that are joined ask for the whole piece first', () => {
  const joined = applyChange(exampleA(), { stage: 'place', set: { method: 'join' } });
  expect(planOf(joined).piece.later).toEqual([]);
});

describe('hoops', () => {
  const triangle = (halfWide: number, high: number) => ({
    ...appliqued().artwork,
    paths: [{ d: `M${-halfWide} 0L${halfWide} 0L0 ${-high}Z`, stop: 0, strokeMm: null }],
    hull: [
      { x: -halfWide, y: high / 2 },
      { x: halfWide, y: high / 2 },
      { x: 0, y: -high / 2 },
    ],
  });

  it('a round field takes an outline whose circle it takes, wherever the middle of its box is', () => {
    const ticket = designed(measuredTicket('panel', 'middle', [140, 70]), {
      widthMm: 140,
      heightMm: 70,
      artwork: triangle(70, 70) as never,
    });
    const plan = planOf(
      applyChange(ticket, { stage: 'hoop', set: { hoopId: 'hoop-round150', method: 'floated' } }),
    );
    const { laid } = plan.hoop ?? {};
    expect(plan.findings.map(({ code }) => code)).not.toContain('hoop-misses');
    // About the middle of its box a corner would lie √(70² + 35²) = 78 mm out, past 75.
    const out = (plan.design.facts?.hull ?? []).map((p) =>
      Math.hypot(p.x + (laid?.designAt.x ?? 0), p.y + (laid?.designAt.y ?? 0)),
    );
    expect(Math.max(...out)).toBeLessThanOrEqual(75 + 1e-6);
  });

  it('one that would be turned wider than the piece it is put into is not proposed so, and an open seam lets it in', () => {
    let [tubular, opened] = [0, 0];
    for (let n = 0; n < casesOf(1500, 150); n += 1) {
      const { ticket, shelf, rules } = variedJob(n);
      const plan = planTicket(ticket, shelf, rules);
      const { hoop, piece } = plan;
      const opening = piece.geometry?.opening;
      if (!opening || piece.opened.length > 0 || !piece.geometry) continue;
      const xs = piece.geometry.outline.map(({ x }) => x);
      const wide = Math.max(...xs) - Math.min(...xs);
      const isStopped = plan.findings.some(
        ({ code }) => code === 'hoop-opening' || code === 'hoop-none-fits',
      );
      if (hoop?.laid && !hoop.laid.split && !isStopped) {
        tubular += 1;
        const ring = hoop.laid.ring.map(({ x }) => x);
        expect([n, Math.max(...ring) - Math.min(...ring) <= wide]).toEqual([n, true]);
      }
      const seam = plan.findings
        .filter(({ code }) => code === 'hoop-none-fits')
        .flatMap(({ mends }) => mends)
        .find(({ change }) => change.stage === 'piece');
      if (seam) {
        opened += 1;
        const after = planTicket(applyChange(ticket, seam.change), shelf, rules);
        expect([n, after.hoop?.laid != null]).toEqual([n, true]);
      }
    }
    expect(tubular).toBeGreaterThan(casesOf(100, 9));
    expect(opened).toBeGreaterThan(casesOf(3, 0));
  });

  it('of an order of names the largest decides hoop and sheets, whichever is on the table', async () => {
    const setting = await plainSetting(DEFAULT_HOUSE_RULES);
    const order = named(measuredTicket('napkin', 'corner', [30, 12]), ['Jo', 'Bartholomew'], { setting });
    const at = (row: string): Ticket => ({
      ...order,
      design: { ...order.design, names: order.design.names && { ...order.design.names, onTable: row } },
    });
    const [short, long] = [planOf(at('row-of-name-0')), planOf(at('row-of-name-1'))];
    expect(short.design.facts?.widthMm).toBeLessThan(long.design.facts?.widthMm ?? 0);
    expect(short.hoop?.laid?.verdict.hoop.id).toBe(long.hoop?.laid?.verdict.hoop.id);
    expect(short.hoop?.cut).toEqual(long.hoop?.cut);
  });
});
