import type { Offer, Offers } from '../../model/offer';
import type { Shared } from './merge';

type Keyed = Readonly<Record<string, unknown>>;
const isKeyed = (value: unknown): value is Keyed => typeof value === 'object' && value !== null;
const hasId = (id: string) => (row: unknown) => isKeyed(row) && row.id === id;

/** A thing with another value at a path; rows of a list are found by their id. Undefined takes it out. */
function withValue(thing: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key === undefined) return value;
  if (Array.isArray(thing)) {
    const at = thing.findIndex(hasId(key));
    const row = withValue(thing[at], rest, value);
    const others = thing.filter((_, i) => i !== at);
    if (row === undefined) return others;
    return at < 0 ? [...thing, row] : thing.map((old, i) => (i === at ? row : old));
  }
  const whole = isKeyed(thing) ? thing : {};
  const part = withValue(whole[key], rest, value);
  const { [key]: _, ...others } = whole;
  return part === undefined ? others : { ...whole, [key]: part };
}

const without = (offers: Offers, gone: (offer: Offer, id: string) => boolean): Offers =>
  Object.fromEntries(Object.entries(offers).filter(([id, offer]) => !gone(offer, id)));

/** The thing with an offered value in its field; whatever else was offered there goes. */
export function offerTaken<T extends Shared>(thing: T, id: string): T {
  const offer = thing.offers?.[id];
  if (!offer) return thing;
  const taken = withValue(thing, offer.at.split('.'), offer.value) as T;
  return { ...taken, offers: without(thing.offers ?? {}, ({ at }) => at === offer.at) };
}

/** The thing without an offer: what stands in the field was right. */
export const offerLeft = <T extends Shared>(thing: T, id: string): T => ({
  ...thing,
  offers: without(thing.offers ?? {}, (_, own) => own === id),
});
