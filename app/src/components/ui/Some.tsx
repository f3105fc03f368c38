import { Pressable, View } from 'react-native';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { Txt } from './Txt';

interface SomeProps<T extends string> {
  label: string;
  options: readonly T[];
  chosen: readonly T[];
  onChoose: (chosen: T[]) => void;
}

/** Any of a few, all in sight; none chosen stands for any. */
export function Some<T extends string>({ label, options, chosen, onChoose }: SomeProps<T>) {
  const p = usePalette();
  return (
    <View style={{ gap: 6 }}>
      <Txt as="label" tone="graphite">
        {chosen.length === 0 ? `${label}: any` : label}
      </Txt>
      <View role="group" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
        {options.map((id) => {
          const on = chosen.includes(id);
          return (
            <Pressable
              key={id}
              role="checkbox"
              aria-checked={on}
              aria-label={id}
              onPress={() => onChoose(on ? chosen.filter((other) => other !== id) : [...chosen, id])}
              style={{
                minHeight: TARGET,
                minWidth: TARGET,
                justifyContent: 'center',
                alignItems: 'center',
                paddingHorizontal: 8,
                borderWidth: 1.5,
                borderRadius: 6,
                borderColor: p.ink,
                backgroundColor: on ? p.ink : 'transparent',
              }}
            >
              <Txt as="label" tone={on ? 'onInk' : 'ink'}>
                {id}
              </Txt>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
