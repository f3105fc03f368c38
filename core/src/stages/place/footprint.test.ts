import fc from 'fast-check';
import { boxAbout, cornersOf } from '../../base/geometry/box';
import { clearanceBetween, clearanceToLine, polygonsOverlap } from '../../base/geometry/polygon';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { typicalReadings } from '../../testing/samples';
import { PIECE_KINDS } from '../piece/kinds';
import { nearestThings } from './footprint';

const outlines = PIECE_KIND_IDS.map((id) => PIECE_KINDS[id].views[0].outlineOf(typicalReadings(id)));

describe('the things nearest a footprint', () => {
  it('are those that looking at every one would find', () => {
    const at = fc.record({ x: fc.integer({ min: -300, max: 300 }), y: fc.integer({ min: -500, max: 600 }) });
    fc.assert(
      fc.property(
        fc.constantFrom(...outlines),
        at,
        fc.integer({ min: 0, max: 60 }),
        (outline, centre, withinMm) => {
          const footprint = cornersOf(boxAbout(centre, 70, 40));
          const plain = [
            ...outline.noGo.map(({ name, area }) => ({
              name,
              mm: polygonsOverlap(footprint, area) ? 0 : clearanceBetween(footprint, area).mm,
            })),
            ...outline.seams.map(({ name, line }) => ({ name, mm: clearanceToLine(footprint, line).mm })),
          ];
          const found = nearestThings(footprint, outline, withinMm);
          const least = Math.min(Infinity, ...plain.map((t) => t.mm));
          const missed = plain.filter((t) => t.mm < withinMm && !found.some((f) => f.name === t.name));
          return (
            missed.length === 0 &&
            (plain.length === 0 || Math.abs((found[0]?.clearance.mm ?? NaN) - least) < 1e-9)
          );
        },
      ),
      { numRuns: 300 },
    );
  });
});
