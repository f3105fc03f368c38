import { useStitchesMade } from '../../stitches/useStitchesMade';
import { useDrawingsRead } from './useDrawingsRead';
import { useLettersSet } from './useLettersSet';
import { useNamesSet } from './useNamesSet';

/** Sets the letters and names of the open ticket, reads its drawings and makes its stitches, wherever it is looked at; nothing of it is seen. */
export function PartsAtWork() {
  useLettersSet();
  useNamesSet();
  useDrawingsRead();
  useStitchesMade();
  return null;
}
