import type { Size } from '../../model/ticket/piece';
import type { Readings } from './readings';

/**
 * A size's readings: its own, and for those not taken this piece's in proportion to the width. Without a width of
 * its own it is this piece's size.
 */
export function readingsOfSize(
  size: Pick<Size, 'readings'>,
  base: Readings,
  widthId: string,
): Record<string, number> {
  const [own, ours] = [size.readings[widthId], base[widthId]];
  const grow = own !== undefined && ours ? own / ours : 1;
  return {
    ...Object.fromEntries(Object.entries(base).map(([id, value]) => [id, value * grow])),
    ...size.readings,
  };
}
