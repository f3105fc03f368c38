import isEqual from 'fast-deep-equal';
import { v5 } from 'uuid';
import type { Offer, Offers } from '../model/offer';

type Keyed = Readonly<Record<string, unknown>>;

/** Values of one thing on three hands: what both began from, what was made of it here, and what elsewhere. */
export interface Three<T> {
  base: T;
  mine: T;
  theirs: T;
}

/** A field that was changed on both sides, to different values. */
interface Clash {
  keys: string[];
  mine: unknown;
}

const isKeyed = (value: unknown): value is Keyed =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Two coordinates are one value: half of a move is no move. And so are shapes with what is known of them, and how far a
 * piece is with since when.
 */
const isOne = (value: Keyed): boolean =>
  ('x' in value && 'y' in value) || ('paths' in value && 'madeFrom' in value) || 'sinceMs' in value;

/** Whether values are merged part by part. A side that has nothing there is merged as one that has no parts. */
const havePartsAlone = ({ base, mine, theirs }: Three<unknown>): boolean =>
  [mine, theirs].every((side) => isKeyed(side) && !isOne(side)) && (isKeyed(base) || base === undefined);

interface WithId {
  id: string;
}
const isListOfIds = (value: unknown): value is readonly WithId[] =>
  Array.isArray(value) && value.every((row) => isKeyed(row) && typeof row.id === 'string');

const byId = (rows: unknown): Keyed =>
  Object.fromEntries((isListOfIds(rows) ? rows : []).map((row) => [row.id, row]));

const idsOf = (rows: readonly WithId[]): string[] => rows.map(({ id }) => id);

/** Whether what two lists both have stands in another order in them. */
function areMoved(a: readonly string[], b: readonly string[]): boolean {
  const [inA, inB] = [new Set(a), new Set(b)];
  return !isEqual(
    a.filter((id) => inB.has(id)),
    b.filter((id) => inA.has(id)),
  );
}

/**
 * The rows in their order: that of the side on which they were moved, and theirs where they were moved on both, or
 * nobody knows what they were. Moved on both to different orders, mine is offered: the ids of its rows. What only the
 * other side has comes behind.
 */
function inOrder(rows: Keyed, three: Three<readonly WithId[]>, keys: string[], clashes: Clash[]): unknown[] {
  const [base, mine, theirs] = [idsOf(three.base), idsOf(three.mine), idsOf(three.theirs)];
  const [isMineMoved, isTheirsMoved] = [areMoved(mine, base), areMoved(theirs, base)];
  const isMine = base.length > 0 && isMineMoved && !isTheirsMoved;
  if (isMineMoved && isTheirsMoved && areMoved(mine, theirs)) clashes.push({ keys, mine });
  const order = isMine ? [...mine, ...theirs] : [...theirs, ...mine];
  return [...new Set(order)].flatMap((id) => (id in rows ? [rows[id]] : []));
}

const drawingOf = ({ artwork }: Keyed): unknown =>
  isKeyed(artwork) && isKeyed(artwork.source) ? artwork.source.drawing : null;

/** What of a part of a design is made from the rest of it: of letters, and of a drawing that both have. */
function madeOf(mine: Keyed, theirs: Keyed): readonly string[] {
  if (isKeyed(mine.letters) && isKeyed(theirs.letters)) return ['artwork', 'widthMm', 'heightMm', 'stitches'];
  const isSame = drawingOf(mine) !== null && drawingOf(mine) === drawingOf(theirs);
  return isSame ? ['artwork', 'heightMm', 'stitches', 'scalePercent'] : [];
}

/** What is made stays together, and is never offered: where it does not follow from the rest it is made again. */
function mergeMade({ base, mine, theirs }: Three<Keyed>): Keyed {
  const made = madeOf(mine, theirs);
  const from = made.every((name) => isEqual(theirs[name], base[name])) ? mine : theirs;
  return Object.fromEntries(made.map((name) => [name, from[name]]));
}

function mergeParts({ base, mine, theirs }: Three<Keyed>, keys: string[], clashes: Clash[]): Keyed {
  const made = mergeMade({ base, mine, theirs });
  const names = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
  const parts = [...names].map((name) => {
    if (name in made) return [name, made[name]] as const;
    const three = { base: base[name], mine: mine[name], theirs: theirs[name] };
    return [name, mergeValue(three, [...keys, name], clashes)] as const;
  });
  return Object.fromEntries(parts.filter(([, value]) => value !== undefined));
}

/** Where the settings of names are kept: each is made from its name. */
const MADE_OF_NAMES = 'nameSets';
/** What is made of a whole design: where it does not follow from it, it is made again. */
const MADE_OF_DESIGN = 'made';

function mergeValue(three: Three<unknown>, keys: string[], clashes: Clash[]): unknown {
  const { base, mine, theirs } = three;
  if (isEqual(mine, theirs) || isEqual(mine, base)) return theirs;
  if (isEqual(theirs, base)) return mine;
  if (keys.at(-2) === MADE_OF_NAMES || keys.at(-1) === MADE_OF_DESIGN) return theirs;
  if (havePartsAlone(three)) {
    const parts = { base: isKeyed(base) ? base : {}, mine: mine as Keyed, theirs: theirs as Keyed };
    return mergeParts(parts, keys, clashes);
  }
  if (isListOfIds(mine) && isListOfIds(theirs)) {
    const rows = mergeParts({ base: byId(base), mine: byId(mine), theirs: byId(theirs) }, keys, clashes);
    return inOrder(rows, { base: isListOfIds(base) ? base : [], mine, theirs }, keys, clashes);
  }
  if ([base, mine, theirs].every(isSetOfWords)) return mergeWords(three as Three<readonly string[]>);
  clashes.push({ keys, mine });
  return theirs;
}

/** A list of words is a set: which stages are settled, which seams are opened. */
const isSetOfWords = (value: unknown): value is readonly string[] =>
  Array.isArray(value) && value.every((word) => typeof word === 'string');

/** Theirs, without what was taken out here, and with what was put in here. */
const mergeWords = ({ base, mine, theirs }: Three<readonly string[]>): string[] => [
  ...theirs.filter((word) => mine.includes(word) || !base.includes(word)),
  ...mine.filter((word) => !base.includes(word) && !theirs.includes(word)),
];

/** The namespace in which an offer has its id: the same value at the same field always gets the same. */
const OFFERED = 'a6d2f0f4-5f0e-4a52-9d0e-3c1f6a5b7e21';

/** What says which thing it is, what is offered on it, or follows from other fields: it is not offered itself. */
const NOT_OFFERED = ['id', 'offers', 'settledAs'];

const isOffered = (key: string): boolean => key !== '' && !NOT_OFFERED.includes(key);

/** A thing that two devices may work on at once. */
export interface Shared {
  offers?: Offers | undefined;
}

/**
 * What two devices made of one thing, put together field by field. Where both changed a field to different values,
 * theirs stays in it and mine is offered beside it, so that a person says which is right; nothing is dropped. Lists
 * whose rows have ids are put together row by row, other lists, points and shapes are one value each. What is made from
 * other fields stays together and is not offered. Putting together again what was put together changes nothing.
 */
export function mergeThree<T extends Shared>(three: Three<T>, who: Pick<Offer, 'by' | 'when'>): T {
  const clashes: Clash[] = [];
  const merged = mergeValue(three, [], clashes) as T;
  const offers = clashes.flatMap(({ keys, mine }): [string, Offer][] => {
    const at = keys.join('.');
    if (!isOffered(keys[0] ?? '')) return [];
    const value = mine === undefined ? {} : { value: mine };
    return [[v5(`${at}\n${JSON.stringify(mine)}`, OFFERED), { at, ...value, ...who }]];
  });
  return offers.length === 0
    ? merged
    : { ...merged, offers: { ...merged.offers, ...Object.fromEntries(offers) } };
}

/** All that was changed here, part by part, offered on top of what stands there. */
function offeredWhole<T extends Shared & object>(
  { base, mine, theirs }: Three<T>,
  who: Pick<Offer, 'by' | 'when'>,
): T {
  const keys = Object.keys(mine).filter(isOffered) as (keyof T & string)[];
  const changed = keys.filter((key) => !isEqual(mine[key], base[key]));
  // Written and read, since what is offered is kept as JSON.
  const offers = changed.map((key) => [
    `${key} of ${who.when}`.slice(0, 40),
    { at: key, value: JSON.parse(JSON.stringify(mine[key])), ...who },
  ]);
  return { ...theirs, offers: { ...theirs.offers, ...Object.fromEntries(offers) } };
}

/**
 * What two devices made of one thing, put together. Where fields that fit on either side do not fit together, theirs
 * stays as a whole and the parts of mine are offered.
 */
export function mergeFitting<T extends Shared & object>(
  three: Three<T>,
  who: Pick<Offer, 'by' | 'when'>,
  fits: (thing: T) => boolean,
): T {
  const merged = mergeThree(three, who);
  return fits(merged) ? merged : offeredWhole(three, who);
}
