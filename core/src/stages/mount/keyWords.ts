import { type DisplayUnits, formatLength } from '../../base/units/length';
import { mm, say } from '../../base/units/phrase';
import { type KeyStep, type Keys, keysNeeded } from './keys';

const MACHINE_UNITS = { system: 'mm' } as const;
const NAMES: Record<KeyStep, string> = { turn: 'Turn', mirror: 'Mirror', move: 'Move' };
const ALL: readonly KeyStep[] = ['turn', 'mirror', 'move'];

/** One figure of a move: in the machine's own millimetres, and as the shop reads lengths. */
function moveWords(value: number, [plus, minus]: readonly [string, string], units: DisplayUnits): string[] {
  if (value === 0) return [];
  const by = Math.abs(value);
  const own = units.system === 'mm' ? '' : ` (${say([mm(by)], units)})`;
  return [`${formatLength(by, MACHINE_UNITS)}${own} ${value > 0 ? plus : minus}`];
}

/** A key of the machine with what is pressed there. */
export interface KeyWords {
  step: KeyStep;
  name: string;
  value: string;
}

/**
 * What to key in from “centred, upright”, in the machine's own steps: the presses that are needed first, numbered in
 * the order in which the machine takes them, then those that stay as they are.
 */
export function keyWords(keys: Keys, order: readonly KeyStep[], units: DisplayUnits): KeyWords[] {
  const moves = [
    ...moveWords(keys.move.x, ['right', 'left'], units),
    ...moveWords(keys.move.y, ['towards you', 'away from you'], units),
  ].join(', ');
  const values: Record<KeyStep, string> = {
    turn: keys.turnDeg === 0 ? 'no' : `${keys.turnDeg}°`,
    mirror: keys.mirror ? 'yes' : 'no',
    move: moves || 'no',
  };
  const shown = keysNeeded(keys) ? [...order, ...ALL.filter((step) => !order.includes(step))] : ALL;
  return shown.map((step) => ({
    step,
    name:
      order.length > 1 && order.includes(step) ? `${order.indexOf(step) + 1}. ${NAMES[step]}` : NAMES[step],
    value: values[step],
  }));
}
