import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

/** One thing on the shelf: a line that opens into its form. */
export function Row({
  title,
  detail,
  aside,
  onPress,
  open,
  children,
}: {
  title: string;
  detail: string;
  aside?: ReactNode;
  onPress: () => void;
  open: boolean;
  children: ReactNode;
}) {
  const p = usePalette();
  return (
    <View style={{ borderBottomWidth: 1, borderColor: p.hairline }}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${title}: ${detail}`}
        onPress={onPress}
        style={{ flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 56, paddingVertical: 6 }}
      >
        {aside}
        <View style={{ flex: 1 }}>
          <Txt as="strong">{title}</Txt>
          <Txt as="small" tone="graphite">
            {detail}
          </Txt>
        </View>
      </Pressable>
      {open ? <View style={{ padding: 12, gap: 10, backgroundColor: p.shade }}>{children}</View> : null}
    </View>
  );
}
