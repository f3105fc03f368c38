import { count, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import type { CutSource, SheetToCut } from './cutPlan';
import type { Cut } from './guillotine';

/** A cut in words, measured from the edge of what is in the hand. */
function sayCut({ of, way, atMm }: Cut, { sheet }: CutSource): Phrase {
  if (sheet === null && way === 'across' && atMm === of.right)
    return phrase`Cut ${mm(of.right - of.left)} off the roll`;
  return way === 'across'
    ? phrase`Across it, ${mm(atMm - of.left)} from its left edge: a cut of ${mm(of.bottom - of.top)}`
    : phrase`Along it, ${mm(atMm - of.top)} from its top edge: a cut of ${mm(of.right - of.left)}`;
}

/** The cuts of one sheet or roll, in their order. */
export const sayCuts = (source: CutSource): Phrase[] => source.cuts.map((cut) => sayCut(cut, source));

/** What is cut, and from what: `Tear-away, 0.41 m off the roll: 5 pieces, 12 % wasted`. */
export function saySource({ material, sheet, lengthMm, acrossMm, placed, waste }: CutSource): Phrase {
  const from =
    sheet === null
      ? phrase`${mm(lengthMm)} off the roll of ${mm(acrossMm)}`
      : phrase`the loose sheet of ${mm(sheet.widthMm)} × ${mm(sheet.heightMm)}`;
  return phrase`${material.name}, ${from}: ${count(placed.length)} ${placed.length === 1 ? 'piece' : 'pieces'}, ${percent(waste * 100)} wasted`;
}

/** The pieces of a plan that are alike and for one ticket, as one line with their numbers. */
export function alike(pieces: readonly SheetToCut[]): { nos: number[]; piece: SheetToCut }[] {
  const groups = new Map<string, { nos: number[]; piece: SheetToCut }>();
  for (const piece of pieces) {
    const { type, widthMm, heightMm, ticketId, serves } = piece;
    const key = [type, widthMm, heightMm, ticketId, serves].join('|');
    const group = groups.get(key) ?? { nos: [], piece };
    group.nos.push(piece.no);
    groups.set(key, group);
  }
  return [...groups.values()];
}

/** The numbers as people write them: `1–4, 7`. */
export function numbersInWords(nos: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const no of [...nos].sort((a, b) => a - b)) {
    const last = runs[runs.length - 1];
    if (last && last[1] === no - 1) last[1] = no;
    else runs.push([no, no]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}
