import Papa from 'papaparse';
import { minorDigits } from '../../base/units/money';
import type { Week } from '../../model/weeks';
import { marginOf } from './weeks';

/** Weeks as a table (CSV, RFC 4180): money in the shop's currency, with a point; what is not known is empty. */
export function weeksToCsv(weeks: readonly Week[], currency: string): string {
  const digits = minorDigits(currency);
  const money = (minor: number) => (minor / 10 ** digits).toFixed(digits);
  const rows = weeks.map((week) => {
    const margin = marginOf(week.countedMinor, week.costMinor);
    return {
      'week from': week.monday,
      pieces: String(week.pieces),
      spoilt: String(week.spoilt),
      'minutes planned': week.plannedMinutes.toFixed(0),
      'minutes taken': week.wasMinutes.toFixed(0),
      orders: String(week.orders),
      [`promised ${currency}`]: money(week.promisedMinor),
      [`cost ${currency}`]: money(week.costMinor),
      'margin %': margin === null ? '' : margin.toFixed(1),
    };
  });
  return Papa.unparse(rows, { newline: '\r\n' });
}
