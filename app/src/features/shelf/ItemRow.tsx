import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

interface ItemOpenerProps {
  title: string;
  /** All that is said of it, for those who listen. */
  detail: string;
  /** What is read below the title. */
  more: string;
  aside?: ReactNode;
  onPress: () => void;
  open: boolean;
}

/** The line of a thing on the shelf: a press opens it. */
export function ItemOpener({ title, detail, more, aside, onPress, open }: ItemOpenerProps) {
  return (
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
        {more ? (
          <Txt as="small" tone="graphite">
            {more}
          </Txt>
        ) : null}
      </Stack>
    </Pressable>
  );
}

/** What a thing on the shelf opens into. */
export function OpenItem({ children }: { children: ReactNode }) {
  const p = usePalette();
  return <View style={{ padding: 12, gap: 10, backgroundColor: p.shade }}>{children}</View>;
}

/** One thing on the shelf: a line that opens into its form. */
export function ItemRow({ children, ...line }: Omit<ItemOpenerProps, 'more'> & { children: ReactNode }) {
  return (
    <Ruled>
      <ItemOpener {...line} more={line.detail} />
      {line.open ? <OpenItem>{children}</OpenItem> : null}
    </Ruled>
  );
}
