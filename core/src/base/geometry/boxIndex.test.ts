import fc from 'fast-check';
import { boxContainsPoint } from './box';
import { boxesTouch, boxIndex } from './boxIndex';

const place = fc.double({ min: -200, max: 200, noNaN: true });
const side = fc.oneof(
  fc.double({ min: 0.1, max: 12, noNaN: true }),
  fc.double({ min: 50, max: 600, noNaN: true }),
);
const box = fc
  .tuple(place, place, side, side)
  .map(([left, top, w, h]) => ({ left, top, right: left + w, bottom: top + h }));

it('finds what looking at every box finds', () => {
  fc.assert(
    fc.property(fc.array(box, { maxLength: 40 }), box, place, place, (boxes, asked, x, y) => {
      const index = boxIndex(boxes, 8);
      const touching = boxes.flatMap((one, i) => (boxesTouch(one, asked) ? [i] : []));
      expect(index.touching(asked)).toEqual(touching);
      const holding = boxes.flatMap((one, i) => (boxContainsPoint(one, { x, y }) ? [i] : []));
      const near = index.near({ x, y });
      expect(holding.filter((i) => !near.includes(i))).toEqual([]);
    }),
    { numRuns: 300 },
  );
});
