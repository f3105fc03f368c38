import type { NameRow } from '../model/ticket/names';

/** A name of an order as it is listed, with an id by its place. */
export const rowOfName = (text: string, i: number): NameRow => ({
  id: `row-of-name-${i}`,
  text,
  capPercent: 100,
  spacingMm: null,
  size: '',
  done: false,
});
