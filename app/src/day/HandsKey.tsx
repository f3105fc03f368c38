import type { HandsDo } from '@zt/core/business/day/stretches';
import { View } from 'react-native';
import { Txt } from '../components/ui/Txt';
import { usePalette } from '../theme/palette';
import { handsColour } from './HandsTape';

const DOES: readonly HandsDo[] = ['prepare', 'hoop', 'mount', 'tend', 'take off', 'finish'];
const WORDS: Record<HandsDo, string> = {
  prepare: 'prepare',
  hoop: 'hoop or float',
  mount: 'onto the machine',
  tend: 'at the machine',
  'take off': 'take off',
  finish: 'finish',
};

/** What the colours on the tape of hands mean. */
export function HandsKey() {
  const p = usePalette();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 12, rowGap: 2 }}>
      {DOES.map((what) => (
        <View key={what} style={{ flexDirection: 'row', alignItems: 'center', gap: 5 }}>
          <View
            style={{
              width: 12,
              height: 12,
              borderWidth: 1,
              borderColor: p.ink,
              backgroundColor: handsColour(what, p).fill,
            }}
          />
          <Txt as="small">{WORDS[what]}</Txt>
        </View>
      ))}
    </View>
  );
}
