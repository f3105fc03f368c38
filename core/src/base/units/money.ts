import { z } from 'zod';
import { writtenAs } from './schema';

/** The numbers of every schema that are money, so that a field reads and shows them as such. */
export const MONEY = z.registry<{ unit: 'minor' }>();

/** An amount of money in the smallest unit of its currency (cents, yen), whole. */
export const MOST_MINOR = 1e12;
export const MinorSchema = z
  .number()
  .int('Money is counted in whole coins.')
  .min(0, 'Money is not less than nothing.')
  .max(MOST_MINOR, 'That is more money than is counted here.')
  .register(MONEY, { unit: 'minor' });

/** The currencies there are, by their three letters (ISO 4217), as the device knows them. */
const CURRENCIES: ReadonlySet<string> = new Set(Intl.supportedValuesOf('currency'));

export const USUAL_CURRENCY = 'EUR';
export const CurrencySchema = writtenAs(3, {
  takes: 'the three letters of a currency, as EUR or JPY',
  isSo: (code) => CURRENCIES.has(code),
});

/** So many places behind the point a currency has; 2 where it is not known. */
export const minorDigits = (currency: string): number =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;

/** An amount as it is written: “€ 12.50”. Parts of the smallest unit are rounded, half of one up. */
export function formatMoney(minor: number, currency: string): string {
  const digits = minorDigits(currency);
  return new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    currencyDisplay: 'narrowSymbol',
    minimumFractionDigits: digits,
  }).format(wholeMinor(minor) / 10 ** digits);
}

/** To whole smallest units: half of one is rounded up, away from nothing, as a till does. */
export const wholeMinor = (exact: number): number => {
  // What is a half but for the arithmetic of fractions is a half.
  const whole = Math.floor(Math.abs(exact) + 0.5 + 1e-9);
  return exact < 0 && whole > 0 ? -whole : whole;
};

export type ReadMoney = { ok: true; minor: number } | { ok: false; message: string };

const AMOUNT = /^(\d{1,12})(?:[.,](\d+))?$/;

/**
 * What was typed for an amount: digits with a point or a comma before the parts, the currency's letters or its sign
 * beside it or not, thousands parted by spaces. Refused are other signs, parts the currency has not, and less than nothing.
 */
export function readMoney(text: string, currency: string): ReadMoney {
  const digits = minorDigits(currency);
  const bare = text
    .replace(/[\s\u00a0\u202f]/g, '')
    .replace(new RegExp(`^(${currency}|\\p{Sc})|(${currency}|\\p{Sc})$`, 'iu'), '');
  const found = AMOUNT.exec(bare);
  if (!found) return { ok: false, message: `An amount is written as ${digits > 0 ? '12.50' : '1250'}.` };
  const [, whole = '0', parts = ''] = found;
  if (parts.length > digits)
    return {
      ok: false,
      message:
        digits === 0 ? `${currency} has no parts.` : `${currency} has ${digits} places behind the point.`,
    };
  const minor = Number(whole + parts.padEnd(digits, '0'));
  return minor <= MOST_MINOR
    ? { ok: true, minor }
    : { ok: false, message: 'That is more money than is counted here.' };
}

/** An amount as it stands in a field: no sign, a point before the parts. */
export const moneyInField = (minor: number, currency: string): string =>
  (minor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency));
