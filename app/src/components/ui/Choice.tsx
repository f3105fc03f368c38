import { Pressable, View } from 'react-native';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { Txt } from './Txt';

interface ChoiceProps<T extends string> {
  label: string;
  options: readonly { id: T; name: string; detail?: string }[];
  chosen: T | null;
  onChoose: (id: T) => void;
  /** Hide the label where the place already says it. */
  quiet?: boolean;
  small?: boolean;
}

/** One of a few, all in sight. */
export function Choice<T extends string>({
  label,
  options,
  chosen,
  onChoose,
  quiet = false,
  small = false,
}: ChoiceProps<T>) {
  const p = usePalette();
  return (
    <View style={{ gap: 6 }}>
      {quiet ? null : (
        <Txt as="label" tone="graphite">
          {label}
        </Txt>
      )}
      <View role="radiogroup" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
        {options.map(({ id, name, detail }) => {
          const on = id === chosen;
          return (
            <Pressable
              key={id}
              role="radio"
              aria-checked={on}
              aria-label={detail ? `${name}, ${detail}` : name}
              onPress={() => onChoose(id)}
              style={{
                minHeight: TARGET,
                minWidth: TARGET,
                justifyContent: 'center',
                alignItems: 'center',
                paddingHorizontal: small ? 8 : 12,
                paddingVertical: 6,
                borderWidth: 1.5,
                borderRadius: 6,
                borderColor: p.ink,
                backgroundColor: on ? p.ink : 'transparent',
              }}
            >
              <Txt as="label" tone={on ? 'onInk' : 'ink'}>
                {name}
              </Txt>
              {detail ? (
                <Txt as="small" tone={on ? 'onInk' : 'graphite'}>
                  {detail}
                </Txt>
              ) : null}
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
