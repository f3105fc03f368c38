import { lazy, Suspense } from 'react';
import type { Table, TableProps } from './Table';

/** Only where rows are shown as a table is it fetched. */
const Fetched = lazy(() => import('./Table').then((own) => ({ default: own.Table<unknown> })));

/** A table that is fetched when it is shown first. */
export function LateTable<T>(props: TableProps<T>) {
  const Shown = Fetched as unknown as typeof Table<T>;
  return (
    <Suspense fallback={null}>
      <Shown {...props} />
    </Suspense>
  );
}
