import type { DisplayUnits } from '@zt/core/base/units/length';
import { createContext, useContext } from 'react';

/** A length in the hand: what the tape keypad shows, and where its keys go. */
export interface InHand {
  label: string;
  text: string;
  /** Why it cannot be taken as it stands; null where it can. */
  why: string | null;
  units: DisplayUnits;
  /** Changes what stands there now, which may be more than is shown yet. */
  onKey: (changed: (text: string) => string) => void;
  /** Takes it, and puts the keypad away. */
  onDone: () => void;
  /** The letters of the device's own keyboard in place of the keypad. */
  onLetters: () => void;
}

/** Where a field lends its length to the keypad; null takes it back. */
export const KeypadContext = createContext<(inHand: InHand | null) => void>(() => undefined);
export const useKeypad = () => useContext(KeypadContext);
