import { say } from '../../base/units/phrase';
import { THREADS } from '../../catalogue/materials';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { applyChange } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { nearestThread } from '../../stock/fromShelf';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { threadNeedles, topThreadM } from './planStitch';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const planOf = (bobbinLeftM: number | null, shelf: Shelf = SAMPLE_SHELF, rules = RULES) =>
  planTicket(applyChange(exampleA(), { stage: 'stitch', set: { bobbinLeftM } }), shelf, rules);

describe('thread', () => {
  it('is 1.15 × the stitch length + 0.6 mm for each stitch; the bobbin 40 % of it', () => {
    expect(topThreadM({ stitches: 1000, threadMm: 3000 }, RULES)).toBeCloseTo(
      1000 * (1.15 * 3 + 0.6) * 0.001,
      9,
    );
    const stitch = planOf(null).stitch;
    expect(stitch?.topM).toBeCloseTo(25.92, 6);
    expect(stitch?.bobbinNeededM).toBeCloseTo(10.368, 6);
  });

  it('is matched to the shelf by CIEDE2000', () => {
    expect(nearestThread('#1F3A5F', SAMPLE_SHELF.threads)).toMatchObject({
      match: 'same',
      thread: { name: 'navy' },
    });
    expect(nearestThread('#24406A', SAMPLE_SHELF.threads).match).toBe('close');
    expect(nearestThread('#C8322B', SAMPLE_SHELF.threads).match).toBe('substitute');
    expect(nearestThread('#C8322B', [])).toEqual({ thread: null, match: 'none' });
  });
});

describe('minutes', () => {
  it('are stitches by speed, changes and trims', () => {
    const stitch = planOf(null).stitch;
    expect(stitch?.stops[0]?.minutes).toBeCloseTo(3200 / 650 + (3 * 8) / 60, 9);
    expect(stitch?.stops[1]?.minutes).toBeCloseTo(3200 / 650 + (75 + 3 * 8) / 60, 9);
    expect(stitch?.totalMinutes).toBeCloseTo(6400 / 650 + (75 + 48) / 60, 9);
  });

  it('change faster on many needles, trim slower by hand', () => {
    const [machine] = SAMPLE_SHELF.machines;
    if (!machine) throw new Error('the sample shelf has a machine');
    const many: Shelf = { ...SAMPLE_SHELF, machines: [{ ...machine, needles: 6, trims: false }] };
    expect(planOf(null, many).stitch?.totalMinutes).toBeCloseTo(6400 / 650 + (8 + 6 * 20) / 60, 9);
  });
});

describe('the bobbin', () => {
  const CASES: [number | null, string | null][] = [
    [null, null],
    [12, null],
    [
      11.5,
      'The bobbin is short: 11.5 m left is 111 % of the 10.4 m needed.'
        .replace('11.5 m', '12 m')
        .replace('10.4 m', '10 m'),
    ],
    [7, 'The bobbin runs out in colour 2, yellow: 7 m left, 10 m needed.'],
    [3, 'The bobbin runs out in colour 1, navy: 3 m left, 10 m needed.'],
  ];
  it.each(CASES)('%j m left: %s', (left, words) => {
    const finding = planOf(left).findings.find((f) => f.code === 'stitch-bobbin');
    if (words === null) expect(finding).toBeUndefined();
    else expect(say(finding?.text ?? [], MM)).toBe(words);
  });

  it('is mended with a full one', () => {
    const finding = planOf(3).findings.find((f) => f.code === 'stitch-bobbin');
    const ticket = applyChange(exampleA(), finding?.mends[0]?.change ?? { stage: 'stitch', set: {} });
    expect(planTicket(ticket, SAMPLE_SHELF, RULES).findings.filter((f) => f.stage === 'stitch')).toEqual([]);
  });
});

it('warns of a worn needle, power off first', () => {
  const worn: Shelf = {
    ...SAMPLE_SHELF,
    machines: SAMPLE_SHELF.machines.map((m) => ({ ...m, fitted: [{ type: null, hours: 9 }] })),
  };
  const finding = planOf(null, worn).findings.find((f) => f.code === 'stitch-needle-worn');
  expect(say(finding?.text ?? [], MM)).toBe('The needle has 9 hours; change it after 8. Power off first.');
});

describe('on a machine of many needles', () => {
  const kind = THREADS['polyester-40'];
  const stop = (hex: string) => ({ hex, name: hex, stitches: 100, threadMm: 300, trims: 3, applique: null });
  const many = (needles: number, hours: number[]): Shelf => ({
    ...SAMPLE_SHELF,
    machines: SAMPLE_SHELF.machines.map((m) => ({
      ...m,
      needles,
      fitted: hours.map((h) => ({ type: null, hours: h })),
    })),
  });

  it('each thread has a needle of its own, and comes back to it', () => {
    const stops = ['#1F3A5F', '#E0B33A', '#1F3A5F'].map(stop);
    const on = threadNeedles(stops, 6, { threads: SAMPLE_SHELF.threads, kind }).map((s) => [
      s.needle,
      s.rethreads,
    ]);
    expect(on).toEqual([
      [0, false],
      [1, false],
      [0, false],
    ]);
  });

  it('of more threads than needles the one that is needed soonest is kept', () => {
    const stops = ['#AA0000', '#00AA00', '#0000AA', '#AA0000'].map(stop);
    const on = threadNeedles(stops, 2, { threads: [], kind }).map((s) => [s.needle, s.rethreads]);
    expect(on).toEqual([
      [0, false],
      [1, false],
      [1, true],
      [0, false],
    ]);
    expect(threadNeedles(stops, 1, { threads: [], kind }).map((s) => s.rethreads)).toEqual([
      false,
      true,
      true,
      true,
    ]);
  });

  it('only a worn needle that this ticket stitches with is spoken of, by its number', () => {
    const said = (hours: number[]) =>
      planOf(null, many(3, hours))
        .findings.filter((f) => f.code === 'stitch-needle-worn')
        .map((f) => say(f.text, MM));
    expect(said([0, 9, 0])).toEqual(['Needle 2 has 9 hours; change it after 8. Power off first.']);
    expect(said([0, 0, 9])).toEqual([]);
    expect(said([])).toEqual([]);
  });
});
