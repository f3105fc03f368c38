import { useEffect } from 'react';
import './page.css';
import { keepFocus } from './focus';
import { followControlKeys } from './keys';

/** What a page needs so that everybody can work it: keys on every control, a ring that shows, a focus that stays. */
export function useEveryone(): void {
  useEffect(followControlKeys, []);
  useEffect(keepFocus, []);
}
