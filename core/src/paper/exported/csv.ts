import Papa from 'papaparse';
import { numberFor } from '../../catalogue/houseNumber';
import { STABILIZERS } from '../../catalogue/materials';
import { QUESTIONS } from '../../catalogue/schools';
import type { CsvTable } from '../../model/csvTables';
import type { Exported } from '../../model/exported';
import { FAULTS } from '../../model/faults';
import { schoolFor } from '../../model/houseRules';
import { QUESTION_IDS } from '../../model/schoolIds';
import { SHELF_NOUNS } from '../../model/shelf';
import { STAGES } from '../../model/stages';
import { figuresOf } from '../../records/again/figures';
import { minutesOf } from '../../records/logbook/ticked';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { HOUSE_NUMBERS } from '../../table/houseRules/numbers';

type Cell = string | number | null;
type Row = Record<string, Cell>;

/** The figures of a piece as cells: a number in mm, degrees or stitches, or a word. */
const figureCells = (of: Parameters<typeof figuresOf>[0]): Row =>
  Object.fromEntries(
    figuresOf(of).map(({ id, value }) => [
      id,
      typeof value === 'number' ? Math.round(value * 100) / 100 : value,
    ]),
  );

const ROWS: Record<CsvTable, (all: Exported) => Row[]> = {
  logbook: ({ logbook }) =>
    logbook.map((entry) => {
      const { log, ticket } = entry;
      const minutes = minutesOf(log);
      return {
        entry: entry.id,
        logged: entry.loggedAt,
        name: ticket.name,
        customer: ticket.customer,
        ...figureCells(entry),
        ...Object.fromEntries(FAULTS.map(({ id }) => [`fault ${id}`, log.faults[id] ?? 0])),
        'off right, mm': log.off.right,
        'off down, mm': log.off.down,
        'right end down, mm': log.off.endDown,
        ...Object.fromEntries(STAGES.map((stage) => [`minutes ${stage}`, minutes[stage] ?? null])),
        'stitches counted': log.counted.stitches,
        'top thread, m': log.counted.topM,
        'bobbin thread, m': log.counted.bobbinM,
        swatch: log.swatch ? 'yes' : 'no',
        'done by': log.by,
        note: log.note,
        'next time': log.nextTime,
      };
    }),
  tickets: ({ tickets }) =>
    tickets.map(({ ticket, updatedAt, onBench }) => ({
      ticket: ticket.id,
      name: ticket.name,
      customer: ticket.customer,
      due: ticket.due,
      piece: PIECE_KINDS[ticket.piece.kind].name,
      cloth: ticket.piece.fabricId,
      settled: ticket.settled.join(' '),
      'on the bench': onBench ? 'yes' : 'no',
      changed: updatedAt,
    })),
  shelf: ({ shelf }) =>
    SHELF_NOUNS.flatMap((noun) =>
      (shelf[noun] as { id: string; name: string }[]).map(({ id, name, ...rest }) => ({
        list: noun,
        item: id,
        name,
        ...Object.fromEntries(
          Object.entries(rest).map(([key, value]): [string, Cell] => [
            key,
            typeof value === 'string' || typeof value === 'number' || value === null
              ? value
              : JSON.stringify(value),
          ]),
        ),
      })),
    ),
  rules: ({ rules }) => [
    ...QUESTION_IDS.map((id) => ({
      rule: id,
      name: QUESTIONS[id].question,
      value: String(schoolFor(rules, id)),
      usual: '',
      unit: 'school',
    })),
    ...HOUSE_NUMBERS.map((number) => ({
      rule: number.id,
      name: number.name,
      value: numberFor(rules, number),
      usual: number.value,
      unit: number.unit,
    })),
    ...rules.ways.map((way) => ({
      rule: way.id,
      name: way.name,
      value: way.sheets.map(({ stabilizer }) => STABILIZERS[stabilizer].name).join(' + '),
      usual: way.on ? 'followed' : 'switched off',
      unit: 'way of ours',
    })),
  ],
};

/** One table of a shop as CSV, a line a record; cells that a spreadsheet would take for formulas are quoted. */
export function exportedCsv(all: Exported, table: CsvTable): string {
  const rows = ROWS[table](all);
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  return `${Papa.unparse(rows, { columns, newline: '\n', escapeFormulae: true })}\n`;
}
