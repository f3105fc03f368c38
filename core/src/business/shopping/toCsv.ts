import Papa from 'papaparse';
import type { BlankLine } from './blanks';
import { bySupplierName } from './bySupplier';
import type { ShoppingLine } from './shopping';

/** Amounts with two places at most, with a point. */
const figure = (amount: number): string => String(Math.round(amount * 100) / 100);

const COLUMNS = ['supplier', 'what', 'needed', 'here', 'to buy', 'unit', 'why', 'for', 'runs out'];

/** One row of the table. */
interface Row {
  supplier: string;
  cells: readonly string[];
}

const lackOf = ({ supplier, name, unit, needed, has, why, tickets, runsOut }: ShoppingLine): Row => ({
  supplier,
  cells: [
    name,
    figure(needed),
    figure(has),
    figure(Math.max(0, needed - has)),
    unit,
    why,
    tickets.join('; '),
    runsOut ? [runsOut.due, runsOut.ticket].filter(Boolean).join(' ') : '',
  ],
});

const blankOf = ({ title, kind, size, pieces, spares }: BlankLine): Row => ({
  supplier: '',
  cells: [
    [kind, size].filter(Boolean).join(', '),
    figure(pieces),
    '0',
    figure(pieces + spares),
    'pieces',
    spares > 0 ? `${spares} spare` : '',
    title,
    '',
  ],
});

/** A shopping list as a table (CSV, RFC 4180), by supplier: what the shelf lacks, then bare pieces with their spares. */
export function shoppingToCsv(lines: readonly ShoppingLine[], blanks: readonly BlankLine[]): string {
  const rows = [...lines.map(lackOf), ...blanks.map(blankOf)].sort((a, b) =>
    bySupplierName(a.supplier, b.supplier),
  );
  return Papa.unparse(
    { fields: COLUMNS, data: rows.map(({ supplier, cells }) => [supplier, ...cells]) },
    { newline: '\r\n', escapeFormulae: true },
  );
}
