import { cornersOf } from '../base/geometry/box';
import { GRAPHITE, INK, line, type PaperMark, text } from './drawing';

/** How wide words are at a height of type, mm; by the typeface that they will be set in. */
export type MeasureWords = (words: string, sizeMm: number, bold: boolean) => number;

/** One line or paragraph of a list: words, with what stands before them. */
export interface PaperRow {
  words: string;
  bold?: boolean;
  /** A box to tick, or a patch of a thread's colour, before the words. */
  before?: 'box' | { hex: string };
  /** Set at the right end of the first line. */
  figure?: string;
}

/** Things that stand together under a heading. */
export interface PaperBlock {
  heading: string;
  rows: readonly PaperRow[];
}

/** Where a list may be set on a page: columns of one width, each from its own top down to a foot, mm. */
export interface PaperColumns {
  at: readonly { left: number; top: number }[];
  widthMm: number;
  footMm: number;
}

const LEADING = 1.3;

/** Words broken into lines no wider than so many mm; a word that is wider itself is broken within. */
export function brokenWords(
  words: string,
  widthMm: number,
  { sizeMm, bold, measure }: { sizeMm: number; bold: boolean; measure: MeasureWords },
): string[] {
  const fits = (line: string) => measure(line, sizeMm, bold) <= widthMm;
  const lines: string[] = [];
  let now = '';
  const put = (word: string) => {
    const longer = now === '' ? word : `${now} ${word}`;
    if (fits(longer)) {
      now = longer;
      return;
    }
    if (now !== '') lines.push(now);
    now = '';
    for (const letter of word) {
      if (now !== '' && !fits(now + letter)) {
        lines.push(now);
        now = '';
      }
      now += letter;
    }
  };
  for (const word of words.split(/\s+/)) if (word !== '') put(word);
  return now === '' ? lines : [...lines, now];
}

/** Sets blocks into columns, page after page: each page's marks. A heading never stands alone at a foot. */
export function setInColumns(
  blocks: readonly PaperBlock[],
  pageOf: (page: number) => PaperColumns,
  { sizeMm, measure }: { sizeMm: number; measure: MeasureWords },
): PaperMark[][] {
  const pages: PaperMark[][] = [[]];
  const high = sizeMm * LEADING;
  const indent = sizeMm * 1.7;
  let column = 0;
  let y = pageOf(0).at[0]?.top ?? 0;
  const room = () => pageOf(pages.length - 1);
  const put = (mark: PaperMark) => pages.at(-1)?.push(mark);
  const left = () => room().at[column]?.left ?? 0;
  const need = (height: number) => {
    if (y + height <= room().footMm) return;
    column++;
    if (column >= room().at.length) {
      pages.push([]);
      column = 0;
    }
    y = room().at[column]?.top ?? 0;
  };
  const linesOf = ({ words, bold = false, before, figure }: PaperRow) => {
    const taken = (before ? indent : 0) + (figure ? measure(figure, sizeMm, true) + sizeMm : 0);
    return brokenWords(words, room().widthMm - taken, { sizeMm, bold, measure });
  };
  for (const { heading, rows } of blocks) {
    const [first] = rows;
    if (!first) continue;
    need(high * 1.4 + linesOf(first).length * high);
    y += high * 0.4;
    put(text({ x: left(), y: y + sizeMm }, heading, { sizeMm: sizeMm * 0.85, bold: true, colour: GRAPHITE }));
    y += high;
    for (const row of rows) {
      const lines = linesOf(row);
      need(lines.length * high);
      const x = left();
      if (row.before) {
        const side = sizeMm * 0.95;
        const box = { left: x, right: x + side, top: y + sizeMm * 0.15, bottom: y + sizeMm * 0.15 + side };
        const fill = row.before === 'box' ? {} : { fill: row.before.hex };
        put(line(cornersOf(box), { closed: true, widthMm: 0.25, ...fill }));
      }
      lines.forEach((words, i) => {
        const at = { x: x + (row.before ? indent : 0), y: y + sizeMm + i * high };
        put(text(at, words, { sizeMm, bold: row.bold ?? false, colour: INK }));
      });
      if (row.figure)
        put(
          text({ x: x + room().widthMm, y: y + sizeMm }, row.figure, { sizeMm, bold: true, anchor: 'end' }),
        );
      y += Math.max(1, lines.length) * high;
    }
    y += high * 0.3;
  }
  return pages;
}
