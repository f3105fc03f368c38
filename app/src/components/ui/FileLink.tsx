import { createElement } from 'react';
import { FONTS } from '../../theme/fonts';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';

interface FileLinkProps {
  href: string;
  name: string;
  fileName?: string;
  /** The one thing to do next. */
  main?: boolean;
}

/** A file to fetch from the shop's computer, or one made here under a name of its own. */
export function FileLink({ href, name, fileName, main = false }: FileLinkProps) {
  const p = usePalette();
  return createElement(
    'a',
    {
      href,
      download: fileName ?? true,
      style: {
        display: 'inline-flex',
        alignItems: 'center',
        minHeight: TARGET,
        paddingLeft: 12,
        paddingRight: 12,
        border: `1.5px solid ${p.ink}`,
        borderRadius: 6,
        color: main ? p.panel : p.ink,
        backgroundColor: main ? p.ink : p.panel,
        fontFamily: FONTS.medium,
        fontSize: 15,
        textDecoration: 'none',
      },
    },
    name,
  );
}
