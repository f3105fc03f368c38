import { type Box, boxOf, heightOf, widthOf } from '../base/geometry/box';
import type { Point } from '../base/geometry/point';
import { formatLength } from '../base/units/length';
import { type Phrase, say } from '../base/units/phrase';
import { namesOf } from '../planner/onTable';
import { titleOf } from '../planner/titleOf';
import { calledName } from '../stages/design/names/onTable';
import { calledKeys } from '../stages/mount/copyKeys';
import { keyWords } from '../stages/mount/keyWords';
import { GRAPHITE, INK, line, type PaperDrawing, type PaperMark, text } from './drawing';
import { brokenWords, type MeasureWords, type PaperBlock, type PaperRow, setInColumns } from './flow';
import type { Printed } from './papers';
import { sheetDrawing } from './sheetDrawing';
import { CARD_PAPERS, type CardPaperId } from './tiles';

/** What a card is set with besides the ticket. */
export interface CardSetting {
  paper: CardPaperId;
  measure: MeasureWords;
  /** The squares of the code that opens the ticket, row by row; null where no device could open it. */
  squares: readonly (readonly boolean[])[] | null;
}

/** Type and room by paper, mm. */
const TYPE: Record<CardPaperId, { size: number; margin: number; columns: 1 | 2; drawing: number }> = {
  a5: { size: 3.1, margin: 8, columns: 1, drawing: 58 },
  a4: { size: 3.6, margin: 12, columns: 2, drawing: 84 },
  letter: { size: 3.6, margin: 12, columns: 2, drawing: 78 },
};

/** A code as dark squares with its white edge of four squares left free. */
export function codeMarks(
  squares: readonly (readonly boolean[])[],
  { at, sizeMm }: { at: Point; sizeMm: number },
): PaperMark[] {
  const side = sizeMm / (squares.length + 8);
  return squares.flatMap((row, y) =>
    row.flatMap((dark, x) => {
      if (!dark) return [];
      const [left, top] = [at.x + (x + 4) * side, at.y + (y + 4) * side];
      const corners = [
        { x: left, y: top },
        { x: left + side, y: top },
        { x: left + side, y: top + side },
        { x: left, y: top + side },
      ];
      return [line(corners, { closed: true, widthMm: side * 0.02, colour: '#000000', fill: '#000000' })];
    }),
  );
}

/** A drawing made smaller or larger about its own corner, and moved; words with it. */
function fitted({ marks, box }: PaperDrawing, into: Box): { marks: PaperMark[]; scale: number } {
  const scale = Math.min(widthOf(into) / widthOf(box), heightOf(into) / heightOf(box));
  const move = {
    x: into.left + (widthOf(into) - widthOf(box) * scale) / 2,
    y: into.top + (heightOf(into) - heightOf(box) * scale) / 2,
  };
  const to = ({ x, y }: Point): Point => ({
    x: move.x + (x - box.left) * scale,
    y: move.y + (y - box.top) * scale,
  });
  const smaller = (mark: PaperMark): PaperMark => {
    if (mark.kind === 'text') return { ...mark, at: to(mark.at), sizeMm: mark.sizeMm * scale };
    if (mark.kind === 'art') return { ...mark, at: to(mark.at), scale: mark.scale * scale };
    return {
      ...mark,
      points: mark.points.map(to),
      widthMm: mark.widthMm * scale,
      ...(mark.dashMm ? { dashMm: mark.dashMm.map((d) => d * scale) } : {}),
    };
  };
  return { marks: marks.map(smaller), scale };
}

/** Height of the figures on the small drawing, mm of paper. */
const FIGURE_MM = 3;

/** What is on the card below its drawing: readings, marks, hoop, stack, keys, threads, the last looks. */
function blocksOf({ ticket, plan, rules }: Printed): PaperBlock[] {
  const { units } = rules;
  const { piece, place, hoop, layers, mount, stitch, finish } = plan;
  const ticked = (words: Phrase): PaperRow => ({ words: say(words, units), before: 'box' });
  const withCaution = ({ text: words, caution }: { text: Phrase; caution: Phrase | null }): PaperRow[] => [
    ticked(words),
    ...(caution ? [{ words: say(caution, units), bold: true }] : []),
  ];
  // What is wrong stands first: a card that cannot be right does not look right.
  const wrong = plan.findings.filter(({ severity }) => severity === 'stop' || severity === 'warn');
  const readings = piece.asked.flatMap((reading): PaperRow[] => {
    const value = ticket.piece.readings[reading.id];
    if (value === undefined && reading.optional) return [];
    const isUsual = ticket.piece.assumed.includes(reading.id);
    const figure = value === undefined ? '_______' : formatLength(value, units);
    return [{ words: `${reading.name}${isUsual ? ', as usual: measure it' : ''}`, figure }];
  });
  const laid = hoop?.laid;
  return [
    { heading: 'Mind', rows: wrong.map(({ text: words }) => ({ words: say(words, units), bold: true })) },
    {
      heading: 'Names',
      rows: namesOf(ticket).map((row) => ({
        words: row.size ? `${calledName(row)}, ${row.size}` : calledName(row),
        before: 'box',
      })),
    },
    { heading: `Readings: ${piece.kind.name}, ${piece.fabric.name}`, rows: readings },
    { heading: 'Marks', rows: (place?.marks ?? []).map(({ text: words }) => ticked(words)) },
    {
      heading: 'Hoop',
      rows:
        laid && hoop && mount
          ? [
              { words: `${laid.verdict.hoop.name}, ${hoop.method}`, bold: true },
              { words: `top of the piece ${mount.chosen.topPoints}` },
            ]
          : [],
    },
    {
      heading: 'Layers, from the top',
      rows: (layers?.stack ?? []).map(({ name, note }) => ({
        words: note === '' ? name : `${name}: ${note}`,
      })),
    },
    {
      heading: 'Keys, from “centred, upright”',
      rows: mount
        ? keyWords(mount.keys, mount.keyOrder, units).map(({ name, value }) => ({
            words: name,
            figure: value,
          }))
        : [],
    },
    ...(mount?.copies ?? []).map(
      ({ copy, part, hooping, hoopTurnDeg, keys, order }): PaperBlock => ({
        heading: `Keys of ${calledKeys({ copy, part })}, hooping ${hooping}${hoopTurnDeg === 0 ? '' : `, the hoop turned ${hoopTurnDeg}°`}`,
        rows: keyWords(keys, order, units).map(({ name, value }) => ({ words: name, figure: value })),
      }),
    ),
    {
      heading: 'Needle and threads',
      rows: [
        ...(layers
          ? [
              {
                words: `${layers.parts.needle.choice.name}, ${layers.parts.thread.choice.name}, ${layers.parts.bobbin.choice.name}`,
              },
            ]
          : []),
        ...(stitch?.stops ?? []).map(
          (stop, i): PaperRow => ({
            words: `${i + 1}  ${stop.called}`,
            before: { hex: stop.thread?.hex ?? stop.hex },
            figure: `${Math.max(1, Math.round(stop.minutes))} min`,
          }),
        ),
      ],
    },
    { heading: 'Before the first stitch', rows: (mount?.checklist ?? []).flatMap(withCaution) },
    { heading: 'Finish', rows: (finish?.steps ?? []).flatMap(withCaution) },
  ];
}

/** Name, for whom, how many and until when, with the code that opens the ticket at the right. */
function head(
  { ticket, plan }: Printed,
  { squares, measure }: CardSetting,
  { size, margin, width }: { size: number; margin: number; width: number },
) {
  const codeMm = squares ? Math.min(34, width * 0.2) : 0;
  const room = width - 2 * margin - codeMm - (squares ? 4 : 0);
  const titleMm = size * 1.7;
  const setting = { sizeMm: titleMm, bold: true, measure };
  const title = brokenWords(titleOf(ticket), room, setting).slice(0, 2);
  const said = [
    ticket.customer,
    plan.piece.pieces > 1 ? `${plan.piece.pieces} pieces` : '',
    ticket.due ? `due ${ticket.due}` : '',
    ticket.design.name,
  ].filter(Boolean);
  const lines = brokenWords(said.join(' · '), room, { sizeMm: size, bold: false, measure }).slice(0, 3);
  const marks = [
    ...title.map((words, i) =>
      text({ x: margin, y: margin + titleMm * (1 + i * 1.2) }, words, { sizeMm: titleMm, bold: true }),
    ),
    ...lines.map((words, i) =>
      text({ x: margin, y: margin + titleMm * (0.4 + title.length * 1.2) + size * 1.3 * (i + 1) }, words, {
        sizeMm: size,
        colour: GRAPHITE,
      }),
    ),
    ...(squares
      ? [
          ...codeMarks(squares, { at: { x: width - margin - codeMm, y: margin - 2 }, sizeMm: codeMm }),
          text({ x: width - margin - codeMm / 2, y: margin + codeMm }, 'opens the ticket', {
            sizeMm: size * 0.75,
            anchor: 'middle',
            colour: GRAPHITE,
          }),
        ]
      : []),
  ];
  const foot =
    margin + Math.max(codeMm + 2, titleMm * (0.4 + title.length * 1.2) + size * 1.3 * lines.length);
  return { marks, foot };
}

/**
 * The ticket as a card that lies beside the hoop: drawn to a scale that it states, with readings, marks, hoop, layers,
 * keys, threads and boxes to tick. One drawing for each page, mm from the page's top left.
 */
export function jobCard(printed: Printed, setting: CardSetting): PaperDrawing[] {
  const { paper, measure } = setting;
  const { widthMm: width, heightMm: height } = CARD_PAPERS[paper];
  const { size, margin, columns, drawing } = TYPE[paper];
  const top = head(printed, setting, { size, margin, width });
  const gap = 6;
  const column = (width - 2 * margin - (columns - 1) * gap) / columns;
  const into: Box = {
    left: margin,
    right: margin + column,
    top: top.foot + 3,
    bottom: top.foot + 3 + drawing,
  };
  const { outline } = printed.plan.piece.geometry ?? printed.plan.piece.sketch;
  const whole = boxOf(outline);
  const unit = FIGURE_MM * Math.max(widthOf(whole) / widthOf(into), heightOf(whole) / heightOf(into)) * 1.25;
  const small = fitted(sheetDrawing(printed.plan, printed.rules.units, unit), into);
  const left = Array.from({ length: columns }, (_, i) => margin + i * (column + gap));
  const footMm = height - margin - size * 1.5;
  const pageOf = (page: number) => ({
    // Beside the drawing a second column begins.
    at: left.map((x, i) => ({
      left: x,
      top: page > 0 ? margin : i === 0 ? into.bottom + size * 1.8 : into.top,
    })),
    widthMm: column,
    footMm,
  });
  const pages = setInColumns(blocksOf(printed), pageOf, { sizeMm: size, measure });
  const scaleWords = `drawn 1 : ${Number((1 / small.scale).toPrecision(2))}`;
  const box = { left: 0, top: 0, right: width, bottom: height };
  return pages.map((marks, i) => ({
    box,
    marks: [
      ...(i === 0
        ? [
            ...top.marks,
            ...small.marks,
            text({ x: into.right, y: into.bottom + size }, scaleWords, {
              sizeMm: size * 0.75,
              anchor: 'end',
              colour: GRAPHITE,
            }),
          ]
        : []),
      ...marks,
      text(
        { x: width - margin, y: height - margin },
        pages.length > 1 ? `${titleOf(printed.ticket)}: page ${i + 1} of ${pages.length}` : '',
        { sizeMm: size * 0.75, anchor: 'end', colour: INK },
      ),
    ],
  }));
}
