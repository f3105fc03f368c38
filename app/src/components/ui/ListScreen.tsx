import type { ReactElement, ReactNode } from 'react';
import { FlatList, useWindowDimensions, View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { ScreenHead, type ScreenHeadProps } from './Screen';
import { Stack } from './Stack';

interface ListScreenProps<T> extends ScreenHeadProps {
  /** What stands above the list. */
  children: ReactNode;
  items: readonly T[];
  keyOf: (item: T) => string;
  row: (item: T) => ReactElement;
  /** The narrowest that a row may be; as many stand side by side as there is room for. */
  rowWidth?: number;
  /** The end of what was read comes in sight. */
  onEnd: () => void;
  foot?: ReactNode;
}

const WIDEST = 1080;
const EDGE = 16;
/** So many rows are drawn at once; those beyond are drawn as they come near. */
const FIRST = 24;

/** A page with a title over a list of any length: only what is in sight, and near it, is drawn. */
export function ListScreen<T>(props: ListScreenProps<T>) {
  const { children, items, keyOf, row, rowWidth, onEnd, foot, ...head } = props;
  const p = usePalette();
  const room = Math.min(WIDEST, useWindowDimensions().width) - 2 * EDGE;
  const columns = rowWidth ? Math.max(1, Math.floor(room / rowWidth)) : 1;
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.panel }}>
      <ScreenHead {...head} />
      <FlatList
        key={columns}
        tabIndex={0}
        style={{ flex: 1 }}
        contentContainerStyle={{
          paddingHorizontal: EDGE,
          paddingVertical: 12,
          width: '100%',
          maxWidth: WIDEST,
          alignSelf: 'center',
        }}
        ListHeaderComponent={<Stack gap={14}>{children}</Stack>}
        data={items as T[]}
        numColumns={columns}
        {...(columns > 1 ? { columnWrapperStyle: { gap: EDGE } } : {})}
        keyExtractor={keyOf}
        // The last row may have fewer: none of them is wider for it.
        renderItem={({ item }) => <View style={{ flex: 1, maxWidth: `${100 / columns}%` }}>{row(item)}</View>}
        initialNumToRender={Math.ceil(FIRST / columns)}
        onEndReached={onEnd}
        onEndReachedThreshold={1}
      />
      {foot}
    </View>
  );
}
