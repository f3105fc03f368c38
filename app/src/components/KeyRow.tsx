import type { DisplayUnits } from '@zt/core/base/units/length';
import { type KeyStep, type Keys, keysNeeded } from '@zt/core/stages/mount/keys';
import { keyWords } from '@zt/core/stages/mount/keyWords';
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

interface KeyRowProps {
  keys: Keys;
  /** The presses that are needed, in the order in which the machine takes them. */
  order: readonly KeyStep[];
  units: DisplayUnits;
}

/** What to key in at the machine, in its own steps, numbered in the order that works. */
export function KeyRow({ keys, order, units }: KeyRowProps) {
  return (
    <Stack gap={6}>
      <Txt as="label" tone="graphite">
        {keysNeeded(keys) ? 'Key in, from “centred, upright”:' : 'Nothing to key in: centred, upright.'}
      </Txt>
      <Row wrap>
        {keyWords(keys, order, units).map(({ step, name, value }) => (
          <Key key={step} name={name} value={value} small={step === 'move' && value !== 'no'} />
        ))}
      </Row>
    </Stack>
  );
}
