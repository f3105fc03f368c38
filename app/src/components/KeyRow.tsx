import { type DisplayUnits, formatLength, type Keys, keysNeeded } from '@zt/core';
import { View } from 'react-native';
import { usePalette } from '../theme/palette';
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

/** What to key in at the machine, in its own three steps. */
export function KeyRow({ keys, units }: { keys: Keys; units: DisplayUnits }) {
  const move = (value: number, plus: string, minus: string) =>
    value === 0 ? null : `${formatLength(Math.abs(value), units)} ${value > 0 ? plus : minus}`;
  const moves = [move(keys.move.x, 'right', 'left'), move(keys.move.y, 'towards you', 'away')]
    .filter(Boolean)
    .join(', ');
  return (
    <View style={{ gap: 6 }}>
      <Txt as="label" tone="graphite">
        {keysNeeded(keys) ? 'Key in, from “centred, upright”:' : 'Nothing to key in: centred, upright.'}
      </Txt>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        <Key name="Turn" value={keys.turnDeg === 0 ? 'no' : `${keys.turnDeg}°`} />
        <Key name="Mirror" value={keys.mirror ? 'yes' : 'no'} />
        <Key name="Move" value={moves || 'no'} small={moves !== ''} />
      </View>
    </View>
  );
}
