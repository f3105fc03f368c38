import { useRouter } from 'expo-router';
import { useEffect } from 'react';

/** The keyboard outside a ticket: n starts a piece, / goes to the search, ? shows the keys. */
export function useBenchKeys(): void {
  const router = useRouter();
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)) return;
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
