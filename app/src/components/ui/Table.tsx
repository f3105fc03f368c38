import {
  type ColumnDef,
  getCoreRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import { type KeyboardEvent, type ReactNode, useState } from 'react';
import { Pressable, View } from 'react-native';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { Txt } from './Txt';

export interface TableColumn<T> {
  id: string;
  title: string;
  /** What stands in its cells: words, or a picture. */
  cell: (row: T) => ReactNode;
  /** What its rows are sorted by; without it, it is not sorted by. */
  sortedBy?: (row: T) => string | number;
  /** Its share of the width, beside the others; px where it is a picture. */
  share?: number;
  px?: number;
}

/** By which column a table is sorted, and whether the largest stands first. */
export interface TableOrder {
  id: string;
  falling: boolean;
}

export interface TableProps<T> {
  label: string;
  rows: readonly T[];
  columns: readonly TableColumn<T>[];
  keyOf: (row: T) => string;
  /** The first cell with words: opens its row. */
  opener: (row: T) => ReactNode;
  openerTitle: string;
  openerSortedBy?: (row: T) => string | number;
  /** What is shown below a row, across all columns. */
  under?: (row: T) => ReactNode;
  /** Where the rows come sorted from elsewhere: how they are, and what asks for another order. */
  order?: TableOrder | null;
  onOrder?: (order: TableOrder) => void;
}

/** Up and down go from one row's opener to the next. */
function onArrow(event: KeyboardEvent<HTMLElement>) {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (by === 0 || !(event.target instanceof HTMLElement)) return;
  const openers = Array.from(
    event.currentTarget.querySelectorAll<HTMLElement>('[data-opener] [tabindex="0"]'),
  );
  const at = openers.indexOf(event.target);
  const next = openers[at + by];
  if (at < 0 || !next) return;
  event.preventDefault();
  event.stopPropagation();
  next.focus();
}

/** Rows in columns with a head that sorts them, for a wide screen; each row opens by its first words. */
export function Table<T>(props: TableProps<T>) {
  // The package hands out one object whose rows change within it.
  'use no memo';
  const { label, rows, columns, keyOf, opener, openerTitle, openerSortedBy, under, order, onOrder } = props;
  const p = usePalette();
  const [own, setOwn] = useState<SortingState>([]);
  const first: TableColumn<T> = {
    id: 'opener',
    title: openerTitle,
    cell: opener,
    share: 3,
    ...(openerSortedBy ? { sortedBy: openerSortedBy } : {}),
  };
  const pictures = columns.filter(({ px }) => px !== undefined);
  const shown = [...pictures, first, ...columns.filter(({ px }) => px === undefined)];
  const defs: ColumnDef<T>[] = shown.map(({ id, sortedBy }) => ({
    id,
    enableSorting: sortedBy !== undefined,
    sortingFn: 'alphanumeric',
    ...(sortedBy ? { accessorFn: sortedBy } : { accessorFn: () => '' }),
  }));
  const sorting = onOrder ? (order ? [{ id: order.id, desc: order.falling }] : []) : own;
  const table = useReactTable({
    data: rows as T[],
    columns: defs,
    state: { sorting },
    manualSorting: onOrder !== undefined,
    getRowId: keyOf,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const sortBy = (id: string) => {
    const falling = sorting[0]?.id === id && !sorting[0].desc;
    if (onOrder) onOrder({ id, falling });
    else setOwn([{ id, desc: falling }]);
  };
  const sizeOf = ({ px, share = 2 }: TableColumn<T>) =>
    px === undefined ? { flex: share, minWidth: 0 } : { width: px };
  return (
    <View role="table" aria-label={label} {...({ onKeyDown: onArrow } as object)}>
      <View role="rowgroup">
        <View
          role="row"
          style={{ flexDirection: 'row', gap: 12, borderBottomWidth: 1.5, borderColor: p.ink }}
        >
          {shown.map((column) => {
            const by =
              sorting[0]?.id === column.id ? (sorting[0].desc ? 'descending' : 'ascending') : undefined;
            return (
              <View
                key={column.id}
                role="columnheader"
                style={sizeOf(column)}
                {...(column.sortedBy ? { 'aria-sort': by ?? 'none' } : {})}
              >
                {column.sortedBy ? (
                  <Pressable
                    role="button"
                    aria-label={`Sort by ${column.title}`}
                    onPress={() => sortBy(column.id)}
                    style={{ minHeight: TARGET, justifyContent: 'center' }}
                  >
                    <Txt as="label">{`${column.title}${by === undefined ? '' : by === 'ascending' ? ' ↑' : ' ↓'}`}</Txt>
                  </Pressable>
                ) : (
                  <View style={{ minHeight: TARGET, justifyContent: 'center' }}>
                    <Txt as="label">{column.title}</Txt>
                  </View>
                )}
              </View>
            );
          })}
        </View>
      </View>
      <View role="rowgroup">
        {table.getRowModel().rows.map(({ id, original: row }) => {
          const below = under?.(row);
          return (
            <View key={id} role="presentation" style={{ borderBottomWidth: 1, borderColor: p.hairline }}>
              <View role="row" style={{ flexDirection: 'row', gap: 12, minHeight: 52, alignItems: 'center' }}>
                {shown.map((column) => {
                  const cell = column.cell(row);
                  return (
                    <View
                      key={column.id}
                      role="cell"
                      style={sizeOf(column)}
                      {...(column === first ? ({ dataSet: { opener: '' } } as object) : {})}
                    >
                      {typeof cell === 'string' || typeof cell === 'number' ? (
                        <Txt>{String(cell)}</Txt>
                      ) : (
                        cell
                      )}
                    </View>
                  );
                })}
              </View>
              {below ? (
                <View role="row">
                  <View role="cell">{below}</View>
                </View>
              ) : null}
            </View>
          );
        })}
      </View>
    </View>
  );
}
