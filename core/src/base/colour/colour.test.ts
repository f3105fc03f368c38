import { colourDifference, lightnessOf, nameOfColour } from './colour';
import { COLOUR_NAMES } from './names';

describe('colour', () => {
  it.each([
    ['#FFFFFF', 100],
    ['#000000', 0],
    ['#777777', 50.03],
    ['#FF0000', 53.24],
    ['#1F3A5F', 24.2],
  ])('%s has L* %d', (hex, lightness) => {
    expect(lightnessOf(hex)).toBeCloseTo(lightness, 0);
  });

  it('calls an unreadable colour mid grey, and infinitely far', () => {
    expect(lightnessOf('#nothing')).toBe(50);
    expect(colourDifference('#nothing', '#000000')).toBe(Infinity);
  });

  it('finds no difference in the same, little in the near, much in the far', () => {
    expect(colourDifference('#1F3A5F', '#1f3a5f')).toBe(0);
    expect(colourDifference('#1F3A5F', '#203B60')).toBeLessThan(2);
    expect(colourDifference('#1F3A5F', '#E9B93A')).toBeGreaterThan(50);
    expect(colourDifference('#1F3A5F', '#A93F36')).toBeCloseTo(colourDifference('#A93F36', '#1F3A5F'), 9);
  });

  it('gives every named colour its own name, and any other the nearest', () => {
    for (const [name, hex] of Object.entries(COLOUR_NAMES)) expect(nameOfColour(hex)).toBe(name);
    expect(nameOfColour('#FFFFFF')).toBe('white');
    expect(nameOfColour('#C00000')).toBe('red');
    expect(nameOfColour('no colour')).toBe('no colour');
  });
});
