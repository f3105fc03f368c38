import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { findNodeAtLocation, type ParseError, parseTree, printParseErrorCode } from 'jsonc-parser';
import { type Exported, ExportedSchema } from '../../model/exported';

/** By what a line is known again: the first letters of its SHA-256. */
const MARK_LETTERS = 16;
const markOf = (line: string): string => bytesToHex(sha256(utf8ToBytes(line))).slice(0, MARK_LETTERS);

const isListed = (value: unknown): value is readonly unknown[] => Array.isArray(value);
const isOfLists = (value: unknown): value is Record<string, readonly unknown[]> =>
  typeof value === 'object' && value !== null && !isListed(value) && Object.values(value).every(isListed);

/** A field of the document: a list has a record a line, what holds lists each of them, all else is one line. */
function fieldText(name: string, value: unknown): string[] {
  if (isListed(value) && value.length > 0)
    return [
      `"${name}":[`,
      ...value.map((item, i) => `${JSON.stringify(item)}${i < value.length - 1 ? ',' : ''}`),
      ']',
    ];
  if (isOfLists(value)) return [`"${name}":{`, ...withCommas(Object.entries(value)), '}'];
  return [`"${name}":${JSON.stringify(value)}`];
}

const withCommas = (fields: readonly (readonly [string, unknown])[]): string[] =>
  fields.flatMap(([name, value], i) => {
    const lines = fieldText(name, value);
    return i < fields.length - 1 ? [...lines.slice(0, -1), `${lines.at(-1)},`] : lines;
  });

/**
 * A document as text: one record a line, in the order of its schema, so that the same data is the same text; at its end
 * the mark of every line, by which one that was changed or lost is known.
 */
export function exportedText(all: Exported): string {
  const names = Object.keys(ExportedSchema.shape) as (keyof Exported)[];
  const [first = '', ...others] = withCommas(names.map((name) => [name, all[name]]));
  const lines = [`{${first}`, ...others.slice(0, -1), `${others.at(-1)},`];
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
