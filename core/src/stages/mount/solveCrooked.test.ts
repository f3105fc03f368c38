import { randomLcg, randomNormal } from 'd3-random';
import fc from 'fast-check';
import { add, type Point, rotate } from '../../base/geometry/point';
import { type MarkReading, solveCrooked } from './solveCrooked';

const THREE: readonly Point[] = [
  { x: 0, y: 0 },
  { x: -60, y: 0 },
  { x: 0, y: 60 },
];
const laid = (marks: readonly Point[], turnDeg: number, shift: Point): MarkReading[] =>
  marks.map((piece) => ({ piece, hoop: add(rotate(piece, turnDeg), shift) }));

describe('the crooked hoop', () => {
  const pose = fc.record({
    turnDeg: fc.double({ min: -20, max: 20, noNaN: true }),
    x: fc.double({ min: -60, max: 60, noNaN: true }),
    y: fc.double({ min: -60, max: 60, noNaN: true }),
  });

  it('is solved exactly when the readings are exact, from two marks or more', () => {
    fc.assert(
      fc.property(pose, fc.integer({ min: 2, max: 3 }), ({ turnDeg, x, y }, n) => {
        const lie = solveCrooked(laid(THREE.slice(0, n), turnDeg, { x, y }), 0);
        return (
          lie.ok &&
          Math.abs(lie.turnDeg - turnDeg) < 1e-9 &&
          Math.hypot(lie.shift.x - x, lie.shift.y - y) < 1e-9 &&
          lie.residualMm < 1e-9
        );
      }),
    );
  });

  it('with readings 0.3 mm off on three marks 60 mm apart: centre within 0.3 mm, 0.35° in the middle of 10 000', () => {
    const source = randomLcg(0.4);
    const noise = randomNormal.source(source)(0, 0.3);
    const offCentre: number[] = [];
    const offAngle: number[] = [];
    for (let i = 0; i < 10_000; i++) {
      const [turnDeg, shift] = [
        (source() - 0.5) * 30,
        { x: (source() - 0.5) * 80, y: (source() - 0.5) * 80 },
      ];
      const readings = laid(THREE, turnDeg, shift).map(({ piece, hoop }) => ({
        piece,
        hoop: { x: hoop.x + noise(), y: hoop.y + noise() },
      }));
      const lie = solveCrooked(readings, 0);
      if (!lie.ok) throw new Error(`${lie.code} at ${turnDeg}`);
      offAngle.push(Math.abs(lie.turnDeg - turnDeg));
      offCentre.push(Math.hypot(lie.shift.x - shift.x, lie.shift.y - shift.y));
    }
    const median = (values: number[]) => values.sort((a, b) => a - b)[values.length / 2] ?? Infinity;
    expect(median(offCentre)).toBeLessThanOrEqual(0.3);
    expect(median(offAngle)).toBeLessThanOrEqual(0.35);
  });

  it('needs two marks that are not one', () => {
    expect(solveCrooked(laid(THREE.slice(0, 1), 3, { x: 0, y: 0 }), 0)).toEqual({
      ok: false,
      code: 'too-few',
    });
    const same = [THREE[0], THREE[0]].flatMap((p) => p ?? []);
    expect(solveCrooked(laid(same, 3, { x: 0, y: 0 }), 0)).toEqual({ ok: false, code: 'coincident' });
  });

  it('knows left and right swapped, in a corner of marks and along one line', () => {
    const swap = (readings: MarkReading[]) =>
      readings.map((r) => ({ ...r, hoop: { x: -r.hoop.x, y: r.hoop.y } }));
    expect(solveCrooked(swap(laid(THREE, 2, { x: 5, y: 0 })), 0)).toEqual({ ok: false, code: 'swapped' });
    const axis = [
      { x: -40, y: 0 },
      { x: 0, y: 0 },
      { x: 40, y: 0 },
    ];
    expect(solveCrooked(swap(laid(axis, 2, { x: 5, y: 0 })), 0)).toEqual({ ok: false, code: 'swapped' });
    expect(solveCrooked(laid(axis, 182, { x: 5, y: 0 }), 180).ok).toBe(true);
  });

  it('tells stretch along each axis, and says nothing of an axis without marks', () => {
    const stretched = laid(THREE, 0, { x: 0, y: 0 }).map(({ piece, hoop }) => ({
      piece,
      hoop: rotate({ x: hoop.x * 1.03, y: hoop.y }, 4),
    }));
    const lie = solveCrooked(stretched, 0);
    expect(lie.ok && lie.stretch.level).toBeCloseTo(0.03, 2);
    expect(lie.ok && lie.stretch.upright).toBeCloseTo(0, 2);
    const level = solveCrooked(laid(THREE.slice(0, 2), 4, { x: 0, y: 0 }), 0);
    expect(level.ok && level.stretch.upright).toBeNull();
  });
});
