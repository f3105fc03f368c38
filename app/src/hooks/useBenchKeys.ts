import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { isOnControl, lettersAct } from '../everyone/keys';

/** The keyboard outside a ticket: n starts a piece, / goes to the search, ? shows the keys; unless they are off. */
export function useBenchKeys(): void {
  const router = useRouter();
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (isOnControl(event.target) || !lettersAct()) return;
      if (event.key === 'n') router.push('/new');
      else if (event.key === '?') router.push('/keys');
      else if (event.key === '/')
        document.querySelector<HTMLInputElement>('input[aria-label="Find a ticket"]')?.focus();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [router]);
}
