import { heightOf, widthOf } from '../../base/geometry/box';
import { ARTWORK_BOUNDS } from '../../model/ticket/designBounds';
import { EMPTY_PART, type Part } from '../../model/ticket/part';
import { boxOfStitches, countStops, type StitchCount } from '../../stages/design/stitches/summary';
import type { FileStop, StitchFile } from './stitchFile';

/** What a stitch file tells: of each stop, and of all. */
export interface Told {
  stops: (FileStop & StitchCount)[];
  stitches: number;
  widthMm: number;
  heightMm: number;
}

/** What a stitch file tells; of one without stitches nothing but its stops. */
export function toldBy({ stops, stitches }: StitchFile): Told {
  const counts = countStops(stitches, stops.length);
  const box = boxOfStitches(stitches);
  const told = stops.flatMap((stop, i) => {
    const count = counts[i];
    return count ? [{ ...stop, ...count }] : [];
  });
  return {
    stops: told,
    stitches: told.reduce((sum, stop) => sum + stop.stitches, 0),
    widthMm: box ? widthOf(box) : 0,
    heightMm: box ? heightOf(box) : 0,
  };
}

const LEAST_MM = 0.1;
const tenth = (mm: number): number => Math.max(LEAST_MM, Math.round(mm * 10) / 10);

/**
 * A part of a design by the figures of a stitch file, as one read off a machine's screen: its size, its colours and their
 * stitches. Of more colours than a part may have the last ones are counted with the last that it has.
 */
export function partOfFile(file: StitchFile, id: string): Part {
  const { stops, stitches, widthMm, heightMm } = toldBy(file);
  const colours = stops.slice(0, ARTWORK_BOUNDS.stops).map(({ hex, name, stitches: own }, i, all) => ({
    hex,
    name: name.slice(0, 60),
    stitches: i < all.length - 1 ? own : stops.slice(i).reduce((sum, stop) => sum + stop.stitches, 0),
  }));
  return {
    ...EMPTY_PART,
    id,
    widthMm: tenth(widthMm),
    heightMm: tenth(heightMm),
    stitches: Math.max(1, stitches),
    colours: colours.length > 0 ? colours : EMPTY_PART.colours,
  };
}
