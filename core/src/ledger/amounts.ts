import { LOOSE_BOUNDS, type LooseSheets, MOST_COUNTED, type Shelf, type ShelfNoun } from '../model/shelf';
import { needlesOf } from '../stock/supplies';
import { withLoose } from './rolls/cutting';

/**
 * The amounts of an item, by figure: `metresLeft` (m), `left` (the supply's unit), `hours 0` (of the needle in the
 * first place, h), `loose 300x200` (loose sheets of that size, mm). One that is not there is 0, or is not counted.
 */
export type Amounts = Readonly<Record<string, number>>;

export type ItemOf<N extends ShelfNoun = ShelfNoun> = Shelf[N][number];

interface Counted<N extends ShelfNoun> {
  of: (item: ItemOf<N>) => Amounts;
  with: (item: ItemOf<N>, amounts: Amounts) => ItemOf<N>;
}

const LOOSE = 'loose ';
export const looseFigure = ({ widthMm, heightMm }: Omit<LooseSheets, 'count'>): string =>
  `${LOOSE}${widthMm}x${heightMm}`;
const HOURS = 'hours ';
export const hoursFigure = (needle: number): string => `${HOURS}${needle}`;

/** The size of the loose sheets that a figure counts; null for other figures. */
export function sizeOfFigure(figure: string): Omit<LooseSheets, 'count'> | null {
  if (!figure.startsWith(LOOSE)) return null;
  const [widthMm = 0, heightMm = 0] = figure.slice(LOOSE.length).split('x').map(Number);
  return { widthMm, heightMm };
}

/** The needle, from 0, whose hours a figure counts; null for other figures. */
export const needleOfFigure = (figure: string): number | null =>
  figure.startsWith(HOURS) ? Number(figure.slice(HOURS.length)) : null;

function looseOf(amounts: Amounts): LooseSheets[] {
  const sheets = Object.entries(amounts).flatMap(([figure, count]) => {
    const size = sizeOfFigure(figure);
    return size ? [{ ...size, count }] : [];
  });
  return withLoose(sheets, [], 1);
}

const COUNTED: { [N in ShelfNoun]?: Counted<N> } = {
  materials: {
    of: ({ metresLeft, loose }) => {
      const amounts: Record<string, number> = { metresLeft };
      for (const sheets of loose)
        amounts[looseFigure(sheets)] = (amounts[looseFigure(sheets)] ?? 0) + sheets.count;
      return amounts;
    },
    with: (item, amounts) => ({ ...item, metresLeft: amounts.metresLeft ?? 0, loose: looseOf(amounts) }),
  },
  threads: {
    of: ({ metresLeft }): Amounts => (metresLeft === null ? {} : { metresLeft }),
    with: (item, amounts) =>
      item.metresLeft === null ? item : { ...item, metresLeft: amounts.metresLeft ?? 0 },
  },
  supplies: { of: ({ left }) => ({ left }), with: (item, { left = 0 }) => ({ ...item, left }) },
  machines: {
    of: (machine) => Object.fromEntries(needlesOf(machine).map(({ hours }, i) => [hoursFigure(i), hours])),
    with: (machine, amounts) => ({
      ...machine,
      fitted: needlesOf(machine).map((needle, i) => ({ ...needle, hours: amounts[hoursFigure(i)] ?? 0 })),
    }),
  },
};

/** Whether anything is counted of the items of a noun. */
export const isCounted = (noun: ShelfNoun): boolean => noun in COUNTED;

/** What is counted of an item. Empty for nouns of which nothing is, and for what the shop does not count. */
export const amountsOf = <N extends ShelfNoun>(noun: N, item: ItemOf<N>): Amounts =>
  (COUNTED[noun] as Counted<N> | undefined)?.of(item) ?? {};

const withAmounts = <N extends ShelfNoun>(noun: N, item: ItemOf<N>, amounts: Amounts): ItemOf<N> =>
  (COUNTED[noun] as Counted<N> | undefined)?.with(item, amounts) ?? item;

/** An amount as it is kept: to a millionth. */
export const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;
const most = (figure: string): number => (figure.startsWith(LOOSE) ? LOOSE_BOUNDS.mostOfOne : MOST_COUNTED);
const clamped = (figure: string, value: number): number =>
  Math.min(most(figure), Math.max(0, rounded(value)));

const figuresOf = (...all: Amounts[]): string[] => [
  ...new Set(all.flatMap((amounts) => Object.keys(amounts))),
];

/** What brings one set of amounts to another; figures that stay are left out. */
export function difference(from: Amounts, to: Amounts): Amounts {
  const by = figuresOf(from, to).map((f) => [f, rounded((to[f] ?? 0) - (from[f] ?? 0))] as const);
  return Object.fromEntries(by.filter(([, amount]) => amount !== 0));
}

/** Amounts with others on top. */
export const sum = (a: Amounts, b: Amounts): Amounts =>
  Object.fromEntries(figuresOf(a, b).map((f) => [f, rounded((a[f] ?? 0) + (b[f] ?? 0))]));

/** An item whose amounts were changed, with just what moved each. */
export interface Moved<N extends ShelfNoun = ShelfNoun> {
  item: ItemOf<N>;
  moves: Amounts;
}

/**
 * An item with its amounts changed: what it had, and the change, never below nothing nor past what a shelf counts. The
 * moves are what was really changed, so that what it had and the moves add up to what it has; of a figure that is no
 * longer counted they take away all.
 */
export function withAmountsMoved<N extends ShelfNoun>(
  noun: N,
  item: ItemOf<N>,
  { had, change }: { had: Amounts; change: Amounts },
): Moved<N> {
  const wanted = figuresOf(had, change).map((f) => [f, clamped(f, (had[f] ?? 0) + (change[f] ?? 0))]);
  const next = withAmounts(noun, item, Object.fromEntries(wanted));
  return { item: next, moves: difference(had, amountsOf(noun, next)) };
}

/** An item with the amounts of another: what was used since does not come back with its name. */
export const withAmountsOf = <N extends ShelfNoun>(noun: N, item: ItemOf<N>, of: ItemOf<N>): ItemOf<N> =>
  withAmounts(noun, item, amountsOf(noun, of));
