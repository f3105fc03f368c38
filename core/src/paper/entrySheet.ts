import type { Box } from '../base/geometry/box';
import type { DisplayUnits } from '../base/units/length';
import { type Phrase, say } from '../base/units/phrase';
import type { LogEntry } from '../model/logEntry';
import { summaryOf } from '../model/logEntry';
import type { Photo } from '../model/photo';
import { piecesOf } from '../model/pieces';
import { entryTitleOf } from '../planner/titleOf';
import { figuresOf, resultFigures } from '../records/again/figures';
import { trialAnswer, trialInWords } from '../stages/log/trial';
import { GRAPHITE, type PaperDrawing, type PaperMark, text } from './drawing';
import { type MeasureWords, type PaperBlock, type PaperRow, setInColumns } from './flow';
import { CARD_PAPERS, type CardPaperId } from './tiles';

/** A photo that is printed, and how large it is, px. */
export interface PrintedPhoto extends Photo {
  widthPx: number;
  heightPx: number;
}

/** What an entry is printed with. */
export interface EntrySetting {
  paper: CardPaperId;
  measure: MeasureWords;
  units: DisplayUnits;
  photos: readonly PrintedPhoto[];
  /** The day it was logged, as it is written. */
  day: string;
}

/** An entry on paper: its pages, and where each photo stands on the first, mm. */
export interface EntrySheet {
  pages: PaperDrawing[];
  photos: { id: string; box: Box }[];
}

const MARGIN = 12;
const TYPE_MM = 3.4;
/** So high photos are in their row, and so many stand in it. */
const PHOTO_MM = 58;
const MOST_IN_ROW = 4;
const GAP_MM = 4;

/** Photos beside one another in one row of this width, as high as one another; smaller where they would not fit. */
function photoRow(
  photos: readonly PrintedPhoto[],
  { left, top, widthMm }: { left: number; top: number; widthMm: number },
): { places: EntrySheet['photos']; marks: PaperMark[]; heightMm: number } {
  const shown = photos.slice(0, MOST_IN_ROW);
  if (shown.length === 0) return { places: [], marks: [], heightMm: 0 };
  const shares = shown.map(({ widthPx, heightPx }) => widthPx / heightPx);
  const room = widthMm - GAP_MM * (shown.length - 1);
  const high = Math.min(PHOTO_MM, room / shares.reduce((sum, share) => sum + share, 0));
  let x = left;
  const places = shown.map(({ id }, i) => {
    const wide = high * (shares[i] ?? 1);
    const box = { left: x, top, right: x + wide, bottom: top + high };
    x += wide + GAP_MM;
    return { id, box };
  });
  const marks = places.map(({ box }, i) =>
    text({ x: box.left, y: box.bottom + 4 }, shown[i]?.moment ?? '', { sizeMm: 3, colour: GRAPHITE }),
  );
  return { places, marks, heightMm: high + 8 };
}

/** A logged piece on paper: how it came out, how it was made and marked, with its first photos. */
export function entrySheet(
  entry: LogEntry,
  { paper, measure, units, photos, day }: EntrySetting,
): EntrySheet {
  const { widthMm, heightMm } = CARD_PAPERS[paper];
  const { ticket, plan, log } = entry;
  const rowOf = ({ name, said }: { name: string; said: Phrase }): PaperRow => ({
    words: `${name}: ${say(said, units)}`,
  });
  const pieces = piecesOf(ticket);
  const title = entryTitleOf(summaryOf(entry));
  const head = [
    text({ x: MARGIN, y: MARGIN + 6 }, title, { sizeMm: 6.4, bold: true }),
    text({ x: MARGIN, y: MARGIN + 12 }, [ticket.customer, day].filter(Boolean).join(' · '), {
      sizeMm: 3.6,
      colour: GRAPHITE,
    }),
  ];
  const inner = widthMm - 2 * MARGIN;
  const row = photoRow(photos, { left: MARGIN, top: MARGIN + 17, widthMm: inner });
  const trial: PaperRow[] = log.trial
    ? [trialInWords(log.trial), trialAnswer(log.trial, log, pieces)].map((words) => ({
        words: say(words, units),
      }))
    : [];
  const blocks: PaperBlock[] = [
    {
      heading: 'How it came out',
      rows: [...resultFigures(entry).map(rowOf), ...trial],
    },
    { heading: 'As it was made', rows: figuresOf(entry).map(rowOf) },
    {
      heading: 'How it was marked',
      rows: (plan.place?.marks ?? []).map(({ text: words }) => ({ words: say(words, units) })),
    },
  ];
  const columns = paper === 'a5' ? 1 : 2;
  const columnMm = (inner - (columns - 1) * 8) / columns;
  const top = (page: number) => (page === 0 ? MARGIN + 17 + row.heightMm : MARGIN);
  const set = setInColumns(
    blocks,
    (page) => ({
      at: Array.from({ length: columns }, (_, i) => ({ left: MARGIN + i * (columnMm + 8), top: top(page) })),
      widthMm: columnMm,
      footMm: heightMm - MARGIN,
    }),
    { sizeMm: TYPE_MM, measure },
  );
  const box = { left: 0, top: 0, right: widthMm, bottom: heightMm };
  return {
    pages: set.map((marks, page) => ({ box, marks: page === 0 ? [...head, ...row.marks, ...marks] : marks })),
    photos: row.places,
  };
}
