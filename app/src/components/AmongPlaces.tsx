import { type Href, Link, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { useWide } from '../theme/layout';
import { usePalette } from '../theme/palette';
import { Txt } from './ui/Txt';

const PLACES: readonly { href: Href & string; name: string }[] = [
  { href: '/', name: 'Bench' },
  { href: '/day', name: 'Day' },
  { href: '/orders', name: 'Orders' },
  { href: '/shelf', name: 'Shelf' },
  { href: '/logbook', name: 'Logbook' },
  { href: '/rules', name: 'House rules' },
];

const RAIL_PX = 116;

/** the way between the bench, the day, the order book, the shelf, the logbook and the house rules: below on a phone, a rail at the left else. */
function BenchNav({ rail }: { rail: boolean }) {
  const p = usePalette();
  const here = usePathname();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={{
        backgroundColor: p.paper,
        borderColor: p.ink,
        ...(rail
          ? { width: RAIL_PX, borderRightWidth: 1.5, paddingTop: 8 }
          : { flexDirection: 'row', flexWrap: 'wrap', borderTopWidth: 1.5 }),
      }}
    >
      {PLACES.map(({ href, name }) => {
        const on = href === '/' ? here === '/' : here.startsWith(href);
        return (
          <Link key={href} href={href} replace asChild>
            <Pressable
              aria-current={on ? 'page' : undefined}
              style={{
                minHeight: 52,
                justifyContent: 'center',
                borderColor: on ? p.tape : 'transparent',
                ...(rail
                  ? { paddingHorizontal: 12, borderLeftWidth: 6 }
                  : { flexGrow: 1, alignItems: 'center', paddingHorizontal: 4, borderTopWidth: 5 }),
              }}
            >
              <Txt as="label">{name}</Txt>
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
}

/** A page among the shop's places, with the way to the others. */
export function AmongPlaces({ children }: { children: ReactNode }) {
  const wide = useWide();
  return (
    <View style={{ flex: 1, minHeight: 0, flexDirection: wide ? 'row' : 'column' }}>
      {wide ? <BenchNav rail /> : null}
      <View style={{ flex: 1, minHeight: 0 }}>{children}</View>
      {wide ? null : <BenchNav rail={false} />}
    </View>
  );
}
