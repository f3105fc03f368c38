import Papa from 'papaparse';
import { isSameThread, SHELF_ROOM, type Thread, ThreadSchema } from '../../model/shelf';

/** A thread as a file tells it: without the id that the shelf gives it. */
export type ListedThread = Omit<Thread, 'id'>;

/** A line that could not be taken: its number, from 1, and why. */
export interface RefusedLine {
  line: number;
  why: string;
}

export interface PaletteRefusal {
  ok: false;
  code: 'empty' | 'no-colours' | 'too-long';
  /** What is wrong, for a person. */
  message: string;
}
export type ReadPalette =
  | {
      ok: true;
      threads: ListedThread[];
      /** The lines that were not taken; the others were. */
      refused: RefusedLine[];
      /** How many lines name a thread that an earlier line named. */
      doubles: number;
    }
  | PaletteRefusal;

const COLUMNS = ['name', 'hex', 'weight', 'fibre', 'metresLeft'] as const;
type Column = (typeof COLUMNS)[number];
/** What the columns are called in lists, in letters and figures only. */
const CALLED: Record<Column, readonly string[]> = {
  name: ['name', 'thread', 'threadname', 'colourname', 'colorname'],
  hex: ['hex', 'colour', 'color', 'hexcolour', 'hexcolor', 'rgbhex', 'html'],
  weight: ['weight', 'wt', 'threadweight'],
  fibre: ['fibre', 'fiber', 'material'],
  metresLeft: ['metresleft', 'metres', 'meters', 'metersleft', 'm', 'left', 'length'],
};
/** No list is longer than the shelf. */
const MOST_LINES = SHELF_ROOM.threads;
const USUAL = { weight: 40, fibre: 'polyester' } as const;
/** A heading stands in one of the first lines of a list. */
const HEADING_WITHIN = 6;

const asRow = ({ name, hex, weight, fibre, metresLeft }: Thread) => [
  name,
  hex,
  weight,
  fibre,
  metresLeft === null ? null : Number(metresLeft.toFixed(2)),
];

/** The threads of a shelf as CSV with a heading: name, hex, weight, fibre, metres left to the
 * centimetre (empty: not counted). */
export const threadsToCsv = (threads: readonly Thread[]): string =>
  Papa.unparse({ fields: [...COLUMNS], data: threads.map(asRow) }, { newline: '\n' });

const channels = (hex: string): number[] => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));

/** The threads of a shelf as open palette text: a line to a colour, red, green and blue from 0 to 255, then its name. */
export const threadsToPalette = (threads: readonly Thread[]): string =>
  [
    '# Threads of this shop: red, green, blue, name',
    ...threads.map(({ hex, name }) => `${channels(hex).join(' ')}\t${name}`),
  ].join('\n');

const refuse = (code: PaletteRefusal['code'], message: string): PaletteRefusal => ({
  ok: false,
  code,
  message: `${message} The shelf is as it was.`,
});

type Line = { line: number; thread: ListedThread } | RefusedLine;

/** `1f3a5f`, `#1F3A5F`, `#abc`: as a colour is kept; a text that is none comes back as it is. */
function hexOf(text: string): string {
  const bare = text.trim().replace(/^#/, '');
  if (/^[0-9a-f]{3}$/i.test(bare)) return `#${bare.replace(/./g, '$&$&')}`.toUpperCase();
  return /^[0-9a-f]{6}$/i.test(bare) ? `#${bare}`.toUpperCase() : text;
}

const ListedSchema = ThreadSchema.omit({ id: true, unread: true });
const FIBRES = ThreadSchema.shape.fibre.options.join(', ');

/** Why a cell cannot be read, by its column. */
const WHY: Record<Column, (text: string) => string> = {
  name: () => 'its name is too long',
  hex: (text) =>
    text === '' ? 'it has no colour' : `“${text}” is no colour: six figures are wanted, #1F3A5F`,
  weight: (text) => `“${text}” is no weight: 40 or 60`,
  fibre: (text) => `“${text}” is no fibre: ${FIBRES}`,
  metresLeft: (text) => `“${text}” is no number of metres, or can be read in two ways: write 1200 or 12.5`,
};

/** The thread of a row's cells, as the shelf takes it; or why it does not. */
function listed(cell: (column: Column) => string, line: number): Line {
  const { data, error } = ListedSchema.safeParse({
    name: cell('name') || hexOf(cell('hex')),
    hex: hexOf(cell('hex')),
    weight: Number(cell('weight').replace(/\s*wt\.?$/i, '') || USUAL.weight),
    fibre: cell('fibre').toLowerCase() || USUAL.fibre,
    metresLeft: metresOf(cell('metresLeft')),
  });
  if (data) return { line, thread: data };
  const column = error.issues[0]?.path[0] as Column;
  return { line, why: WHY[column](cell(column)) };
}

/** One sign and three figures after it: a decimal to some, thousands to others. */
const TWO_WAYS = /^[1-9]\d{0,2}[.,]\d{3}$/;

/** Metres as a list writes them, null for none; not a number where they are none, or could be two. */
function metresOf(text: string): number | null {
  const plain = text.replace(/\s*m$/i, '').replace(/\s/g, '');
  if (plain === '') return null;
  if (TWO_WAYS.test(plain)) return Number.NaN;
  const last = Math.max(plain.lastIndexOf(','), plain.lastIndexOf('.'));
  const whole = last < 0 ? plain : plain.slice(0, last).replace(/[.,]/g, '');
  return Number(last < 0 ? whole : `${whole}.${plain.slice(last + 1)}`);
}

/** The place of each column in a heading; null when it names no colour. */
function columnsOf(heading: readonly string[]): Partial<Record<Column, number>> | null {
  const plain = heading.map((cell) => cell.toLowerCase().replace(/[^a-z0-9]/g, ''));
  const places = COLUMNS.flatMap((column) => {
    const at = plain.findIndex((cell) => CALLED[column].includes(cell));
    return at < 0 ? [] : [[column, at] as const];
  });
  const found: Partial<Record<Column, number>> = Object.fromEntries(places);
  return found.hex === undefined ? null : found;
}

/** Rows of a spreadsheet's file, with the line each begins on; null when no heading names a colour. */
function fromCsv(text: string): Line[] | null {
  const [, named] = /^sep=(.)\r?\n/.exec(text) ?? [];
  const body = named ? text.slice(text.indexOf('\n') + 1) : text;
  const { data } = Papa.parse<string[]>(body, named ? { delimiter: named } : {});
  const at = data.slice(0, HEADING_WITHIN).findIndex((row) => columnsOf(row) !== null);
  const columns = columnsOf(data[at] ?? []);
  if (!columns) return null;
  let line = named ? 1 : 0;
  return data.flatMap((row, i): Line[] => {
    line += 1;
    const here = line;
    line += row.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);
    if (i <= at || row.every((cell) => cell.trim() === '')) return [];
    return [listed((column) => (row[columns[column] ?? -1] ?? '').trim(), here)];
  });
}

const COLOUR_LINE = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/;
const STARTS_WITH_FIGURE = /^\s*\d/;

/** Lines that begin with three figures are colours; a heading, a comment or an empty line is passed over. */
function fromPalette(text: string): Line[] {
  return text.split(/\r\n|\r|\n/).flatMap((row, i): Line[] => {
    if (!STARTS_WITH_FIGURE.test(row)) return [];
    const [, r, g, b, name] = COLOUR_LINE.exec(row) ?? [];
    const values = [r, g, b].map(Number);
    if (r === undefined || values.some((v) => v > 255))
      return [{ line: i + 1, why: 'three figures from 0 to 255 and a name are wanted' }];
    const hex = `#${values.map((v) => v.toString(16).padStart(2, '0')).join('')}`.toUpperCase();
    const cells: Partial<Record<Column, string>> = { hex, name: name?.trim() || hex };
    return [listed((column) => cells[column] ?? '', i + 1)];
  });
}

const isDouble = (a: ListedThread, b: ListedThread): boolean =>
  isSameThread(a, b) && a.name.toLowerCase() === b.name.toLowerCase();

/**
 * Reads threads from CSV as spreadsheets write it (any delimiter, a byte order mark, a heading in any case that names
 * a colour column), or from open palette text. A line that cannot be read is refused with its number and why, and the
 * others are taken. Nothing is guessed; metres that are not given are not counted. Never throws on any text.
 */
export function readThreads(text: string): ReadPalette {
  const plain = text.replace(/^\uFEFF/, '');
  if (plain.trim() === '') return refuse('empty', 'This file is empty.');
  if (plain.split(/\r\n|\r|\n/).length > MOST_LINES + 1)
    return refuse('too-long', `This file has more than ${MOST_LINES} lines.`);
  const lines = fromCsv(plain) ?? fromPalette(plain);
  if (lines.length === 0)
    return refuse(
      'no-colours',
      'No colours were found: CSV with a column “hex”, or lines of red, green, blue and a name.',
    );
  const threads: ListedThread[] = [];
  let doubles = 0;
  for (const entry of lines) {
    if (!('thread' in entry)) continue;
    if (threads.some((thread) => isDouble(thread, entry.thread))) doubles += 1;
    else threads.push(entry.thread);
  }
  return {
    ok: true,
    threads,
    refused: lines.filter((entry): entry is RefusedLine => 'why' in entry),
    doubles,
  };
}
