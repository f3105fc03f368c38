import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Ticket } from '../../model/ticket';
import { readingsOfSize } from '../../stages/piece/sizes';
import { named, plainSetting } from '../../testing/named';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { sizeRun, widestOf } from './sizeRun';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const withSizes = (sizes: [string, Record<string, number>][], placement = 'left-chest'): Ticket => {
  const ticket = exampleA();
  return {
    ...ticket,
    piece: { ...ticket.piece, sizes: sizes.map(([name, readings]) => ({ name, count: 1, readings })) },
    place: { ...ticket.place, placement },
  };
};
const FIVE: [string, Record<string, number>][] = [
  ['youth M', { chestWidth: 385 }],
  ['S', { chestWidth: 470 }],
  ['L', { chestWidth: 560 }],
  ['2XL', { chestWidth: 620 }],
];

describe('a run of sizes', () => {
  it('puts the same placement on each, narrowest first, by the graded table', () => {
    const rows = sizeRun(withSizes(FIVE), SAMPLE_SHELF, RULES);
    expect(rows.map((r) => r.name)).toEqual(['youth M', 'S', 'Rowing club crest', 'L', '2XL']);
    const across = rows.map((r) => Number(r.acrossMm?.toFixed(1)));
    expect(across).toEqual([75, 92.7, 102, 107.2, 115]);
    expect(rows.map((r) => Number(r.depthMm?.toFixed(1)))).toEqual([150, 178.3, 193.4, 202, 215]);
    expect(rows.flatMap((r) => r.outOfLine)).toEqual([]);
    expect(rows.find((r) => r.own)?.name).toBe('Rowing club crest');
  });

  it('fills a size’s missing readings in proportion to its width', () => {
    const readings = readingsOfSize(
      { readings: { chestWidth: 600, length: 700 } },
      { chestWidth: 500, length: 600, shoulder: 140 },
      'chestWidth',
    );
    expect(readings).toEqual({ chestWidth: 600, length: 700, shoulder: 168 });
  });

  it('questions a reading that breaks the run, with both figures', () => {
    const rows = sizeRun(
      withSizes([...FIVE.slice(0, 3), ['2XL', { chestWidth: 620, shoulder: 120 }]]),
      SAMPLE_SHELF,
      RULES,
    );
    const out = rows.filter((r) => r.outOfLine.length > 0);
    expect(out.map((r) => r.name)).toEqual(['2XL']);
    expect(say(out[0]?.outOfLine[0] ?? [], MM)).toBe(
      'shoulder seam 120 mm: the other sizes would make it 172.7 mm. Measure it again.',
    );
  });

  it('takes a correct run as it is, whose lengths grow slower than its widths', () => {
    const run: [string, Record<string, number>][] = [
      ['XS', { chestWidth: 440, length: 640, shoulder: 128, armhole: 200 }],
      ['S', { chestWidth: 480, length: 660, shoulder: 136, armhole: 210 }],
      ['L', { chestWidth: 560, length: 700, shoulder: 152, armhole: 230 }],
      ['XL', { chestWidth: 600, length: 720, shoulder: 160, armhole: 240 }],
      ['3XL', { chestWidth: 720, length: 780, shoulder: 184, armhole: 270 }],
    ];
    const ticket = withSizes(run);
    const piece = {
      ...ticket.piece,
      readings: { chestWidth: 520, length: 680, shoulder: 144, armhole: 220 },
    };
    const rows = sizeRun({ ...ticket, piece }, SAMPLE_SHELF, RULES);
    expect(rows.flatMap((r) => r.outOfLine.filter((line) => /Measure it again/.test(say(line, MM))))).toEqual(
      [],
    );
    const wrong = sizeRun(
      { ...ticket, piece: { ...piece, readings: { ...piece.readings, length: 560 } } },
      SAMPLE_SHELF,
      RULES,
    );
    expect(wrong.filter((r) => r.outOfLine.length > 0).map((r) => r.own)).toEqual([true]);
  });

  it('says on which size the design looks large', () => {
    const rows = sizeRun(
      withSizes([...FIVE, ['toddler', { chestWidth: 300 }]], 'centre-chest'),
      SAMPLE_SHELF,
      RULES,
    );
    const toddler = rows.find((r) => r.name === 'toddler');
    expect(say(toddler?.outOfLine[0] ?? [], MM)).toBe(
      'The design takes 29 % of the width, 18 % on the others: it looks large here.',
    );
  });

  it('has on each size its own name, as wide as that is', async () => {
    const setting = await plainSetting();
    const sized = named(withSizes(FIVE), ['Bo', 'Maximiliane', 'Cid', 'Dora'], { setting });
    const { names } = sized.design;
    const ons = ['', 'S', 'L', 'L'];
    const on = names && { ...names, rows: names.rows.map((row, i) => ({ ...row, size: ons[i] ?? '' })) };
    const ticket = { ...sized, design: { ...sized.design, names: on } };
    const rows = sizeRun(ticket, SAMPLE_SHELF, RULES);
    const of = (name: string) => rows.find((r) => r.name === name);
    expect(of('S')?.names).toEqual(['Maximiliane']);
    expect(of('L')?.names).toEqual(['Cid', 'Dora']);
    expect(of('2XL')?.names).toEqual([]);
    expect(rows.find((r) => r.own)?.names).toEqual(['Bo']);
    const wide = (name: string) => of(name)?.plan.design.facts?.widthMm ?? 0;
    expect(wide('S')).toBeGreaterThan(wide('L') * 2);
    // Whichever name is on the table, the run stays the same.
    const other = on && { ...on, onTable: 'row-of-name-1' };
    const again = sizeRun({ ...ticket, design: { ...ticket.design, names: other } }, SAMPLE_SHELF, RULES);
    const figures = (run: typeof rows) =>
      run.flatMap(({ names: called, acrossMm, depthMm, faceMm }) =>
        called.length > 0 ? [[acrossMm, depthMm, faceMm]] : [],
      );
    expect(figures(again)).toEqual(figures(rows));
  });

  it('draws all at one scale: the widest holds every one', () => {
    const rows = sizeRun(withSizes(FIVE), SAMPLE_SHELF, RULES);
    const { widthMm } = widestOf(rows);
    for (const row of rows) expect(row.faceMm).toBeLessThanOrEqual(widthMm);
  });

  it('a size that cannot be right is never placed', () => {
    const rows = sizeRun(withSizes([['typo', { chestWidth: 4000 }]]), SAMPLE_SHELF, RULES);
    const typo = rows.find((r) => r.name === 'typo');
    expect(typo?.depthMm).toBeNull();
    expect(say(typo?.outOfLine[0] ?? [], MM)).toContain('4000 mm for underarm to underarm cannot be right');
  });
});
