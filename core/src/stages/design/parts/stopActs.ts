import { type Phrase, phrase } from '../../../base/units/phrase';
import type { ColourStop } from '../../../model/ticket/artwork';
import type { Part, PartWay } from '../../../model/ticket/part';
import { isSameStop, type PartStop } from '../../../model/ticket/partStop';
import { drawnPart } from './drawnPart';
import { blocksOf, type DesignStop, swappedIn } from './stopsOfDesign';

/** How a stop of a part is to look; null as it is. */
export type Dress = (stop: Omit<PartStop, 'step'>) => Pick<ColourStop, 'hex' | 'name'> | null;

/** The parts in other colours. */
export const dressed = (parts: readonly Part[], dress: Dress): Part[] =>
  parts.map((part) => ({
    ...part,
    colours: part.colours.map((colour, stop) => ({ ...colour, ...dress({ part: part.id, stop }) })),
  }));

/** The parts with the stitches of one stop counted; null for a share of the whole. */
export const counted = (
  parts: readonly Part[],
  { part: id, stop }: Omit<PartStop, 'step'>,
  stitches: number | null,
): Part[] =>
  parts.map((part) =>
    part.id === id
      ? { ...part, colours: part.colours.map((one, k) => (k === stop ? { ...one, stitches } : one)) }
      : part,
  );

/** The order in which a stop is stitched one place sooner or later than it is now, or why it may not be. */
export function stopMoved(
  parts: readonly Part[],
  stops: readonly DesignStop[],
  { index, by }: { index: number; by: 1 | -1 },
): PartStop[] | Phrase {
  const rows = stops.map(({ of }) => of);
  const [row, other] = [rows[index], rows[index + by]];
  if (!row || !other) return phrase`It is at the end already.`;
  rows[index] = other;
  rows[index + by] = row;
  const order = rows.flat();
  const blocks = blocksOf(parts.flatMap((part) => drawnPart(part) ?? []));
  const places = order.map((one) => blocks.findIndex((block) => isSameStop(block, one)));
  const [swapped] = swappedIn(blocks, places);
  return swapped
    ? phrase`${swapped.upper.name} lies on ${swapped.lower.name}: stitched sooner, it would be covered.`
    : order;
}

/** Whether a stop may be moved so: a list of stops is an order, words are why not. */
export const isOrder = (found: PartStop[] | Phrase): found is PartStop[] =>
  found.every((one) => typeof one === 'object' && 'part' in one);

/** A part with one of its colours stitched so; a colour that is stitched by its width and along it is not named. */
export function withWay(part: Part, way: PartWay): Part {
  const others = part.ways.filter(({ stop }) => stop !== way.stop);
  const isUsual = way.way === null && way.angleDeg === null;
  return { ...part, ways: isUsual ? others : [...others, way] };
}
