import fc from 'fast-check';
import { distance } from '../../base/geometry/point';
import { keyedPoint } from '../../table/practice/needle';
import type { DesignFacts } from '../design/designFacts';
import { designAtKeys, keysNeeded, keysTo } from './keys';

const mm = fc.double({ min: -80, max: 80, noNaN: true });
const point = fc.record({ x: mm, y: mm });
const facts = (fileCentre: { x: number; y: number }) => ({ fileCentre }) as DesignFacts;
const way = fc.record({ turnDeg: fc.integer({ min: -360, max: 360 }), mirror: fc.boolean() });

describe('keys', () => {
  it('bring the visible centre where it is wanted, wherever the file has its own', () => {
    fc.assert(
      fc.property(point, point, way, (fileCentre, wanted, keyed) => {
        const keys = keysTo(facts(fileCentre), wanted, keyed);
        return distance(designAtKeys(facts(fileCentre), keys), wanted) < 1e-9;
      }),
    );
  });

  it('do on a machine what they say: it turns and mirrors about the file’s centre, then moves', () => {
    fc.assert(
      fc.property(point, point, way, (fileCentre, wanted, keyed) => {
        const keys = keysTo(facts(fileCentre), wanted, keyed);
        const seenFromFile = { x: -fileCentre.x, y: -fileCentre.y };
        return distance(keyedPoint(seenFromFile, { ...keys, scalePercent: 100 }), wanted) < 1e-9;
      }),
    );
  });

  it('are needed unless the design is centred and upright', () => {
    const none = { turnDeg: 0, mirror: false, move: { x: 0, y: 0 } };
    expect(keysNeeded(none)).toBe(false);
    for (const one of [
      { turnDeg: 90 },
      { mirror: true },
      { move: { x: 0.1, y: 0 } },
      { move: { x: 0, y: -3 } },
    ])
      expect(keysNeeded({ ...none, ...one })).toBe(true);
  });
});
