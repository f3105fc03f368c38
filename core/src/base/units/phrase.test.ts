import fc from 'fast-check';
import { count, deg, metres, minutes, mm, percent, phrase, say } from './phrase';

const IN = { system: 'in', denominator: 16 } as const;
const MM = { system: 'mm' } as const;

describe('a phrase', () => {
  it('follows the units its reader chose', () => {
    const text = phrase`${mm(6.4)} to spare`;
    expect(say(text, IN)).toBe('1/4 in to spare');
    expect(say(text, MM)).toBe('6.4 mm to spare');
  });

  it('takes phrases and words inside', () => {
    const inner = phrase`${count(2)} sheets`;
    expect(say(phrase`Cut ${inner} of ${'mesh'}.`, MM)).toBe('Cut 2 sheets of mesh.');
  });

  it.each([
    [phrase`${deg(0.53)}`, '0.5°'],
    [phrase`${percent(96.4)}`, '96 %'],
    [phrase`${count(25_000)} stitches`, '25 000 stitches'],
    [phrase`${count(142.6)}`, '142.6'],
    [phrase`${minutes(3.94)}`, '3.9 min'],
    [phrase`${minutes(12.6)}`, '13 min'],
    [phrase`${metres(4.83)}`, '4.8 m'],
    [phrase`${metres(120.4)}`, '120 m'],
  ])('writes %j as %s', (text, words) => {
    expect(say(text, MM)).toBe(words);
  });

  it('is nothing when it is empty', () => {
    expect(say([], MM)).toBe('');
  });
});

describe('figures that differ never print alike', () => {
  const SYSTEMS = [
    { system: 'mm' },
    { system: 'in', denominator: 16 },
    { system: 'in', denominator: 8 },
  ] as const;

  it('two lengths of one sentence, in every unit, and one that is not nothing is never 0', () => {
    const length = fc.integer({ min: 0, max: 60_000 }).map((n) => n / 100);
    let compared = 0;
    fc.assert(
      fc.property(length, length, fc.constantFrom(...SYSTEMS), (a, b, units) => {
        compared++;
        const [one, other] = say(phrase`${mm(a)}|${mm(b)}`, units).split('|');
        if (Math.abs(a - b) > 0.015 && one === other) return false;
        return [one, other].every((text, i) => !/^0 (in|mm)$/.test(text ?? '') || ([a, b][i] ?? 0) <= 0.015);
      }),
      { numRuns: 3000 },
    );
    expect(compared).toBe(3000);
  });

  it('near neighbours, where the tape’s marks are one and the same', () => {
    const near = fc.record({
      a: fc.integer({ min: 1, max: 9000 }).map((n) => n / 30),
      by: fc.integer({ min: 2, max: 150 }).map((n) => n / 100),
    });
    fc.assert(
      fc.property(near, fc.constantFrom(...SYSTEMS), ({ a, by }, units) => {
        const [one, other] = say(phrase`${mm(a)}|${mm(a + by)}`, units).split('|');
        return one !== other;
      }),
      { numRuns: 2000 },
    );
  });

  it('percents, turns and minutes too', () => {
    expect(say(phrase`${percent(2.2)} of ${percent(1.8)}`, { system: 'mm' })).toBe('2.2 % of 1.8 %');
    expect(say(phrase`${deg(3.02)} and ${deg(3.04)}`, { system: 'mm' })).toBe('3.02° and 3.04°');
  });

  it.each([
    [3.2, 3, '3.2 mm thick, it closes on 3 mm'],
    [84.4, 86.1, '3 5/16 in thick, it closes on 3 3/8 in'],
    [0.3, 0, '1/64 in thick, it closes on 0 in'],
  ])('%f mm beside %f mm', (a, b, words) => {
    expect(say(phrase`${mm(a)} thick, it closes on ${mm(b)}`, { system: 'in', denominator: 16 })).toBe(words);
  });

  it('the same figure twice stays as it is', () => {
    expect(say(phrase`${mm(102)} and ${mm(102.004)}`, { system: 'mm' })).toBe('102 mm and 102 mm');
  });
});
