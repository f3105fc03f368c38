import { type Phrase, phrase } from '../../base/units/phrase';
import { STABILIZERS } from '../../catalogue/materials';
import type { Finding, Mend, Severity } from '../../model/finding';
import { type LayersInput, type Sheet, withChoice } from '../../model/ticket/layers';
import type { LayerFacts } from './facts';

interface Never {
  code: string;
  /** How grave it is on a stack; null where it does not speak. A stop must never be proposed. */
  severity: (stack: Stack, facts: LayerFacts) => Exclude<Severity, 'note'> | null;
  text: Phrase;
  /** Ways out beside the proposal. */
  mends?: (input: LayersInput) => Mend[];
}

export interface Stack {
  sheets: readonly Sheet[];
  topper: string;
  cover: string;
  trim: string;
}

const some = (stack: Stack, test: (sheet: (typeof STABILIZERS)[Sheet['stabilizer']]) => boolean) =>
  stack.sheets.some((s) => test(STABILIZERS[s.stabilizer]));

const stopIf = (bad: boolean) => (bad ? 'stop' : null);

/** A sticky tear-away of which what comes off leaves tack; a sheet below it keeps that off the skin for a while. */
function stickyOnSkin(stack: Stack, facts: LayerFacts): 'stop' | 'warn' | null {
  if (!facts.againstSkin || stack.cover !== 'none' || stack.trim === 'tear-all') return null;
  const at = stack.sheets.findIndex(({ stabilizer }) => {
    const { grade, family } = STABILIZERS[stabilizer];
    return grade === 'sticky' && family === 'tear-away';
  });
  if (at < 0) return null;
  return stack.sheets.slice(at + 1).some((s) => STABILIZERS[s.stabilizer].staysIn) ? 'warn' : 'stop';
}

const offTheSkin = ({ choices }: LayersInput): Mend[] => [
  {
    label: phrase`Tear it out to the last bit`,
    result: phrase`trim: tear out everything that comes`,
    change: {
      stage: 'layers',
      set: { choices: withChoice(choices, 'trim', 'tear-all', 'the sticky sheet comes off the skin side') },
    },
  },
  {
    label: phrase`Cover the back`,
    result: phrase`a soft cover between tack and skin`,
    change: {
      stage: 'layers',
      set: { choices: withChoice(choices, 'cover', 'soft-cover', 'over the tack of the sticky sheet') },
    },
  },
];

/** What must never be, whatever the school. */
const NEVERS: readonly Never[] = [
  {
    code: 'never-sticky-on-skin',
    severity: stickyOnSkin,
    text: phrase`A sticky tear-away leaves tack against the skin, until it is torn out or covered.`,
    mends: offTheSkin,
  },
  {
    code: 'never-iron',
    severity: (s, f) =>
      stopIf(
        f.iron === 'no' &&
          (s.topper === 'heat-away-film' ||
            s.cover === 'soft-cover' ||
            s.sheets.some((x) => x.bond === 'fused')),
      ),
    text: phrase`This cloth takes no iron: nothing may be fused, and no film ironed away.`,
  },
  {
    code: 'never-wet',
    severity: (s, f) =>
      stopIf(
        !f.mayGetWet &&
          (s.topper === 'soluble-film' ||
            some(s, (x) => x.family === 'wash-away' || x.family === 'dissolving')),
      ),
    text: phrase`This cloth must stay dry: nothing that has to be washed out.`,
  },
  {
    code: 'never-wash-away-alone',
    severity: (s, f) => {
      const alone =
        f.knit &&
        f.rank >= 2 &&
        s.sheets.length > 0 &&
        s.sheets.every((x) => STABILIZERS[x.stabilizer].family === 'wash-away');
      if (!alone) return null;
      return f.schools.wearableBacking === 'washAway' ? 'warn' : 'stop';
    },
    text: phrase`Wash-away alone under a dense design on a knit: after the first wash nothing holds it.`,
  },
  {
    code: 'never-unsupported-knit',
    severity: (s, f) => stopIf(f.knit && s.sheets.length === 0),
    text: phrase`A knit without support puckers.`,
  },
];

/** Whether a stack breaks a never that no school allows. */
export const breaksNever = (stack: Stack, facts: LayerFacts): boolean =>
  NEVERS.some((never) => never.severity(stack, facts) === 'stop');

const BACK_TO_PROPOSAL: Mend = {
  label: phrase`Back to the proposal`,
  result: phrase`every layer as the rules have it`,
  change: { stage: 'layers', set: { support: null, choices: {} } },
};

/** The nevers a stack breaks, with the ways out that leave fewer broken; the proposal where the maker overruled it. */
export function neverFindings(stack: Stack, facts: LayerFacts, input: LayersInput): Finding[] {
  const overruled = input.support !== null || Object.keys(input.choices).length > 0;
  return NEVERS.flatMap(({ code, severity, text, mends }): Finding[] => {
    const grave = severity(stack, facts);
    if (!grave) return [];
    const usable = (mends?.(input) ?? []).filter((mend) => !isCoverOnColdCloth(mend, facts));
    return [
      {
        code,
        stage: 'layers',
        severity: grave,
        text,
        mends: [...usable, ...(overruled ? [BACK_TO_PROPOSAL] : [])],
      },
    ];
  });
}

/** A soft cover is fused on: on cloth that takes no iron it is no way out. */
const isCoverOnColdCloth = ({ change }: Mend, { iron }: LayerFacts): boolean =>
  iron === 'no' && change.stage === 'layers' && change.set.choices?.cover?.choice === 'soft-cover';
