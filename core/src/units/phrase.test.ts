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
