import { z } from 'zod';
import { bareUnitOf, type DisplayUnits, parseLength } from '../../base/units/length';
import { formatMoney, readMoney, USUAL_CURRENCY } from '../../base/units/money';
import { count, mm, type Phrase, phrase, type Quantity } from '../../base/units/phrase';
import type { Bounds } from './bounds';

/** In what a field is read: lengths in these units, money in this currency. */
export type Reader = DisplayUnits & { currency?: string };

/** What a field makes of a text. `complete`: it has its unit, so that nobody goes on typing it. */
export type FieldReading =
  | { state: 'empty' }
  | { state: 'read'; value: number | string; complete: boolean; understood: string }
  | { state: 'unread'; why: Phrase };

type NumberBounds = Extract<Bounds, { kind: 'number' }>;

/** How far a length goes: to which side is chosen, and not typed. */
const howFar = (bounds: NumberBounds): NumberBounds =>
  bounds.isLength && bounds.least < 0
    ? { ...bounds, least: 0, most: Math.max(-bounds.least, bounds.most) }
    : bounds;

/** What a field takes, in words: `a length from 0 in to 23 5/8 in`. */
export function boundsInWords(bounds: Bounds): Phrase {
  if (bounds.kind === 'day') return phrase`a day, written 2026-12-24`;
  if (bounds.kind === 'money') return phrase`an amount of money`;
  if (bounds.kind === 'written') return phrase`${bounds.takes}`;
  if (bounds.kind === 'text')
    return bounds.least > 0
      ? phrase`${count(bounds.least)} to ${count(bounds.most)} letters`
      : phrase`at most ${count(bounds.most)} letters`;
  const figure = (value: number): Quantity => (bounds.isLength ? mm(value) : count(value));
  const what = bounds.isLength ? 'a length' : bounds.whole ? 'a whole number' : 'a number';
  const { least, most } = howFar(bounds);
  return phrase`${what} from ${figure(least)} to ${figure(most)}`;
}

const notTaken = (text: string, bounds: Bounds): FieldReading => ({
  state: 'unread',
  why: phrase`“${text}” was not taken: ${boundsInWords(bounds)}.`,
});

const isWithin = (value: number, { least, most, whole }: NumberBounds): boolean =>
  value >= least && value <= most && (!whole || Number.isInteger(value));

function readLength(text: string, bounds: NumberBounds, units: DisplayUnits): FieldReading {
  const parsed = parseLength(text, bareUnitOf(units));
  if (!parsed.ok) return { state: 'unread', why: phrase`${parsed.message}` };
  if (!isWithin(parsed.mm, howFar(bounds))) return notTaken(text, bounds);
  const hasUnit = /[^\d\s.,/+½¼¾⅛⅜⅝⅞-]/.test(text);
  return { state: 'read', value: parsed.mm, complete: hasUnit, understood: parsed.understood };
}

/** A number as people write it: `1 200`, `12,5`, `12.5`. */
function readNumber(text: string, bounds: NumberBounds): FieldReading {
  const plain = text.replace(/\s/g, '').replace(',', '.');
  const value = /^[-+]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : Number.NaN;
  return isWithin(value, bounds)
    ? { state: 'read', value, complete: false, understood: String(value) }
    : notTaken(text, bounds);
}

function readText(text: string, bounds: Extract<Bounds, { kind: 'text' }>): FieldReading {
  if (text.length <= bounds.most && text.length >= bounds.least)
    return { state: 'read', value: text, complete: true, understood: text };
  return {
    state: 'unread',
    why: phrase`${boundsInWords(bounds)}; ${count(text.length)} are typed. They stay here, and are not used.`,
  };
}

function readAmount(text: string, { currency = USUAL_CURRENCY }: Reader): FieldReading {
  const read = readMoney(text, currency);
  if (!read.ok) return { state: 'unread', why: phrase`“${text}” was not taken: ${read.message}` };
  const understood = formatMoney(read.minor, currency);
  return { state: 'read', value: read.minor, complete: false, understood };
}

/** What is written in one way of its own; nothing too, where that may be. */
const readWritten = (text: string, bounds: Extract<Bounds, { kind: 'written' }>): FieldReading =>
  text.length <= bounds.most && bounds.isSo(text)
    ? { state: 'read', value: text, complete: false, understood: text }
    : notTaken(text, bounds);

/** Whether a text is a day of the calendar, as ISO writes it. */
const isDay = (text: string): boolean => z.iso.date().safeParse(text).success;

/**
 * Reads what was typed in a field, within the bounds of its schema. A bare number of a length is in the units shown, money
 * in the shop's currency.
 * What cannot be read comes back with the words for it; never throws.
 */
export function readField(text: string, bounds: Bounds, reader: Reader): FieldReading {
  if (bounds.kind === 'written') return readWritten(text, bounds);
  if (text.trim() === '') return { state: 'empty' };
  if (bounds.kind === 'money') return readAmount(text, reader);
  if (bounds.kind === 'text') return readText(text, bounds);
  if (bounds.kind === 'day')
    return isDay(text.trim())
      ? { state: 'read', value: text.trim(), complete: true, understood: text.trim() }
      : notTaken(text, bounds);
  return bounds.isLength ? readLength(text, bounds, reader) : readNumber(text, bounds);
}
