import type { ReactNode } from 'react';
import { View } from 'react-native';
import { IconPress } from './IconPress';
import { Stack } from './Stack';
import { Txt } from './Txt';

interface BackBarProps {
  title: string;
  subtitle: string;
  /** Where back leads, for those who listen. */
  backLabel: string;
  onBack: () => void;
  /** At the right of the title. */
  children?: ReactNode;
}

/** The head of a page with a drawing that fills it: the way back, what it is, and of what. */
export function BackBar({ title, subtitle, backLabel, onBack, children }: BackBarProps) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', padding: 6, gap: 6 }}>
      <IconPress icon="back" label={backLabel} onPress={onBack} />
      <Stack grow>
        <Txt as="heading" level={1} lines={1}>
          {title}
        </Txt>
        <Txt as="small" tone="graphite" lines={1}>
          {subtitle}
        </Txt>
      </Stack>
      {children}
    </View>
  );
}
