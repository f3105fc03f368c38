import Papa from 'papaparse';
import { readField } from '../fields/readField';
import { isSameThread, MOST_COUNTED, type Thread, ThreadSchema } from '../shelf/schema';
import { say } from '../units/phrase';

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
const MOST_LINES = 5000;
const USUAL = { weight: 40, fibre: 'polyester', metresLeft: null } as const;
/** A heading stands in one of the first lines of a list. */
const HEADING_WITHIN = 6;

/** The threads of a shelf as CSV with a heading: name, hex, weight, fibre, metres left (empty: not counted). */
export const threadsToCsv = (threads: readonly Thread[]): string =>
  Papa.unparse(
    { fields: [...COLUMNS], data: threads.map((thread) => COLUMNS.map((column) => thread[column])) },
    { newline: '\n' },
  );

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
const MM = { system: 'mm' } as const;

/** `1f3a5f`, `#1F3A5F`, `#abc`: as a colour is kept; a text that is none comes back as it is. */
function hexOf(text: string): string {
  const bare = text.trim().replace(/^#/, '');
  if (/^[0-9a-f]{3}$/i.test(bare)) return `#${bare.replace(/./g, '$&$&')}`.toUpperCase();
  return /^[0-9a-f]{6}$/i.test(bare) ? `#${bare}`.toUpperCase() : text;
}

const FIBRES: readonly string[] = ThreadSchema.shape.fibre.options;
const WEIGHTS = ['40', '60'];

/** What of a row's cells cannot be read, in words; null when all can. */
function whyRefused(cell: (column: Column) => string): string | null {
  const [hex, weight, fibre] = [cell('hex'), cell('weight'), cell('fibre').toLowerCase()];
  if (hex === '') return 'it has no colour';
  if (!/^#[0-9A-F]{6}$/.test(hexOf(hex))) return `“${hex}” is no colour: six figures are wanted, #1F3A5F`;
  if (cell('name').length > 120) return 'its name has over 120 letters';
  if (weight !== '' && !WEIGHTS.includes(weight.replace(/\s*wt\.?$/i, '')))
    return `“${weight}” is no weight: 40 or 60`;
  if (fibre !== '' && !FIBRES.includes(fibre)) return `“${fibre}” is no fibre: ${FIBRES.join(', ')}`;
  const metres = readMetres(cell('metresLeft'));
  return typeof metres === 'string' ? metres : null;
}

/** Metres as a list writes them, null for none; words when they are none. */
function readMetres(text: string): number | null | string {
  const plain = text.replace(/\s*m$/i, '');
  // both signs: the last one parts the decimals
  const both = /[.,].*[.,]/.test(plain);
  const last = Math.max(plain.lastIndexOf(','), plain.lastIndexOf('.'));
  const figure = both ? `${plain.slice(0, last).replace(/[.,]/g, '')}.${plain.slice(last + 1)}` : plain;
  const bounds = { kind: 'number', least: 0, most: MOST_COUNTED, whole: false, isLength: false } as const;
  const read = readField(figure, bounds, MM);
  if (read.state === 'empty') return null;
  return read.state === 'read' ? Number(read.value) : `metres: ${say(read.why, MM)}`;
}

function threadOf(cell: (column: Column) => string): ListedThread {
  const hex = hexOf(cell('hex'));
  return {
    name: cell('name') || hex,
    hex,
    weight: cell('weight').startsWith('60') ? 60 : USUAL.weight,
    fibre: (cell('fibre').toLowerCase() || USUAL.fibre) as Thread['fibre'],
    metresLeft: readMetres(cell('metresLeft')) as number | null,
  };
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
    const cell = (column: Column) => (row[columns[column] ?? -1] ?? '').trim();
    const why = whyRefused(cell);
    return [why ? { line: here, why } : { line: here, thread: threadOf(cell) }];
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
    const named = name?.trim() || hex;
    return named.length > 120
      ? [{ line: i + 1, why: 'its name has over 120 letters' }]
      : [{ line: i + 1, thread: { ...USUAL, hex, name: named } }];
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
