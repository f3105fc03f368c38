import type { ReactElement, ReactNode } from 'react';
import { FlatList, ScrollView, useWindowDimensions, View } from 'react-native';
import { usePalette } from '../../theme/palette';
import { NotYet } from './NotYet';
import { ScreenHead, type ScreenHeadProps } from './Screen';
import { Stack } from './Stack';
import { Txt } from './Txt';

interface ListScreenProps<T> extends ScreenHeadProps {
  /** What stands above the list. */
  children: ReactNode;
  items: readonly T[];
  keyOf: (item: T) => string;
  row: (item: T) => ReactElement;
  /** The narrowest that a row may be; as many stand side by side as there is room for. */
  rowWidth?: number;
  /** The same things as a table, in place of rows; null while there are none. */
  table?: ReactElement | null;
  /** Columns of a board, each with what belongs in it; in place of rows. */
  groups?: readonly string[];
  groupOf?: (item: T) => number;
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
  const { children, items, keyOf, row, rowWidth, table, groups, groupOf, onEnd, foot, ...head } = props;
  const { isHere = true } = head;
  const p = usePalette();
  const room = Math.min(WIDEST, useWindowDimensions().width) - 2 * EDGE;
  const columns = rowWidth ? Math.max(1, Math.floor(room / rowWidth)) : 1;
  return (
    <View role="main" style={{ flex: 1, backgroundColor: p.panel }}>
      <ScreenHead {...head} />
      {table !== undefined ? (
        <Scrolled head={children} onEnd={onEnd}>
          {isHere ? table : <NotYet />}
        </Scrolled>
      ) : groups && groupOf ? (
        <Scrolled head={children} onEnd={onEnd}>
          {isHere ? <Board {...{ groups, groupOf, items, keyOf, row }} /> : <NotYet />}
        </Scrolled>
      ) : (
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
          ListEmptyComponent={isHere ? null : <NotYet />}
          ListHeaderComponent={<Stack gap={14}>{children}</Stack>}
          data={items as T[]}
          numColumns={columns}
          {...(columns > 1 ? { columnWrapperStyle: { gap: EDGE } } : {})}
          keyExtractor={keyOf}
          // The last row may have fewer: none of them is wider for it.
          renderItem={({ item }) => (
            <View style={{ flex: 1, maxWidth: `${100 / columns}%` }}>{row(item)}</View>
          )}
          initialNumToRender={Math.ceil(FIRST / columns)}
          onEndReached={onEnd}
          onEndReachedThreshold={1}
        />
      )}
      {foot}
    </View>
  );
}

/** So near its end a list asks for more, px. */
const NEAR_END_PX = 400;

interface ScrolledProps {
  head: ReactNode;
  children: ReactNode;
  onEnd: () => void;
}

/** What is drawn whole, below its head; more of it is asked for near its end. */
function Scrolled({ head, children, onEnd }: ScrolledProps) {
  return (
    <ScrollView
      tabIndex={0}
      style={{ flex: 1 }}
      scrollEventThrottle={100}
      onScroll={({ nativeEvent: { contentOffset, layoutMeasurement, contentSize } }) => {
        if (contentOffset.y + layoutMeasurement.height > contentSize.height - NEAR_END_PX) onEnd();
      }}
      contentContainerStyle={{ paddingHorizontal: EDGE, paddingVertical: 12, gap: 14 }}
    >
      <Stack gap={14}>{head}</Stack>
      {children}
    </ScrollView>
  );
}

type BoardProps<T> = Pick<ListScreenProps<T>, 'items' | 'keyOf' | 'row'> &
  Required<Pick<ListScreenProps<T>, 'groups' | 'groupOf'>>;

/** The same things in columns, side by side. */
function Board<T>({ groups, groupOf, items, keyOf, row }: BoardProps<T>) {
  return (
    <View style={{ flexDirection: 'row', gap: EDGE, alignItems: 'flex-start' }}>
      {groups.map((group, i) => {
        const own = items.filter((item) => groupOf(item) === i);
        return (
          <View key={group} role="region" aria-label={group} style={{ flex: 1, minWidth: 0 }}>
            <Txt as="heading" level={2}>{`${group}: ${own.length}`}</Txt>
            {own.map((item) => (
              <View key={keyOf(item)}>{row(item)}</View>
            ))}
          </View>
        );
      })}
    </View>
  );
}
