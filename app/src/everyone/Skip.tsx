import { createElement } from 'react';
import { focusOn } from './focus';

/** The last of what is seen: pages that were left stay in the document, out of sight. */
const shown = (selector: string): HTMLElement | null =>
  [...document.querySelectorAll<HTMLElement>(selector)].filter((e) => e.getClientRects().length > 0).at(-1) ??
  null;

const WAYS = [
  { words: 'Skip to the work', to: () => shown('[role=region]') ?? shown('[role=main]') },
  {
    words: 'Skip to what is next',
    to: () => shown('[data-testid=foot] [role=button]:not([aria-disabled=true])'),
  },
] as const;

/** The first things that Tab comes to, seen only then: past what stands at the top of every page. */
export function Skip() {
  return createElement(
    'nav',
    { 'aria-label': 'Skip', className: 'skip' },
    WAYS.map(({ words, to }) =>
      createElement(
        'a',
        {
          key: words,
          href: '#work',
          onClick: (event: Event) => {
            event.preventDefault();
            focusOn(to());
          },
        },
        words,
      ),
    ),
  );
}
