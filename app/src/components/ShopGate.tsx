import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useShop } from '../hooks/useShop';
import { usePalette } from '../theme/palette';
import { Press } from './ui/Press';
import { Txt } from './ui/Txt';

/**
 * Opens once shelf and house rules are here. Before that nothing is shown that could be changed: a change made on
 * the defaults would be saved over the shop's own.
 */
export function ShopGate({ children }: { children: ReactNode }) {
  const { ready, failed, retry } = useShop();
  const p = usePalette();
  if (ready) return children;
  return (
    <View role="main" style={{ flex: 1, padding: 24, gap: 12, backgroundColor: p.panel }}>
      <Txt as="title" level={1}>
        {failed ? 'The shop’s computer does not answer' : 'Opening the shop'}
      </Txt>
      {failed ? (
        <>
          <Txt live>Nothing is lost, and nothing was changed. Start it, then try again.</Txt>
          <Press kind="main" title="Try again" onPress={retry} />
        </>
      ) : (
        <Txt>Fetching the shelf and the house rules.</Txt>
      )}
    </View>
  );
}
