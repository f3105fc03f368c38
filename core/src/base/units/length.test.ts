import fc from 'fast-check';
import {
  bareUnitOf,
  formatFigure,
  formatLength,
  MM_PER_INCH,
  parseLength,
  roundToTape,
  stepOf,
} from './length';

const IN16 = { system: 'in', denominator: 16 } as const;
const IN8 = { system: 'in', denominator: 8 } as const;
const MM = { system: 'mm' } as const;

describe('parseLength', () => {
  const READ: [string, 'in' | 'mm' | 'cm', number][] = [
    ['7 1/2', 'in', 190.5],
    ['7-1/2"', 'mm', 190.5],
    ['7.5 in', 'mm', 190.5],
    ['7½', 'in', 190.5],
    ['7½ in', 'mm', 190.5],
    ['1/16', 'in', 1.5875],
    ['20 1/2 inches', 'mm', 520.7],
    ['19cm', 'in', 190],
    ['19,5 cm', 'in', 195],
    ['190 mm', 'in', 190],
    ['190', 'mm', 190],
    ['190', 'cm', 1900],
    ['0', 'mm', 0],
    ['  12 ″ ', 'mm', 304.8],
    ['3/8”', 'mm', 9.525],
    ['17 3/4 in.', 'mm', 450.85],
  ];
  it.each(READ)('reads %j with bare %s as %d mm', (text, bare, mm) => {
    const parsed = parseLength(text, bare);
    expect(parsed.ok && parsed.mm).toBeCloseTo(mm, 6);
  });

  const REFUSED: [string, string][] = [
    ['', 'empty'],
    ['   ', 'empty'],
    ['two feet', 'not-a-length'],
    ['-5', 'negative'],
    ['−5 mm', 'negative'],
    ['1/0', 'not-a-length'],
    ['7 1/2/3', 'not-a-length'],
    ['4 m', 'not-a-length'],
    ['1e9', 'not-a-length'],
    ['7 7 mm', 'not-a-length'],
    ['mm', 'not-a-length'],
    [`${'9'.repeat(400)} mm`, 'not-finite'],
  ];
  it.each(REFUSED)('refuses %j as %s, in words', (text, code) => {
    const parsed = parseLength(text, 'in');
    expect(parsed.ok).toBe(false);
    if (parsed.ok) return;
    expect(parsed.code).toBe(code);
    expect(parsed.message.length).toBeGreaterThan(10);
  });

  it('says how it understood the entry', () => {
    expect(parseLength('7.5', 'in')).toEqual({ ok: true, mm: 190.5, understood: '7 1/2 in' });
    expect(parseLength('19cm', 'in')).toEqual({ ok: true, mm: 190, understood: '190 mm' });
  });

  it('never throws, whatever is typed', () => {
    fc.assert(fc.property(fc.string(), (text) => typeof parseLength(text, 'in').ok === 'boolean'));
  });
});

describe('formatLength', () => {
  const WRITTEN: [number, typeof IN16 | typeof IN8 | typeof MM, string][] = [
    [193.4, IN16, '7 5/8 in'],
    [102, IN16, '4 in'],
    [260.35, IN16, '10 1/4 in'],
    [0, IN16, '0 in'],
    [1.5875, IN16, '1/16 in'],
    [1.5875, IN8, '1/8 in'],
    [25.4, IN8, '1 in'],
    [193.4, MM, '193.4 mm'],
    [182.5, MM, '182.5 mm'],
    [340, MM, '340 mm'],
    [0.04, MM, '0 mm'],
    [-0.04, MM, '0 mm'],
    [Number.NaN, MM, '–'],
  ];
  it.each(WRITTEN)('writes %d mm in %j as %s', (mm, units, text) => {
    expect(formatLength(mm, units)).toBe(text);
  });

  it('comes back from its own words to within half a tape mark', () => {
    const lengths = fc.double({ min: 0, max: 3000, noNaN: true });
    fc.assert(
      fc.property(lengths, fc.constantFrom(IN16, IN8, MM), (mm, units) => {
        const parsed = parseLength(formatLength(mm, units), 'cm');
        const tolerance = units.system === 'mm' ? 0.05 : MM_PER_INCH / units.denominator / 2;
        return parsed.ok && Math.abs(parsed.mm - mm) <= tolerance + 1e-9;
      }),
    );
  });

  it('writes the figure alone where the unit stands once', () => {
    expect(formatFigure(193.4, IN16)).toBe('7 5/8');
    expect(formatFigure(193.4, MM)).toBe('193.4');
  });
});

describe('the tape', () => {
  it('rounds to its nearest mark', () => {
    expect(roundToTape(193.4, 16)).toBeCloseTo(193.675, 6);
    expect(roundToTape(193.4, 8)).toBeCloseTo(193.675, 6);
    expect(roundToTape(194.6, 8)).toBeCloseTo(193.675, 6);
  });

  it('has a bare unit and a step in each kind of units', () => {
    expect([bareUnitOf(IN16), bareUnitOf(MM)]).toEqual(['in', 'mm']);
    expect([stepOf(IN16), stepOf(IN8), stepOf(MM)]).toEqual([1.5875, 3.175, 1]);
  });
});
