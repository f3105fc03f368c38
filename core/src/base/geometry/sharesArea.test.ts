import fc from 'fast-check';
import { toolsInNode } from '../../testing/toolsInNode';
import { areaOf } from './clip';
import { type Rings, sharesArea } from './sharesArea';

const square = (x: number, y: number, side: number) => [
  { x, y },
  { x: x + side, y },
  { x: x + side, y: y + side },
  { x, y: y + side },
];
const FRAME = [square(0, 0, 10), square(2, 2, 6)];

it.each<[string, Rings, Rings, boolean]>([
  ['apart', [square(0, 0, 4)], [square(6, 0, 4)], false],
  ['touching along an edge', [square(0, 0, 4)], [square(4, 0, 4)], false],
  ['crossing', [square(0, 0, 4)], [square(3, 3, 4)], true],
  ['one within the other', [square(0, 0, 10)], [square(3, 3, 2)], true],
  ['one in the hole of the other', FRAME, [square(3, 3, 2)], false],
  ['one on the band of the other', FRAME, [square(0.5, 4, 1)], true],
  ['the same twice', [square(0, 0, 4)], [square(0, 0, 4)], true],
  ['nothing', [], [square(0, 0, 4)], false],
])('%s', (_, a, b, shared) => {
  expect([sharesArea(a, b), sharesArea(b, a)]).toEqual([shared, shared]);
});

it('says what a clipper says, over random rings with holes', async () => {
  const { clip } = await toolsInNode();
  const triangle = fc.array(
    fc.record({ x: fc.integer({ min: 0, max: 40 }), y: fc.integer({ min: 0, max: 40 }) }),
    {
      minLength: 3,
      maxLength: 6,
    },
  );
  fc.assert(
    fc.property(triangle, triangle, (a, b) => {
      const [one, other] = [clip.union([a], 'evenodd'), clip.union([b], 'evenodd')];
      const area = areaOf(clip.intersect(one, other));
      // Where they share next to nothing a touch and an overlap are told apart by rounding.
      fc.pre(area === 0 || area > 0.01);
      return sharesArea(one, other) === area > 0;
    }),
    { numRuns: 2000 },
  );
});
