import type { Finding } from '../findings/finding';
import { type Phrase, phrase } from '../units/phrase';
import type { LayerFacts } from './facts';
import { STABILIZERS } from './materials';
import type { Sheet } from './schema';

interface Never {
  code: string;
  when: (stack: Stack, facts: LayerFacts) => boolean;
  text: Phrase;
  /** The school under which it is only a warning. */
  warnsUnder?: { question: 'wearableBacking'; id: string };
}

export interface Stack {
  sheets: readonly Sheet[];
  topper: string;
  cover: string;
}

const some = (stack: Stack, test: (sheet: (typeof STABILIZERS)[Sheet['stabilizer']]) => boolean) =>
  stack.sheets.some((s) => test(STABILIZERS[s.stabilizer]));

/** What must never be, whatever the school. */
const NEVERS: readonly Never[] = [
  {
    code: 'never-sticky-on-skin',
    when: (s, f) =>
      f.worn && s.cover === 'none' && some(s, (x) => x.grade === 'sticky' && x.family === 'tear-away'),
    text: phrase`A sticky tear-away leaves tack against the skin.`,
  },
  {
    code: 'never-iron',
    when: (s, f) =>
      f.iron === 'no' &&
      (s.topper === 'heat-away-film' || s.cover === 'soft-cover' || s.sheets.some((x) => x.hold === 'fused')),
    text: phrase`This cloth takes no iron: nothing may be fused, and no film ironed away.`,
  },
  {
    code: 'never-wet',
    when: (s, f) =>
      !f.mayGetWet &&
      (s.topper === 'soluble-film' || some(s, (x) => x.family === 'wash-away' || x.family === 'dissolving')),
    text: phrase`This cloth must stay dry: nothing that has to be washed out.`,
  },
  {
    code: 'never-wash-away-alone',
    when: (s, f) =>
      f.knit &&
      f.rank >= 2 &&
      s.sheets.length > 0 &&
      s.sheets.every((x) => STABILIZERS[x.stabilizer].family === 'wash-away'),
    text: phrase`Wash-away alone under a dense design on a knit: after the first wash nothing holds it.`,
    warnsUnder: { question: 'wearableBacking', id: 'washAway' },
  },
  {
    code: 'never-unsupported-knit',
    when: (s, f) => f.knit && s.sheets.length === 0,
    text: phrase`A knit without support puckers.`,
  },
];

const onlyWarns = (never: Never, facts: LayerFacts): boolean =>
  never.warnsUnder !== undefined && facts.schools[never.warnsUnder.question] === never.warnsUnder.id;

/** Whether a stack breaks a never that no school allows. */
export const breaksNever = (stack: Stack, facts: LayerFacts): boolean =>
  NEVERS.some((never) => !onlyWarns(never, facts) && never.when(stack, facts));

/** The nevers a stack breaks; mends put the proposed stack back. */
export function neverFindings(stack: Stack, facts: LayerFacts, overruled: boolean): Finding[] {
  return NEVERS.filter((never) => never.when(stack, facts)).map((never) => ({
    code: never.code,
    stage: 'layers',
    severity: onlyWarns(never, facts) ? 'warn' : 'stop',
    text: never.text,
    mends: overruled
      ? [
          {
            label: phrase`Back to the proposal`,
            result: phrase`every layer as the rules have it`,
            change: { stage: 'layers', set: { support: null, choices: {} } },
          },
        ]
      : [],
  }));
}
