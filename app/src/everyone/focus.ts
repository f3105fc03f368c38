/** Leads whoever works by keys, or listens, to a place that is not acted on itself. */
export function focusOn(place: HTMLElement | null): void {
  if (!place) return;
  if (!place.hasAttribute('tabindex')) place.setAttribute('tabindex', '-1');
  place.focus({ preventScroll: true });
}

const isShown = (element: Element): element is HTMLElement =>
  element instanceof HTMLElement && element.isConnected && element.getClientRects().length > 0;

const isLost = (element: HTMLElement): boolean =>
  !isShown(element) || element.matches(':disabled, [aria-disabled=true]');

const PLACES = '[role=group], [role=radiogroup], [role=list], [role=region], [role=main], [role=note]';

let hasActed = false;
/** Whether anything on this page was acted on: whoever only opened it begins at its top. */
export const hasBeenActedOn = (): boolean => hasActed;

/**
 * Keeps the focus near where it was when what had it goes away, or can be pressed no more: after a tap of "undo" that
 * was the last one, after logging, on another page. Without it the next key would begin at the top of the page.
 * Returns its end.
 */
export function keepFocus(): () => void {
  let path: HTMLElement[] = [];
  const took = ({ target }: FocusEvent) => {
    if (!(target instanceof HTMLElement) || target === document.body) return;
    hasActed = true;
    path = [target];
    for (let up = target.parentElement; up; up = up.parentElement) if (up.matches(PLACES)) path.push(up);
  };
  const look = () => {
    const [had] = path;
    const { activeElement } = document;
    const isElsewhere = activeElement !== null && activeElement !== document.body && activeElement !== had;
    if (!had || isElsewhere || !isLost(had)) return;
    const mains = [...document.querySelectorAll('[role=main]')].filter(isShown);
    focusOn(path.slice(1).find(isShown) ?? mains.at(-1) ?? null);
  };
  let frame = 0;
  const observer = new MutationObserver(() => {
    cancelAnimationFrame(frame);
    frame = requestAnimationFrame(look);
  });
  observer.observe(document.body, {
    childList: true,
    subtree: true,
    attributeFilter: ['disabled', 'aria-disabled'],
  });
  document.addEventListener('focusin', took);
  return () => {
    cancelAnimationFrame(frame);
    observer.disconnect();
    document.removeEventListener('focusin', took);
  };
}
