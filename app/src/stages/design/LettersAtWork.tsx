import { useLettersSet } from './useLettersSet';
import { useNamesSet } from './useNamesSet';

/** Sets the letters and names of the open ticket wherever it is looked at; nothing of it is seen. */
export function LettersAtWork() {
  useLettersSet();
  useNamesSet();
  return null;
}
