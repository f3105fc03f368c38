import { bareUnitOf, type DisplayUnits, formatLength, type LengthUnit, parseLength } from './length';

/** Keys of the tape keypad besides the digits. */
export type TapeKey =
  | { digit: string }
  | { fraction: string }
  | { unit: LengthUnit }
  | 'point'
  | 'plus'
  | 'back'
  | 'half';

/** The fractions that a shop's tape has as keys, smallest first; none where it reads millimetres. */
export function fractionsOf(units: DisplayUnits): string[] {
  if (units.system === 'mm') return [];
  const eighths = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'];
  return units.denominator === 16 ? ['1/16', ...eighths] : eighths;
}

const FRACTION = /\s?\d+\/\d+$/;
const UNIT = /\s?(in|mm|cm)$/;

/** The tape that is being read: what stands after the last plus. */
function lastTape(text: string): [before: string, tape: string] {
  const at = text.lastIndexOf('+');
  return at < 0 ? ['', text] : [`${text.slice(0, at + 1)} `, text.slice(at + 1).trimStart()];
}

function withSixteenth(tape: string): string | null {
  const written = /(\d+)\/(\d+)$/.exec(tape);
  if (!written) return null;
  const [top, bottom] = [Number(written[1]), Number(written[2])];
  return bottom > 8
    ? null
    : tape.replace(FRACTION, (all) => `${/^\s/.test(all) ? ' ' : ''}${top * (16 / bottom) + 1}/16`);
}

/**
 * What stands in a field after a key of the tape keypad. A fraction takes the place of the one before it, but a
 * sixteenth is added to it; half takes half of the whole. A key that would make no length leaves the text as it is.
 */
export function keyed(text: string, key: TapeKey, units: DisplayUnits): string {
  const [before, tape] = lastTape(text.trimEnd());
  if (key === 'back') {
    if (tape === '') return before.replace(/\s*\+ $/, '');
    return before + tape.replace(new RegExp(`(${UNIT.source})|(${FRACTION.source})|.$`), '').trimEnd();
  }
  if (key === 'plus') return tape === '' ? text : `${before}${tape} + `;
  if (key === 'half') {
    const read = parseLength(text, bareUnitOf(units));
    return read.ok
      ? formatLength(read.mm / 2, units.system === 'in' ? { system: 'in', denominator: 32 } : units)
      : text;
  }
  if (key === 'point') return /[./]/.test(tape) || UNIT.test(tape) ? text : `${before}${tape || '0'}.`;
  if ('unit' in key)
    return tape === '' ? text : `${before}${tape.replace(UNIT, '').replace(/\.$/, '')} ${key.unit}`;
  if ('digit' in key) return FRACTION.test(tape) || UNIT.test(tape) ? text : before + tape + key.digit;
  if (UNIT.test(tape) || tape.includes('.')) return text;
  if (key.fraction === '1/16') {
    const more = withSixteenth(tape);
    if (more !== null) return before + more;
  }
  const whole = tape.replace(FRACTION, '');
  return before + (whole === '' ? key.fraction : `${whole} ${key.fraction}`);
}
