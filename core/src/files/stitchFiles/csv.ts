import Papa from 'papaparse';
import { count, phrase } from '../../base/units/phrase';
import { kindOf } from '../../stages/design/stitches/stitches';
import {
  type FileRead,
  type FileStop,
  refuseLine,
  type StitchFile,
  type StitchRow,
  shortest,
  stitchesOf,
  whyRowIsRefused,
  whyTooMany,
} from './stitchFile';

/** The first words of every row of a stop, and the heading of the penetrations. */
const STOP = 'stop';
const HEADING = ['stitch', 'stop', 'element', 'kind', 'x_mm', 'y_mm'] as const;

/**
 * Stitches as CSV: `design,<name>`, a row `stop,<number>,<hex>,<name>` for each colour stop, a heading, and a row for each
 * penetration, mm about the visible centre, y down. Stops and stitches are counted from 1.
 */
export function writeCsv({ name, stops, stitches }: StitchFile): string {
  const { x, y, kind, stop, element } = stitches;
  const rows: (string | number)[][] = [
    ['design', name],
    ...stops.map(({ hex, name: called }, i) => [STOP, i + 1, hex, called]),
    [...HEADING],
  ];
  for (let i = 0; i < x.length; i++)
    rows.push([
      i + 1,
      (stop[i] ?? 0) + 1,
      element[i] ?? 0,
      kindOf(kind[i] ?? 0),
      shortest(x[i] ?? 0),
      shortest(y[i] ?? 0),
    ]);
  return `${Papa.unparse(rows, { newline: '\n' })}\n`;
}

interface Head {
  name: string;
  stops: FileStop[];
  /** How many lines come before the first penetration. */
  lines: number;
}

/** What stands before the penetrations; null where there is no heading. */
function headOf(rows: readonly string[][]): Head | null {
  const at = rows.findIndex((row) => HEADING.every((word, i) => row[i]?.trim() === word));
  if (at < 0) return null;
  const head = rows.slice(0, at);
  const stops = head
    .filter(([first]) => first === STOP)
    .map(([, , hex = '', name = '']): FileStop => ({ hex, name }));
  return { name: head.find(([first]) => first === 'design')?.[1] ?? '', stops, lines: at + 1 };
}

const rowOf = ([, stop = '', element = '', kind = '', x = '', y = '']: readonly string[]): StitchRow => ({
  stop: Number(stop || Number.NaN) - 1,
  element: Number(element || Number.NaN),
  kind: kind.trim(),
  x: Number(x || Number.NaN),
  y: Number(y || Number.NaN),
});

const HEX = /^#[0-9a-f]{6}$/i;

/** Reads what `writeCsv` writes. What cannot be taken is refused with its line. */
export function readCsv(text: string): FileRead {
  const rows = Papa.parse<string[]>(text, { skipEmptyLines: true }).data;
  const head = headOf(rows);
  if (!head)
    return refuseLine(
      'not-a-stitch-file',
      phrase`This is no list of stitches: the heading “${HEADING.join(',')}” is missing.`,
    );
  const wrong = head.stops.findIndex(({ hex }) => !HEX.test(hex));
  if (wrong >= 0)
    return refuseLine(
      'broken',
      phrase`Colour stop ${count(wrong + 1)}: “${head.stops[wrong]?.hex ?? ''}” is no colour.`,
    );
  const found = rows.slice(head.lines).map(rowOf);
  const many = whyTooMany(found.length, head.stops.length);
  if (many) return many;
  for (const [i, row] of found.entries()) {
    const refused = whyRowIsRefused(row, head.stops.length, phrase`Line ${count(head.lines + i + 1)}`);
    if (refused) return refused;
  }
  return { ok: true, name: head.name, stops: head.stops, stitches: stitchesOf(found) };
}
