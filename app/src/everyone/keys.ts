const CONTROL =
  'input, textarea, select, button, a[href], [contenteditable], [role=button], [role=link], [role=radio], [role=checkbox]';

/** Whether a key was pressed on something that has keys of its own, and means that. */
export const isOnControl = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(CONTROL) !== null;

const NAME = 'single-letter-keys';

/** Whether keys of one letter do something by themselves here; a person who speaks to the browser turns them off. */
export const lettersAct = (): boolean => localStorage.getItem(NAME) !== 'off';
export const setLettersAct = (act: boolean): void => localStorage.setItem(NAME, act ? 'on' : 'off');

const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** Goes to the next one of a few, or the one before, and chooses it. */
function chooseNext(radio: HTMLElement, by: number): void {
  const group = radio.closest('[role=radiogroup]');
  const all = [...(group?.querySelectorAll<HTMLElement>('[role=radio]:not([aria-disabled=true])') ?? [])];
  const next = all[(all.indexOf(radio) + by + all.length) % all.length];
  next?.focus();
  next?.click();
}

/**
 * The keys of choices and ticks, which the platform's pressable does not know: space presses one, arrows go from one
 * answer of a group to the next. Returns its end.
 */
export function followControlKeys(): () => void {
  const down = (event: KeyboardEvent) => {
    const { target, key } = event;
    if (!(target instanceof HTMLElement) || event.ctrlKey || event.metaKey || event.altKey) return;
    const role = target.getAttribute('role');
    const by = STEPS[key];
    if (key === ' ' && (role === 'radio' || role === 'checkbox')) target.click();
    else if (by !== undefined && role === 'radio') chooseNext(target, by);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  window.addEventListener('keydown', down, { capture: true });
  return () => window.removeEventListener('keydown', down, { capture: true });
}
