import { useDrawingsRead } from './useDrawingsRead';
import { useLettersSet } from './useLettersSet';
import { useNamesSet } from './useNamesSet';

/** Sets the letters and names of the open ticket, and reads its drawings, wherever it is looked at; nothing of it is seen. */
export function PartsAtWork() {
  useLettersSet();
  useNamesSet();
  useDrawingsRead();
  return null;
}
