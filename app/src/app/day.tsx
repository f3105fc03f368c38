import { lazy, Suspense } from 'react';
import { Notice } from '../components/ui/Notice';

/** With what the table shows of the day in one piece, so that neither is fetched with a ticket. */
const DayScreen = lazy(() => import('../day/index').then((own) => ({ default: own.DayScreen })));

export default function DayRoute() {
  return (
    <Suspense fallback={<Notice title="Loading the day…" isAwaited />}>
      <DayScreen />
    </Suspense>
  );
}
