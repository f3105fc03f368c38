import { say } from '../../base/units/phrase';
import { sidesInWords } from './sides';

const said = (x: number, y: number) => say(sidesInWords({ x, y }, 'in the middle'), { system: 'mm' });

describe('sides in words', () => {
  it.each([
    [3, -4, '3 mm right, 4 mm away'],
    [-2.5, 1, '2.5 mm left, 1 mm towards you'],
    [0, 7, '7 mm towards you'],
    [-7, 0.01, '7 mm left'],
    [0, -0, 'in the middle'],
  ])('%d, %d', (x, y, words) => {
    expect(said(x, y)).toBe(words);
  });
});
