import Fraction from 'fraction.js';

/** Millimetres in one inch, exactly. */
export const MM_PER_INCH = 25.4;

export type LengthUnit = 'in' | 'mm' | 'cm';

/** How lengths are shown: mixed fractions of an inch, or millimetres to 0.1. */
export type DisplayUnits = { system: 'in'; denominator: 8 | 16 } | { system: 'mm' };

/** Units to write in: inches may be finer than a shop's usual marks. */
export type WrittenUnits = { system: 'in'; denominator: 8 | 16 | 32 | 64 } | { system: 'mm' };

export type ParsedLength =
  | { ok: true; mm: number; understood: string }
  | { ok: false; code: 'empty' | 'not-a-length' | 'negative' | 'not-finite'; message: string };

const MM_PER_UNIT: Record<LengthUnit, number> = { in: MM_PER_INCH, mm: 1, cm: 10 };
const UNIT_WORDS: Record<string, LengthUnit> = {
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '”': 'in',
  '″': 'in',
  mm: 'mm',
  cm: 'cm',
};
const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const LENGTH_PATTERN =
  /^(?<whole>\d+(?:[.,]\d+)?)?(?:(?:^|[\s-]+)(?<top>\d+)\s*\/\s*(?<bottom>\d+))?\s*(?<unit>in|inch|inches|mm|cm|"|”|″)?\.?$/i;

const refuse = (code: Extract<ParsedLength, { ok: false }>['code'], message: string): ParsedLength => ({
  ok: false,
  code,
  message,
});

/**
 * Reads a length as people write it: `7 1/2`, `7-1/2"`, `7.5 in`, `7½`, `19cm`, `19,5 cm`, `190 mm`.
 * A bare number is in `bareUnit`. Returns millimetres with the entry as it was understood, or a coded
 * refusal with a sentence for the person; never throws. Two tapes laid end to end are added: `36 + 4 1/2`.
 */
export function parseLength(text: string, bareUnit: LengthUnit): ParsedLength {
  const tapes = text.split('+').map((tape) => parseTape(tape, bareUnit));
  const [only] = tapes;
  if (!only || tapes.length === 1) return only ?? parseTape(text, bareUnit);
  if (tapes.some((tape) => !tape.ok && tape.code === 'empty'))
    return refuse('not-a-length', `“${text}” adds nothing yet: what comes after the plus?`);
  const refused = tapes.find((tape) => !tape.ok);
  if (refused) return refused;
  const mm = tapes.reduce((sum, tape) => sum + (tape.ok ? tape.mm : 0), 0);
  return { ok: true, mm, understood: inWordsOf(mm, bareUnit) };
}

const inWordsOf = (mm: number, unit: LengthUnit): string =>
  formatLength(mm, unit === 'in' ? { system: 'in', denominator: 16 } : { system: 'mm' });

function parseTape(text: string, bareUnit: LengthUnit): ParsedLength {
  const plain = text.replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign] ?? ''}`).trim();
  if (plain === '') return refuse('empty', 'Nothing is entered yet.');
  if (/^[-−–]/.test(plain)) return refuse('negative', `“${text}” is below zero; a length cannot be.`);
  const parts = LENGTH_PATTERN.exec(plain)?.groups;
  if (!parts || (parts.whole === undefined && parts.top === undefined)) {
    return refuse('not-a-length', `“${text}” does not read as a length. Try 7 1/2 in, 19 cm or 190 mm.`);
  }
  if (parts.bottom !== undefined && Number(parts.bottom) === 0) {
    return refuse('not-a-length', `“${text}” divides by nothing.`);
  }
  const unit = parts.unit === undefined ? bareUnit : (UNIT_WORDS[parts.unit.toLowerCase()] ?? bareUnit);
  const amount =
    Number((parts.whole ?? '0').replace(',', '.')) +
    (parts.top === undefined ? 0 : Number(parts.top) / Number(parts.bottom));
  const mm = amount * MM_PER_UNIT[unit];
  if (!Number.isFinite(mm)) return refuse('not-finite', `“${text}” is too large to be a length.`);
  return { ok: true, mm, understood: inWordsOf(mm, unit) };
}

/** Rounds to the nearest mark of an inch tape; `denominator` marks to the inch. Returns mm. */
export function roundToTape(mm: number, denominator: 8 | 16 | 32): number {
  return (Math.round((mm / MM_PER_INCH) * denominator) / denominator) * MM_PER_INCH;
}

/**
 * Writes millimetres for reading at the bench: `7 5/8 in`, `1/16 in`, `193.4 mm`, `102 mm`.
 * Inches are rounded to the tape's marks, millimetres to 0.1. Not-a-number is written as `–`.
 */
export function formatLength(mm: number, units: WrittenUnits): string {
  if (!Number.isFinite(mm)) return '–';
  if (units.system === 'mm') return `${Number(mm.toFixed(1)) + 0} mm`;
  const marks = Math.round((mm / MM_PER_INCH) * units.denominator);
  return `${new Fraction(marks, units.denominator).toFraction(true)} in`;
}

/** The figure without its unit, for a drawing where the unit stands once. */
export function formatFigure(mm: number, units: DisplayUnits): string {
  return formatLength(mm, units).replace(/ (in|mm)$/, '');
}

/** The unit a bare number is read in while these display units are chosen. */
export function bareUnitOf(units: DisplayUnits): LengthUnit {
  return units.system === 'in' ? 'in' : 'mm';
}

/** The step of one press on a stepper: the tape's smallest mark, or 1 mm. In mm. */
export function stepOf(units: DisplayUnits): number {
  return units.system === 'in' ? MM_PER_INCH / units.denominator : 1;
}
