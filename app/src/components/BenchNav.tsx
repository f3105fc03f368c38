import { type Href, Link, usePathname } from 'expo-router';
import { Pressable, View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Txt } from './ui/Txt';

const PLACES: readonly { href: Href & string; name: string }[] = [
  { href: '/', name: 'Bench' },
  { href: '/shelf', name: 'Shelf' },
  { href: '/logbook', name: 'Logbook' },
  { href: '/rules', name: 'House rules' },
];

/** The way between the bench, the shelf, the logbook and the house rules. */
export function BenchNav() {
  const p = usePalette();
  const here = usePathname();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={{ flexDirection: 'row', backgroundColor: p.paper, borderTopWidth: 1.5, borderColor: p.ink }}
    >
      {PLACES.map(({ href, name }) => {
        const on = href === '/' ? here === '/' : here.startsWith(href);
        return (
          <Link key={href} href={href} replace asChild>
            <Pressable
              aria-current={on ? 'page' : undefined}
              style={{
                flex: 1,
                minHeight: 56,
                alignItems: 'center',
                justifyContent: 'center',
                borderTopWidth: 5,
                borderColor: on ? p.tape : 'transparent',
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
