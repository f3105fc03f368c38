import { type DisplayUnits, formatLength, type KeyStep, type Keys, keysNeeded, mm, say } from '@zt/core';
import { View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Row } from './ui/Row';
import { Stack } from './ui/Stack';
import { Txt } from './ui/Txt';

function Key({ name, value, small = false }: { name: string; value: string; small?: boolean }) {
  const p = usePalette();
  return (
    <View
      style={{
        flex: 1,
        minWidth: 96,
        borderWidth: 1.5,
        borderColor: p.ink,
        borderRadius: 6,
        padding: 8,
        backgroundColor: p.shade,
      }}
    >
      <Txt as="label" tone="graphite">
        {name}
      </Txt>
      <Txt as={small ? 'strong' : 'figure'}>{value}</Txt>
    </View>
  );
}

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

interface KeyRowProps {
  keys: Keys;
  /** The presses that are needed, in the order in which the machine takes them. */
  order: readonly KeyStep[];
  units: DisplayUnits;
}

/** What to key in at the machine, in its own steps, numbered in the order that works. */
export function KeyRow({ keys, order, units }: KeyRowProps) {
  const moves = [
    ...moveWords(keys.move.x, ['right', 'left'], units),
    ...moveWords(keys.move.y, ['towards you', 'away from you'], units),
  ].join(', ');
  const values: Record<KeyStep, string> = {
    turn: keys.turnDeg === 0 ? 'no' : `${keys.turnDeg}°`,
    mirror: keys.mirror ? 'yes' : 'no',
    move: moves || 'no',
  };
  const shown = [...order, ...ALL.filter((step) => !order.includes(step))];
  const numbered = (step: KeyStep) =>
    order.length > 1 && order.includes(step) ? `${order.indexOf(step) + 1}. ${NAMES[step]}` : NAMES[step];
  return (
    <Stack gap={6}>
      <Txt as="label" tone="graphite">
        {keysNeeded(keys) ? 'Key in, from “centred, upright”:' : 'Nothing to key in: centred, upright.'}
      </Txt>
      <Row wrap>
        {shown.map((step) => (
          <Key
            key={step}
            name={numbered(step)}
            value={values[step]}
            small={step === 'move' && moves !== ''}
          />
        ))}
      </Row>
    </Stack>
  );
}
