import { lazy, Suspense } from 'react';
import { Notice } from '../components/ui/Notice';

const CuttingScreen = lazy(() => import('../day/index').then((own) => ({ default: own.CuttingScreen })));

export default function CuttingRoute() {
  return (
    <Suspense fallback={<Notice title="Loading the cut plan…" isAwaited />}>
      <CuttingScreen />
    </Suspense>
  );
}
