import Papa from 'papaparse';
import type { RefusedLine } from '../../files/threadLists/palette';
import { MOST_LETTERS, MOST_NAMES } from '../../model/ticket/designBounds';
import type { ListedName } from '../../stages/design/names/listed';

/** The names of a list, and the lines that were not taken, as they stand there and why. */
export interface ReadNames {
  names: ListedName[];
  refused: (RefusedLine & { text: string })[];
}

/** What the columns are called in lists, in letters only. */
const CALLED = {
  text: ['name', 'names', 'text', 'letters'],
  size: ['size', 'sizes'],
} as const;
type Columns = { text: number; size: number };

/** Cells of one line as spreadsheets write them; null where a quotation mark is opened and not closed. */
function cellsOf(line: string): string[] | null {
  const delimiter = ['\t', ';', ','].find((sign) => line.includes(sign)) ?? ',';
  const { data, errors } = Papa.parse<string[]>(line, { delimiter });
  return errors.length > 0 ? null : (data[0] ?? []).map((cell) => cell.trim());
}

/** Where a heading has its columns; null where a line is none: one that calls a column a name beside others, or alone. */
function columnsOf(line: string): Columns | null {
  const plain = (cellsOf(line) ?? []).map((cell) => cell.toLowerCase().replace(/[^a-z]/g, ''));
  const at = (called: readonly string[]) => plain.findIndex((cell) => called.includes(cell));
  const [text, size] = [at(CALLED.text), at(CALLED.size)];
  return text < 0 ? null : { text, size };
}

/** What is written on one line: the whole of it, or two cells of which the second is a size of the order. */
function plainName(line: string, sizes: readonly string[]): ListedName | string {
  const cells = cellsOf(line);
  if (cells === null) return UNCLOSED;
  const [text = '', size = ''] = cells;
  if (cells.length === 2 && text !== '' && sizes.includes(size)) return { text, size };
  return { text: cells.length === 1 ? text : line.trim(), size: '' };
}

const UNCLOSED = 'a quotation mark is opened and not closed';

function listedName(line: string, { text, size }: Columns, sizes: readonly string[]): ListedName | string {
  const cells = cellsOf(line);
  if (cells === null) return UNCLOSED;
  const found = { text: cells[text] ?? '', size: cells[size] ?? '' };
  if (found.text === '') return 'there is no name on it';
  if (found.size === '' || sizes.includes(found.size)) return found;
  return sizes.length === 0
    ? `the order has no sizes, and this is for “${found.size}”`
    : `the order has no size “${found.size}”; it has ${sizes.join(', ')}`;
}

/** Why a name cannot be taken, or null. */
function whyNot({ text }: ListedName, taken: number): string | null {
  const letters = [...text].length;
  if (letters > MOST_LETTERS) return `it has ${letters} letters; at most ${MOST_LETTERS} are set`;
  return taken >= MOST_NAMES ? `a ticket has at most ${MOST_NAMES} names` : null;
}

/**
 * Reads the names of an order from a list: a name on each line, typed or pasted, or CSV as spreadsheets write it with a
 * heading that has `name` and maybe `size`. Empty lines are passed over; a line that cannot be taken is told with its
 * number, its text and why, and the others are. `sizes` are those of the order, `there` how many names it has already.
 * Never throws on any text.
 */
export function readNames(
  text: string,
  { sizes, there }: { sizes: readonly string[]; there: number },
): ReadNames {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  const first = lines.findIndex((line) => line.trim() !== '');
  const columns = columnsOf(lines[first] ?? '');
  const names: ListedName[] = [];
  const refused: ReadNames['refused'] = [];
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '' || (columns && i === first)) continue;
    const found = columns ? listedName(line, columns, sizes) : plainName(line, sizes);
    const why = typeof found === 'string' ? found : whyNot(found, there + names.length);
    if (why === null && typeof found !== 'string')
      names.push({ ...found, text: found.text.replace(/\s+/g, ' ') });
    else refused.push({ line: i + 1, text: line.trim(), why: why ?? '' });
  }
  return { names, refused };
}
