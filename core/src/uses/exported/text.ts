import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { findNodeAtLocation, type ParseError, parseTree, printParseErrorCode } from 'jsonc-parser';
import { type Exported, ExportedSchema } from '../../model/exported';
import { SHELF_NOUNS } from '../../model/shelf';

/** By what a line is known again: the first letters of its SHA-256. */
const MARK_LETTERS = 16;
const markOf = (line: string): string => bytesToHex(sha256(utf8ToBytes(line))).slice(0, MARK_LETTERS);

const listText = (name: string, items: readonly unknown[]): string[] =>
  items.length === 0
    ? [`"${name}":[],`]
    : [
        `"${name}":[`,
        ...items.map((item, i) => `${JSON.stringify(item)}${i < items.length - 1 ? ',' : ''}`),
        '],',
      ];

/**
 * A document as text: one record a line, in one order, so that the same data is the same text; at its end the mark of
 * every line, by which one that was changed or lost is known.
 */
export function exportedText(all: Exported): string {
  const lines = [
    `{"format":${all.format},"exportedAt":${JSON.stringify(all.exportedAt)},`,
    `"rules":${JSON.stringify(all.rules)},`,
    `"day":${JSON.stringify(all.day)},`,
    ...listText('tickets', all.tickets),
    '"shelf":{',
    ...SHELF_NOUNS.flatMap((noun, i) => {
      const list = listText(noun, all.shelf[noun]);
      const last = list.at(-1) ?? '';
      return i < SHELF_NOUNS.length - 1 ? list : [...list.slice(0, -1), last.slice(0, -1)];
    }),
    '},',
    ...listText('logbook', all.logbook),
    ...listText('movements', all.movements),
    ...listText('drawings', all.drawings),
    ...listText('customers', all.customers),
    ...listText('orders', all.orders),
    ...listText('searches', all.searches),
  ];
  return `${lines.join('\n')}\n"lines":${JSON.stringify(lines.map(markOf))}}\n`;
}

/** Why a document is refused, and at which line; counted from 1. */
export interface ExportRefusal {
  line: number;
  why: string;
}
export type ReadExport = { ok: true; all: Exported } | { ok: false; refusals: ExportRefusal[] };

const refused = (...refusals: ExportRefusal[]): ReadExport => ({ ok: false, refusals });
const lineAt = (text: string, offset: number): number => text.slice(0, offset).split('\n').length;
/** So many lines are named of a document that cannot be read. */
const MOST_NAMED = 10;

/** The first line that is not as it was written; null where all are, 'no marks' where there are none to tell by. */
function changedLine(text: string): ExportRefusal | 'no marks' | null {
  const lines = text.replace(/\r\n/g, '\n').replace(/\n$/, '').split('\n');
  const last = lines.at(-1) ?? '';
  const found = /^"lines":(\[.*\])\}$/.exec(last);
  if (!found) return 'no marks';
  let marks: unknown;
  try {
    marks = JSON.parse(found[1] ?? '');
  } catch {
    return { line: lines.length, why: 'the marks of its lines cannot be read' };
  }
  if (!Array.isArray(marks)) return { line: lines.length, why: 'the marks of its lines cannot be read' };
  const written = lines.slice(0, -1);
  for (const [i, mark] of marks.entries()) {
    const line = written[i];
    if (line === undefined) return { line: i + 1, why: 'from here on lines are missing' };
    if (markOf(line) !== mark) return { line: i + 1, why: 'this line is not as it was written' };
  }
  return written.length > marks.length
    ? { line: marks.length + 1, why: 'this line was put in afterwards' }
    : null;
}

/**
 * Reads a document, all or nothing. One that breaks off, that was changed, or that is something else is refused with its
 * lines. Documents of the first format bear no marks: what of them can be read is taken.
 */
export function readExported(text: string): ReadExport {
  const changed = changedLine(text);
  if (changed && changed !== 'no marks') return refused(changed);
  const errors: ParseError[] = [];
  const tree = parseTree(text, errors, { disallowComments: true });
  const [error] = errors;
  if (!tree || error) {
    const at = error ? Math.min(error.offset, text.trimEnd().length) : 0;
    const code = printParseErrorCode(error?.error ?? 1);
    const isEnd = at >= text.trimEnd().length || code.startsWith('UnexpectedEnd');
    const why = isEnd ? 'the document ends here, and is not whole' : `this is no JSON (${code})`;
    return refused({ line: lineAt(text, at), why });
  }
  const document: unknown = JSON.parse(text);
  if (
    typeof document !== 'object' ||
    document === null ||
    !('format' in document) ||
    !('tickets' in document)
  )
    return refused({ line: 1, why: 'this is no document of a shop' });
  const { format } = document as { format: unknown };
  if (format !== 1 && format !== 2)
    return refused({ line: 1, why: `its format is ${JSON.stringify(format)}; this program reads 1 and 2` });
  if (format === 2 && changed === 'no marks')
    return refused({ line: lineAt(text, text.trimEnd().length), why: 'the marks of its lines are missing' });
  const read = ExportedSchema.safeParse({ ...document, format: 2 });
  if (read.success) return { ok: true, all: read.data };
  return refused(
    ...read.error.issues.slice(0, MOST_NAMED).map(({ path, message }) => {
      // The place itself may be missing: then what it is missing in.
      const known = [...path.keys(), path.length]
        .reverse()
        .map((n) => findNodeAtLocation(tree, path.slice(0, n) as (string | number)[]))
        .find((node) => node !== undefined);
      return { line: lineAt(text, known?.offset ?? 0), why: `${path.join('.')}: ${message}` };
    }),
  );
}
