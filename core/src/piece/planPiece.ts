import { type Finding, finding } from '../findings/finding';
import { because, type Reason, schoolReason } from '../findings/reason';
import type { HouseRules } from '../rules/schema';
import { deg, mm, phrase } from '../units/phrase';
import { type CentreLine, fitCentreLine } from './centreLine';
import { FABRICS } from './fabrics';
import type { PieceKind, PieceOutline, Reading } from './geometry';
import { PIECE_KINDS } from './kinds';
import type { Fabric, PieceInput } from './schema';

export interface PiecePlan {
  kind: PieceKind;
  fabric: Fabric;
  colour: string;
  readings: Readonly<Record<string, number>>;
  /** Null while a reading is missing or cannot be right. */
  geometry: PieceOutline | null;
  /** For the eye only: usual lengths stand in where a reading is missing or cannot be right. */
  sketch: PieceOutline;
  centreLine: CentreLine;
  findings: Finding[];
  reasons: Reason[];
}

/** The library's cloth with the maker's changes; the first of the library when the id is unknown. */
export function fabricOf(input: PieceInput): Fabric {
  const found = FABRICS.find((f) => f.id === input.fabricId) ?? FABRICS[0];
  if (!found) throw new Error('assertion failed: the fabric library is empty');
  return { ...found, ...input.fabricChanges };
}

const stopAt = (field: string, code: string, text: Finding['text']): Finding =>
  finding('piece', code, 'stop', text, { field });

function checkReading(reading: Reading, input: PieceInput): Finding | null {
  const typed = input.unread[reading.id];
  if (typed !== undefined) {
    return stopAt(
      reading.id,
      'reading-unread',
      phrase`“${typed}” for ${reading.name} does not read as a length.`,
    );
  }
  const value = input.readings[reading.id];
  if (value === undefined || !Number.isFinite(value)) {
    return stopAt(reading.id, 'reading-missing', phrase`Still to measure: ${reading.name}.`);
  }
  if (value >= reading.leastMm && value <= reading.mostMm) return null;
  return stopAt(
    reading.id,
    'reading-absurd',
    phrase`${mm(value)} for ${reading.name} cannot be right: it lies between ${mm(reading.leastMm)} and ${mm(reading.mostMm)}.`,
  );
}

function sketchReadings(kind: PieceKind, input: PieceInput): Record<string, number> {
  const usable = (reading: Reading) => checkReading(reading, input) === null;
  const pairs = kind.readings.map(
    (r) => [r.id, usable(r) ? (input.readings[r.id] ?? r.typicalMm) : r.typicalMm] as const,
  );
  const readings = Object.fromEntries(pairs);
  return kind.contradictions(readings).length === 0
    ? readings
    : Object.fromEntries(kind.readings.map((r) => [r.id, r.typicalMm]));
}

function unevenFinding(kind: PieceKind, line: CentreLine): Finding {
  const way = line.offsetMm >= 0 ? 'right' : 'left';
  const other = line.usedSchool === 'wearers' ? "the seams'" : "the wearer's";
  const used =
    line.usedSchool === 'wearers'
      ? kind.worn
        ? "the wearer's line"
        : 'the hem and grain'
      : "the seams' line";
  return {
    code: 'piece-uneven',
    stage: 'piece',
    severity: 'note',
    field: 'evenness',
    text: phrase`Unevenly cut: the edges' middle leans ${deg(Math.abs(line.leanDeg))} and lies ${mm(Math.abs(line.offsetMm))} to your ${way}. Placed by ${used}; ${other} line is drawn too.`,
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
    ],
    school: schoolReason('centreLine', line.usedSchool),
  };
}

/** Judges the readings, draws the outline, and finds the centre line. */
export function planPiece(input: PieceInput, rules: HouseRules): PiecePlan {
  const kind = PIECE_KINDS[input.kind];
  const findings = kind.readings.flatMap((reading) => checkReading(reading, input) ?? []);
  if (findings.length === 0) {
    for (const c of kind.contradictions(input.readings)) {
      findings.push(
        stopAt(
          c.field,
          'readings-contradict',
          phrase`${c.a.name} ${mm(c.a.mm)} and ${c.b.name} ${mm(c.b.mm)} cannot both be right: ${c.why}.`,
        ),
      );
    }
  }
  const geometry = findings.length === 0 ? kind.outlineOf(input.readings) : null;
  const sketch = geometry ?? kind.outlineOf(sketchReadings(kind, input));
  const centreLine = fitCentreLine(kind, input.evenness, rules);
  if (centreLine.uneven) findings.push(unevenFinding(kind, centreLine));
  const fabric = fabricOf(input);
  return {
    kind,
    fabric,
    colour: input.colour,
    readings: input.readings,
    geometry,
    sketch,
    centreLine,
    findings,
    reasons: [
      because(
        'outline',
        phrase`Drawn to scale from your readings; neck, slope and sleeve follow usual proportions.`,
      ),
      ...(input.evenness.length > 0 ? [centreReason(centreLine, input)] : []),
    ],
  };
}
