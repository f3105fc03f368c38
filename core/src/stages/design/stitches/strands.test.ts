import fc from 'fast-check';
import { rotate } from '../../../base/geometry/point';
import { boxRing } from '../../../testing/stitched';
import { longestWayDeg } from './longestWay';
import { rowsOver } from './rows';
import { sectionsOf } from './sections';
import { tourOf, withoutWayBack } from './strands';

const node = fc.integer({ min: 0, max: 9 });
const strands = fc.array(
  fc.tuple(node, node).map((ends) => ({ ends })),
  { minLength: 1, maxLength: 20 },
);

it('a tour goes out along every strand that hangs together and back, without a leap, and ends where it began', () => {
  fc.assert(
    fc.property(strands, (all) => {
      const start = all[0]?.ends[0] ?? 0;
      const passes = tourOf(all, start);
      let at = start;
      const walked = new Map<number, string[]>();
      for (const { strand, way, from } of passes) {
        const { ends } = all[strand] ?? { ends: [0, 0] as const };
        expect(ends[from]).toBe(at);
        at = ends[from === 0 ? 1 : 0];
        walked.set(strand, [...(walked.get(strand) ?? []), way]);
      }
      expect(at).toBe(start);
      for (const ways of walked.values()) expect(ways).toEqual(['out', 'back']);
      // All that can be reached is walked.
      const reached = new Set([start]);
      for (let grown = 0; grown !== reached.size; ) {
        grown = reached.size;
        for (const { ends } of all)
          if (ends.some((end) => reached.has(end))) for (const end of ends) reached.add(end);
      }
      expect(walked.size).toBe(all.filter(({ ends }) => reached.has(ends[0])).length);
      expect(withoutWayBack(passes).at(-1)?.way).toBe('out');
    }),
  );
});

it('rows are parted where a hole parts them: one section above, two beside, one below', () => {
  const rows = rowsOver([boxRing(0, 0, 30, 30), boxRing(10, 10, 10, 10)], 0, 0.5);
  const sections = sectionsOf(rows);
  expect(sections.map(({ spans }) => spans.length)).toEqual([20, 20, 20, 20]);
  const [above, left, right, below] = sections.map(({ ends }) => ends);
  expect(new Set([above?.[1], left?.[0], right?.[0]]).size).toBe(1);
  expect(new Set([below?.[0], left?.[1], right?.[1]]).size).toBe(1);
});

it('the longest way through a bar is its own, whichever way it lies', () => {
  fc.assert(
    fc.property(fc.integer({ min: -89, max: 89 }), (deg) => {
      const bar = boxRing(-20, -3, 40, 6).map((p) => rotate(p, deg));
      expect(longestWayDeg([bar])).toBeCloseTo(deg, 6);
    }),
  );
  expect(longestWayDeg([boxRing(0, 0, 10, 10)])).toBe(0);
  expect(longestWayDeg([])).toBe(0);
});
