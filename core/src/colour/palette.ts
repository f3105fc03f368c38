import { csvFormat, csvParse } from 'd3-dsv';
import type { Thread } from '../shelf/schema';
import { ThreadSchema } from '../shelf/schema';

/** A thread as a file tells it: without the id that the shelf gives it. */
export type ListedThread = Omit<Thread, 'id'>;

export interface PaletteRefusal {
  ok: false;
  code: 'empty' | 'no-colours' | 'unreadable';
  /** What is wrong and where, for a person. */
  message: string;
  /** The line at fault, from 1; null for the file as a whole. */
  line: number | null;
}
export type ReadPalette = { ok: true; threads: ListedThread[] } | PaletteRefusal;

const COLUMNS = ['name', 'hex', 'weight', 'fibre', 'metresLeft'] as const;
const MOST_LINES = 5000;
const USUAL = { weight: 40, fibre: 'polyester', metresLeft: 0 } as const;

/** The threads of a shelf as CSV with a heading: name, hex, weight, fibre, metres left. */
export const threadsToCsv = (threads: readonly Thread[]): string => csvFormat([...threads], [...COLUMNS]);

const channels = (hex: string): number[] => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));

/** The threads of a shelf as open palette text: a line to a colour, red, green and blue from 0 to 255, then its name. */
export const threadsToPalette = (threads: readonly Thread[]): string =>
  [
    '# Threads of this shop: red, green, blue, name',
    ...threads.map(({ hex, name }) => `${channels(hex).join(' ')}\t${name}`),
  ].join('\n');

const refuse = (
  code: PaletteRefusal['code'],
  message: string,
  line: number | null = null,
): PaletteRefusal => ({
  ok: false,
  code,
  message: `${message} The shelf is as it was.`,
  line,
});

function listed(fields: Record<string, unknown>, line: number): ListedThread | PaletteRefusal {
  const read = ThreadSchema.omit({ id: true }).safeParse(fields);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  return refuse('unreadable', `Line ${line}: ${issue?.path.join('.') ?? 'it'} cannot be read.`, line);
}

function fromCsv(text: string): (ListedThread | PaletteRefusal)[] {
  return csvParse(text).map((row, i) =>
    listed(
      {
        name: row.name?.trim(),
        hex: row.hex?.trim(),
        weight: row.weight ? Number(row.weight) : USUAL.weight,
        fibre: row.fibre?.trim() || USUAL.fibre,
        metresLeft: row.metresLeft ? Number(row.metresLeft) : USUAL.metresLeft,
      },
      i + 2,
    ),
  );
}

const COLOUR_LINE = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/;
const STARTS_WITH_FIGURE = /^\s*\d/;

const hexOf = (values: readonly number[]): string =>
  `#${values.map((v) => v.toString(16).padStart(2, '0')).join('')}`.toUpperCase();

/** Lines that begin with three figures are colours; a heading, a comment or an empty line is passed over. */
function fromPalette(text: string): (ListedThread | PaletteRefusal)[] {
  return text.split(/\r?\n/).flatMap((line, i): (ListedThread | PaletteRefusal)[] => {
    if (!STARTS_WITH_FIGURE.test(line)) return [];
    const [, r, g, b, name] = COLOUR_LINE.exec(line) ?? [];
    const values = [r, g, b].map(Number);
    if (r === undefined || values.some((v) => v > 255))
      return [refuse('unreadable', `Line ${i + 1}: three figures from 0 to 255 were expected.`, i + 1)];
    const hex = hexOf(values);
    return [listed({ ...USUAL, hex, name: name?.trim() || hex }, i + 1)];
  });
}

/**
 * Reads threads from CSV with a heading that names `hex`, or from open palette text. A colour that cannot be read
 * refuses the file, naming its line; nothing is guessed. Never throws on any text.
 */
export function readThreads(text: string): ReadPalette {
  if (text.trim() === '') return refuse('empty', 'This file is empty.');
  if (text.split('\n').length > MOST_LINES)
    return refuse('unreadable', `This file has more than ${MOST_LINES} lines.`);
  const [heading = ''] = text.split(/\r?\n/);
  const rows = /(^|,)\s*"?hex"?\s*(,|$)/i.test(heading) ? fromCsv(text) : fromPalette(text);
  const wrong = rows.find((row): row is PaletteRefusal => 'ok' in row);
  if (wrong) return wrong;
  const threads = rows as ListedThread[];
  return threads.length === 0
    ? refuse(
        'no-colours',
        'No colours were found: CSV with a column “hex”, or lines of red, green, blue and a name.',
      )
    : { ok: true, threads };
}
