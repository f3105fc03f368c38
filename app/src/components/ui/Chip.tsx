import { Pressable } from 'react-native';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { Txt } from './Txt';

interface ChipProps {
  /** One of a few, or any of a few. */
  role: 'radio' | 'checkbox';
  name: string;
  detail?: string | undefined;
  on: boolean;
  small?: boolean;
  /** Reached by the tab key; the others of a group by arrows. */
  tabbed?: boolean;
  onPress: () => void;
}

/** One answer, inked when it is the chosen one. */
export function Chip({ role, name, detail, on, small = false, tabbed = true, onPress }: ChipProps) {
  const p = usePalette();
  return (
    <Pressable
      role={role}
      aria-checked={on}
      aria-label={detail ? `${name}, ${detail}` : name}
      tabIndex={tabbed ? 0 : -1}
      onPress={onPress}
      style={{
        minHeight: TARGET,
        minWidth: TARGET,
        maxWidth: '100%',
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
}
