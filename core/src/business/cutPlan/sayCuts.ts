import { count, metres, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import type { SpoiltShare } from '../cost/spoilt';
import type { BlankLine } from '../shopping/blanks';
import type { CutSource, SheetToCut } from './cutPlan';
import type { Cut } from './guillotine';
import type { BenchCut } from './planCutting';

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

/** What a plan takes of rolls, and what it spares against cutting ticket by ticket; less than a centimetre is none. */
export function saySaved({ takenM, byTicketM }: Pick<BenchCut, 'takenM' | 'byTicketM'>): Phrase {
  const taken = phrase`${metres(takenM)} off the rolls`;
  return byTicketM === null || byTicketM - takenM < LEAST_SPARED_M
    ? phrase`${taken}.`
    : phrase`${taken}; cut ticket by ticket it would be ${metres(byTicketM)}.`;
}
const LEAST_SPARED_M = 0.01;

/** What is left of everything that is cut from, once it is. */
export const sayLeft = ({ after, sources }: Pick<BenchCut, 'after' | 'sources'>): Phrase[] =>
  after
    .filter(({ id }) => sources.some(({ material }) => material.id === id))
    .map(({ name, metresLeft, loose }) => {
      const sheets = loose.reduce((sum, one) => sum + one.count, 0);
      const also =
        sheets > 0 ? phrase`, ${count(sheets)} loose ${sheets === 1 ? 'sheet' : 'sheets'}` : phrase``;
      return phrase`${name}: ${metres(metresLeft)}${also}`;
    });

/** That more is to be cut than one plan holds; nothing where it holds all. */
export const sayBeyond = ({ beyond }: Pick<BenchCut, 'beyond'>): Phrase | null =>
  beyond === 0
    ? null
    : phrase`${count(beyond)} more ${beyond === 1 ? 'sheet comes' : 'sheets come'} after these: planned once these are cut.`;

/** Pieces that nothing on the shelf is large or long enough for. */
export const sayMissing = (missing: readonly SheetToCut[]): Phrase[] =>
  alike(missing).map(
    ({ nos, piece: { name, widthMm, heightMm, title } }) =>
      phrase`${count(nos.length)} × ${name}, ${mm(widthMm)} × ${mm(heightMm)}: ${title}`,
  );

/** Bare pieces to buy of one size. */
export function sayBlank({ kind, size, pieces, spares, title }: BlankLine): Phrase {
  const also = spares > 0 ? phrase`, ${count(spares)} spare` : phrase``;
  return phrase`${count(pieces + spares)} × ${[kind, size].filter(Boolean).join(', ')}: ${count(pieces)} for ${title}${also}`;
}

/** Why there are so many spares. */
export const saySpares = ({ share, pieces }: SpoiltShare): Phrase =>
  phrase`Spares by what is spoilt: ${percent(share * 100)}, from what the shop believes and ${count(pieces)} logged ${pieces === 1 ? 'piece' : 'pieces'}.`;
