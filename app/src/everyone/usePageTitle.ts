import { useIsFocused } from 'expo-router';
import { useEffect } from 'react';

const APP = 'Zealous Thimble';

/** What the page is called in the browser's own list of pages, and said first to those who listen. */
export function usePageTitle(title: string): void {
  const isShown = useIsFocused();
  useEffect(() => {
    // The router names a page as it comes in sight: this is said after it.
    const frame = requestAnimationFrame(() => {
      if (isShown) document.title = `${title} · ${APP}`;
    });
    return () => cancelAnimationFrame(frame);
  }, [isShown, title]);
}
