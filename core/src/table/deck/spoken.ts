import type { DisplayUnits } from '../../base/units/length';
import { say } from '../../base/units/phrase';
import type { Step } from './step';

/** Signs that a voice would spell or leave out, as words. */
const ALOUD: readonly [RegExp, string][] = [
  [/(\d) in\b/g, '$1 inches'],
  [/(\d) mm\b/g, '$1 millimetres'],
  [/(\d) m\b/g, '$1 metres'],
  [/(\d) min\b/g, '$1 minutes'],
  [/ × /g, ' by '],
  [/°/g, ' degrees'],
  [/−(?=\d)/g, 'minus '],
];

/** A step as it is read aloud: what to do, its figure, and its caution; signs in words. */
export function spoken({ text, figure, hint, caution }: Step, units: DisplayUnits): string {
  const said = [text, ...(figure ? [[figure]] : []), ...(hint ? [hint] : []), ...(caution ? [caution] : [])]
    .map((phrase) => say(phrase, units).replace(/[.:]?$/, '.'))
    .join(' ');
  return ALOUD.reduce((words, [sign, word]) => words.replace(sign, word), said);
}
