import type { ReactNode } from 'react';
import { Notice } from '../components/ui/Notice';
import { Press } from '../components/ui/Press';
import { Txt } from '../components/ui/Txt';
import { PairThisDevice } from './PairThisDevice';
import { useShop } from './useShop';

/**
 * Opens once shelf and house rules are here. Before that nothing is shown that could be changed: a change made on
 * the defaults would be saved over the shop's own.
 */
export function ShopGate({ children }: { children: ReactNode }) {
  const { ready, failed, isStranger, retry } = useShop();
  if (isStranger) return <PairThisDevice />;
  if (ready) return children;
  if (failed)
    return (
      <Notice title="The shop’s computer does not answer">
        <Txt live>Nothing is lost, and nothing was changed. Start it, then try again.</Txt>
        <Press kind="main" title="Try again" onPress={retry} />
      </Notice>
    );
  return (
    <Notice title="Opening the shop…" isAwaited>
      <Txt>Loading the shelf and the house rules.</Txt>
    </Notice>
  );
}
