import { View } from 'react-native';
import { Chip } from './Chip';
import { Txt } from './Txt';

interface SomeProps<T extends string> {
  label: string;
  options: readonly T[];
  chosen: readonly T[];
  onChoose: (chosen: T[]) => void;
}

/** Any of a few, all in sight; none chosen stands for any. */
export function Some<T extends string>({ label, options, chosen, onChoose }: SomeProps<T>) {
  return (
    <View style={{ gap: 6 }}>
      <Txt as="label" tone="graphite">
        {chosen.length === 0 ? `${label}: any` : label}
      </Txt>
      <View role="group" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
        {options.map((id) => {
          const on = chosen.includes(id);
          const next = on ? chosen.filter((other) => other !== id) : [...chosen, id];
          return <Chip key={id} role="checkbox" name={id} on={on} small onPress={() => onChoose(next)} />;
        })}
      </View>
    </View>
  );
}
