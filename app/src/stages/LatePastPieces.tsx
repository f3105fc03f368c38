import { lazy, Suspense } from 'react';

/** Fetched once a stage shows it. */
const Fetched = lazy(() => import('./PastPieces').then((own) => ({ default: own.PastPieces })));

/** What past pieces say, beside the rule. */
export function LatePastPieces({ on }: { on: 'layers' | 'hoop' }) {
  return (
    <Suspense fallback={null}>
      <Fetched on={on} />
    </Suspense>
  );
}
