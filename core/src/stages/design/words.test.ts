import { cornersOf } from '../../base/geometry/box';
import { type Shape, withWordsWhole } from './words';

const shape = (
  path: number,
  [left, top, width, height]: [number, number, number, number],
  stop = 0,
): Shape => ({
  paths: [path],
  hull: cornersOf({ left, right: left + width, top, bottom: top + height }),
  stop,
});
const partsOf = (shapes: Shape[]) => withWordsWhole(shapes).map(({ paths }) => paths);

describe('the letters of one word', () => {
  const WORD = [0, 1, 2, 3].map((i) => shape(i, [i * 9, 0, 7, 10]));

  it('are one element, and a figure beside them another', () => {
    expect(partsOf([...WORD, shape(4, [70, -20, 40, 40])])).toEqual([[0, 1, 2, 3], [4]]);
  });

  it('take their dots and accents with them', () => {
    expect(partsOf([...WORD, shape(4, [11, -4, 2, 2])])).toEqual([[0, 1, 2, 3, 4]]);
  });

  it('stay apart from another word on the line below, and from one far along', () => {
    const below = [5, 6, 7].map((i) => shape(i, [(i - 5) * 9, 30, 7, 10]));
    const far = [8, 9, 10].map((i) => shape(i, [100 + (i - 8) * 9, 0, 7, 10]));
    expect(partsOf([...WORD, ...below, ...far])).toEqual([
      [0, 1, 2, 3],
      [5, 6, 7],
      [8, 9, 10],
    ]);
  });

  it('are at least three, of one colour: two sprigs side by side are two figures', () => {
    expect(partsOf([shape(0, [0, 0, 20, 30]), shape(1, [25, 0, 20, 30])])).toEqual([[0], [1]]);
    expect(partsOf([0, 1, 2].map((i) => shape(i, [i * 9, 0, 7, 10], i)))).toEqual([[0], [1], [2]]);
    expect(partsOf([])).toEqual([]);
  });
});
