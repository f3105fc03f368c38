import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

/** One thing on the shelf: a line that opens into its form. */
export function ItemRow({
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
    <Ruled>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${title}: ${detail}`}
        onPress={onPress}
        style={{ flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 56, paddingVertical: 6 }}
      >
        {aside}
        <Stack grow>
          <Txt as="strong">{title}</Txt>
          <Txt as="small" tone="graphite">
            {detail}
          </Txt>
        </Stack>
      </Pressable>
      {open ? <View style={{ padding: 12, gap: 10, backgroundColor: p.shade }}>{children}</View> : null}
    </Ruled>
  );
}
