import { count, type Phrase, phrase } from '../../base/units/phrase';
import { type Finding, finding, type Mend } from '../../model/finding';
import type { Method } from '../../model/ticket/hoop';
import { METHODS } from '../../model/ticket/hoop';
import { CHOICE_IDS, type LayersInput, type Sheet, withChoice } from '../../model/ticket/layers';
import { type LogInput, TRIED, type Trial, type Tried, worstFault } from '../../model/ticket/log';

/** What a plan has of everything that can be tried. */
export interface AsItIs {
  method: Method;
  sheets: readonly Sheet[];
  topper: string;
  needle: string;
}

const sheetWords = (sheets: readonly Sheet[]): string =>
  sheets.map(({ stabilizer, bond }) => (bond === 'none' ? stabilizer : `${stabilizer} ${bond}`)).join(' + ');

/** Everything that can be tried, by its ids. */
export const triedAs = ({ method, sheets, topper, needle }: AsItIs): Record<Tried, string> => ({
  support: sheetWords(sheets),
  method,
  topper,
  needle,
});

const NAMES: Record<Tried, string> = {
  support: 'support',
  method: 'way of holding it',
  topper: 'topper',
  needle: 'needle',
};

/** Puts one thing back to what it was; none for a support, of which only the words are kept. */
function putBack(tried: Tried, kept: string, layers: LayersInput): Mend[] {
  const label = phrase`Put the ${NAMES[tried]} back`;
  const result = phrase`one thing is tried, and all else is as it was`;
  if (tried === 'method') {
    const method = METHODS.find((one) => one === kept);
    return method
      ? [{ label, result, change: { stage: 'hoop', set: { method, methodWhy: 'tried by itself' } } }]
      : [];
  }
  if (tried === 'support' || !(CHOICE_IDS[tried] as readonly string[]).includes(kept)) return [];
  const choices = withChoice(layers.choices, tried, kept, 'tried by itself');
  return [{ label, result, change: { stage: 'layers', set: { choices } } }];
}

/** Whether one thing alone is tried: what else is other than it was teaches nothing of either. */
export function trialFindings(trial: Trial | null, now: AsItIs, layers: LayersInput): Finding[] {
  if (!trial) return [];
  const is = triedAs(now);
  const others = TRIED.filter((tried) => tried !== trial.tried && is[tried] !== trial.kept[tried]);
  const changed = is[trial.tried] !== trial.kept[trial.tried];
  const found = others.map((tried) =>
    finding(
      'log',
      `log-trial-${tried}`,
      'warn',
      phrase`${trial.is} is tried, and the ${NAMES[tried]} is another too: two things at once teach nothing of either.`,
      { mends: putBack(tried, trial.kept[tried] ?? '', layers) },
    ),
  );
  if (changed) return found;
  const text = phrase`${trial.is} was to be tried, and it is ${trial.was} again: nothing is tried.`;
  return [finding('log', 'log-trial-nothing', 'warn', text), ...found];
}

/** What is tried, and what would decide it. */
export function trialInWords({ was, is, name, clean, bad }: Trial): Phrase {
  const forIt =
    clean === null
      ? phrase`no number of clean ones would decide it`
      : phrase`${count(clean)} clean ${clean === 1 ? 'piece decides' : 'pieces decide'} for it`;
  const againstIt =
    bad === null ? phrase`` : phrase`, ${count(bad)} bad ${bad === 1 ? 'one' : 'ones'} against it`;
  return phrase`Tried for ${name || 'another ticket'}: ${is} in place of ${was}, all else as it was. ${forIt}${againstIt}.`;
}

/** What the pieces of a report answer to what was tried. */
export function trialAnswer(
  trial: Trial,
  { faults, others }: Pick<LogInput, 'faults' | 'others'>,
  pieces: number,
): Phrase {
  const badOthers = others.filter((one) => worstFault(one) > 0).length;
  const bad = worstFault({ faults }) > 0 ? pieces - others.length + badOthers : badOthers;
  const clean = pieces - bad;
  if (trial.bad !== null && bad >= trial.bad)
    return phrase`Answered: ${trial.was} stays; ${count(bad)} of ${count(pieces)} went wrong with ${trial.is}.`;
  if (trial.clean !== null && bad === 0 && clean >= trial.clean)
    return phrase`Answered: take ${trial.is}; ${count(clean)} came out clean.`;
  const more =
    trial.clean !== null && bad === 0
      ? phrase` ${count(trial.clean - clean)} more clean ones would decide it.`
      : phrase``;
  return phrase`Not decided yet: ${count(clean)} clean, ${count(bad)} bad with ${trial.is}.${more}`;
}
