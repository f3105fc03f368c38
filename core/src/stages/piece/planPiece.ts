import { leanDegOf } from '../../base/geometry/fitLine';
import { distance } from '../../base/geometry/point';
import { deg, mm, type Phrase, phrase } from '../../base/units/phrase';
import { FABRICS } from '../../catalogue/fabrics';
import { schoolReason } from '../../catalogue/schools';
import type { Unread } from '../../model/fields/unread';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { PieceKindId } from '../../model/pieceKindIds';
import { because, type Reason } from '../../model/reason';
import { type Evenness, type Fabric, type PieceInput, pieceCount } from '../../model/ticket/piece';
import { type CentreLine, fitCentreLine } from './centreLine';
import type { PieceKind, PieceOutline, PieceView } from './geometry';
import { isA } from './geometry';
import { PIECE_KINDS } from './kinds';
import type { Reading, Readings } from './readings';
import { sewingLength } from './sewing';
import { type Strip, withStrip } from './strip';
import { canWait, type MarkedBy, standIns } from './usual';

export interface PiecePlan {
  kindId: PieceKindId;
  kind: PieceKind;
  /** The face the design goes on. */
  view: PieceView;
  /** What every face is drawn from: usual lengths stand in where a reading is missing or cannot be right. */
  drawnFrom: Readings;
  /** The readings asked for with this face: what the marks ask for first, in the order the tape is used. */
  asked: Reading[];
  /** Of these, what can wait until the ring closes. */
  later: readonly Reading[];
  /** Readings that were not taken on this piece, by id: usual lengths stand in for them. */
  assumed: readonly string[];
  fabric: Fabric;
  colour: string;
  /** Half widths read at up to three heights. */
  evenness: readonly Evenness[];
  /** How many pieces the order makes, all sizes together. */
  pieces: number;
  /** Seams opened to let a hoop in, by name. */
  opened: readonly string[];
  readings: Readonly<Record<string, number>>;
  /** The face the design goes on. Null while a reading is missing or cannot be right. */
  geometry: PieceOutline | null;
  /** For the eye only: usual lengths stand in where a reading is missing or cannot be right. */
  sketch: PieceOutline;
  centreLine: CentreLine;
  findings: Finding[];
  reasons: Reason[];
}

/**
 * The cloth with the maker's changes: one of the shop's own, or of the library; the library's first when
 * the id is unknown.
 */
export function fabricOf(
  input: Pick<PieceInput, 'fabricId' | 'fabricChanges'>,
  own: readonly Fabric[] = [],
): Fabric {
  const found = [...own, ...FABRICS].find((f) => f.id === input.fabricId) ?? FABRICS[0];
  if (!found) throw new Error('assertion failed: the fabric library is empty');
  return { ...found, ...input.fabricChanges };
}

/** Whether a reading is taken when the design goes on this face, placed by this rule. */
const isAsked = ({ needed, only }: Reading, view: PieceView, markedBy: MarkedBy | null): boolean =>
  (needed?.includes(view.id) ?? true) &&
  (only === undefined || (markedBy !== null && only.includes(markedBy.by)));

const stopAt = (field: string, code: string, text: Finding['text']): Finding =>
  finding('piece', code, 'stop', text, { field });

function checkReading(reading: Reading, input: PieceInput, asked = true): Finding | null {
  const value = input.readings[reading.id];
  if (value === undefined || !Number.isFinite(value)) {
    if (value === undefined && (reading.optional || !asked)) return null;
    return finding('piece', 'reading-missing', 'next', phrase`Still to measure: ${reading.name}.`, {
      field: reading.id,
    });
  }
  if (value >= reading.leastMm && value <= reading.mostMm) return null;
  return stopAt(
    reading.id,
    'reading-absurd',
    phrase`${mm(value)} for ${reading.name} cannot be right: it lies between ${mm(reading.leastMm)} and ${mm(reading.mostMm)}.`,
  );
}

function sketchReadings(kind: PieceKind, input: PieceInput): Readings {
  const typical = Object.fromEntries(
    kind.readings.flatMap((r) => (r.optional ? [] : [[r.id, r.typicalMm] as const])),
  );
  const usable = kind.readings.flatMap((r) => {
    const value = input.readings[r.id];
    return value !== undefined && checkReading(r, input) === null ? [[r.id, value] as const] : [];
  });
  const readings = { ...typical, ...Object.fromEntries(usable) };
  return kind.contradictions(readings).length === 0 ? readings : typical;
}

const LINE_NAMES = {
  wearers: "the wearer's line",
  seams: "the seams' line",
  grain: "the grain's line",
} as const;

/** What a line is called on this kind: nobody wears a cloth, so its hem stands for the wearer. */
const lineName = (kind: PieceKind, school: CentreLine['usedSchool']): string =>
  school === 'wearers' && !isA(kind, 'worn') ? 'the hem and grain' : LINE_NAMES[school];

function unevenFinding(kind: PieceKind, line: CentreLine): Finding {
  const way = line.offsetMm >= 0 ? 'right' : 'left';
  const drawn = (['wearers', 'seams', 'grain'] as const).filter(
    (s) => s !== line.usedSchool && (s !== 'grain' || line.grain),
  );
  const others = drawn.map((s) => LINE_NAMES[s]).join(' and ');
  const grain = line.grain ? phrase` The grain leans ${deg(Math.abs(leanDegOf(line.grain)))}.` : phrase``;
  return {
    code: 'piece-uneven',
    stage: 'piece',
    severity: 'note',
    field: 'evenness',
    text: phrase`Unevenly cut: the edges' middle leans ${deg(Math.abs(line.leanDeg))} and lies ${mm(Math.abs(line.offsetMm))} to your ${way}.${grain} Placed by ${lineName(kind, line.usedSchool)}; ${others} ${drawn.length > 1 ? 'are' : 'is'} drawn too.`,
    at: { x: line.offsetMm, y: 0 },
    mends: [],
  };
}

function centreReason(line: CentreLine, input: PieceInput): Reason {
  return {
    about: 'centreLine',
    text: phrase`The middle of each pair of readings, and the straight line that lies nearest to them.`,
    arithmetic: [
      ...input.evenness.map(
        (e) =>
          phrase`at ${mm(e.atMm)}: (${mm(e.rightMm)} − ${mm(e.leftMm)}) ÷ 2 = ${mm((e.rightMm - e.leftMm) / 2)}`,
      ),
      phrase`lean ${deg(line.leanDeg)}, offset ${mm(line.offsetMm)}`,
      ...(input.grain
        ? [
            phrase`grain: ${mm(input.grain.driftMm)} over ${mm(input.grain.overMm)} = ${deg(line.grain ? leanDegOf(line.grain) : 0)}`,
          ]
        : []),
    ],
    school: schoolReason('centreLine', line.usedSchool),
  };
}

/** What is wrong with the readings. Two that disagree are questioned as soon as both are taken. */
function readingFindings(kind: PieceKind, asked: readonly Reading[], input: PieceInput): Finding[] {
  const findings = kind.readings.flatMap((r) => checkReading(r, input, asked.includes(r)) ?? []);
  const taken = (id: string) => input.readings[id] !== undefined && !findings.some((f) => f.field === id);
  const filled = { ...sketchReadings(kind, { ...input, readings: {} }), ...input.readings };
  for (const c of kind.contradictions(filled)) {
    if (!c.readings.every(taken)) continue;
    findings.push(
      stopAt(
        c.field,
        'readings-contradict',
        phrase`${c.a.name} ${mm(c.a.mm)} and ${c.b.name} ${mm(c.b.mm)} cannot both be right: ${c.why}.`,
      ),
    );
  }
  return findings;
}

/** The readings asked for, and what is worked with: usual lengths stand in for those that wait. */
function readingsFor(
  kind: PieceKind,
  view: PieceView,
  input: PieceInput,
  { markedBy = null, unread = {} }: { markedBy?: MarkedBy | null; unread?: Unread },
) {
  const ofFace = kind.readings.filter((r) => isAsked(r, view, markedBy));
  const waits = (r: Reading) => markedBy !== null && !r.optional && canWait(r, markedBy);
  const asked = [...ofFace.filter((r) => !waits(r)), ...ofFace.filter(waits)];
  const later = asked.filter(waits);
  // What was typed there and could not be read is no reading that waits.
  const isOpen = ({ id }: Reading) =>
    input.readings[id] === undefined && unread[`piece.readings.${id}`] === undefined;
  const open = later.filter(isOpen);
  const isBegun = asked.some((r) => !r.optional && !waits(r) && input.readings[r.id] !== undefined);
  const taken = { ...input.readings, ...(isBegun ? standIns(kind, input.readings, open) : {}) };
  // Where a usual length cannot be right beside what was read, it is asked for at once.
  const fits = isBegun && kind.contradictions({ ...sketchReadings(kind, input), ...taken }).length === 0;
  return fits
    ? { asked, later, taken, stoodIn: open.map(({ id }) => id) }
    : { asked, later, taken: input.readings, stoodIn: [] };
}

/** Lengths with their names, for a sentence. */
const listed = (kind: PieceKind, ids: readonly string[], readings: Readings): Phrase =>
  ids.flatMap((id, i) => [
    i === 0 ? '' : ', ',
    `${kind.readings.find((r) => r.id === id)?.name ?? id} `,
    mm(readings[id] ?? 0),
  ]);

/** What is worked with and was not read on this piece. */
function assumedFindings(
  kind: PieceKind,
  input: PieceInput,
  { taken, stoodIn }: { taken: Readings; stoodIn: readonly string[] },
): Finding[] {
  const usual = input.assumed.filter((id) => input.readings[id] !== undefined);
  return [
    ...(usual.length > 0
      ? [
          finding(
            'piece',
            'readings-as-usual',
            'warn',
            phrase`Taken as usual, not read on this piece: ${listed(kind, usual, taken)}. Blanks of one size differ: lay the tape on it before you mark.`,
            { field: 'assumed' },
          ),
        ]
      : []),
    ...(stoodIn.length > 0
      ? [
          finding(
            'piece',
            'readings-later',
            'note',
            phrase`Still to read before the ring closes: ${listed(kind, stoodIn, taken)} as is usual at this size. The marks do without.`,
            { field: 'later' },
          ),
        ]
      : []),
  ];
}

/** What the mark is measured from and was not read: the usual figure that stands in, and where to enter the own one. */
function unmeasuredFindings(
  asked: readonly Reading[],
  taken: Readings,
  { landmarks }: PieceOutline,
): Finding[] {
  return asked.flatMap(({ id, name, only, from, to }) => {
    const [a, b] = [landmarks[from], landmarks[to]];
    if (!only || taken[id] !== undefined || !a || !b) return [];
    const text = phrase`Still to measure: ${name}. The mark goes by a usual ${mm(distance(a, b))} until then.`;
    return [finding('piece', 'reading-taken-as-usual', 'warn', text, { field: id })];
  });
}

/** A face of the piece as it lies on the table, to scale, for the eye. */
export interface Face {
  view: PieceView;
  sketch: PieceOutline;
}

/** One face of a planned piece; null when its kind has none of that name. */
export function faceOf(piece: PiecePlan, viewId: string): Face | null {
  if (viewId === piece.view.id) return { view: piece.view, sketch: piece.sketch };
  const view = piece.kind.views.find((v) => v.id === viewId);
  return view ? { view, sketch: view.outlineOf(piece.drawnFrom) } : null;
}

/** The contrast strip on the face, where the kind has one and its edge was chosen. */
function stripOf(kind: PieceKind, { stripEdge, sewing }: PieceInput): Strip | null {
  if (!stripEdge || !kind.sews?.includes('strip')) return null;
  return { edge: stripEdge, widthMm: sewingLength('strip', 'stripWidth', sewing) };
}

/** Judges the readings, draws the face the design goes on, and finds its centre line. */
export function planPiece(
  input: PieceInput,
  rules: HouseRules,
  options: {
    viewId?: string;
    markedBy?: MarkedBy | null;
    fabrics?: readonly Fabric[];
    unread?: Unread;
  } = {},
): PiecePlan {
  const kind = PIECE_KINDS[input.kind];
  const view = kind.views.find((v) => v.id === options.viewId) ?? kind.views[0];
  const { asked, later, taken, stoodIn } = readingsFor(kind, view, input, options);
  const findings = readingFindings(
    kind,
    asked.filter(({ id }) => !stoodIn.includes(id)),
    input,
  );
  const stripped = (outline: PieceOutline) => {
    const strip = stripOf(kind, input);
    return strip ? withStrip(outline, strip) : outline;
  };
  const geometry = findings.length === 0 ? stripped(view.outlineOf(taken)) : null;
  const assumed = [...stoodIn, ...input.assumed.filter((id) => input.readings[id] !== undefined)];
  const readings = sketchReadings(kind, { ...input, readings: taken });
  const sketch = geometry ?? stripped(view.outlineOf(readings));
  const centreLine = fitCentreLine(view, input, rules);
  if (centreLine.uneven) findings.push(unevenFinding(kind, centreLine));
  if (geometry)
    findings.push(
      ...assumedFindings(kind, input, { taken, stoodIn }),
      ...unmeasuredFindings(asked, taken, geometry),
    );
  const fabric = fabricOf(input, options.fabrics);
  return {
    kindId: input.kind,
    kind,
    view,
    drawnFrom: readings,
    asked,
    later,
    assumed,
    fabric,
    colour: input.colour,
    evenness: input.evenness,
    pieces: pieceCount(input),
    opened: input.opened,
    readings: taken,
    geometry,
    sketch,
    centreLine,
    findings,
    reasons: [
      because(
        'outline',
        phrase`Drawn to scale from your readings; what was not measured follows usual proportions.`,
      ),
      ...(input.evenness.length > 0 || input.grain ? [centreReason(centreLine, input)] : []),
    ],
  };
}
