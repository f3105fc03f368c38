import { add, type Point, rotate } from '../../base/geometry/point';
import { count, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import { type Finding, finding } from '../../model/finding';
import type { Method } from '../../model/ticket/hoop';
import { densityRank } from '../design/designFacts';
import { isKnit } from '../piece/isKnit';
import { type Miss, whyDesignDoesNotFit } from './fit';
import { fieldOf, missInWords, whyNotClosed } from './judgeHoop';
import { factsInHoop, type LaidHoop } from './layHoop';
import { rescuesFor } from './rescues';
import { floatRescue, hoopRescue, wholeRescue } from './rescues/method';
import type { HoopState } from './rescues/rescue';
import type { HoopSetting } from './setting';

/** The state of a hoop that was chosen. */
type Chosen = HoopState & { laid: LaidHoop };

/** The design's point that reaches farthest past the field, in the piece frame. */
function farthestOut(laid: LaidHoop, setting: HoopSetting): Point {
  const { fieldWidthMm, fieldHeightMm } = laid.verdict.hoop;
  let worst = { past: -Infinity, at: setting.designCentre };
  for (const point of setting.facts.hull) {
    const inHoop = add(rotate(point, -laid.turnDeg), laid.designAt);
    const past = Math.max(Math.abs(inHoop.x) - fieldWidthMm / 2, Math.abs(inHoop.y) - fieldHeightMm / 2);
    if (past > worst.past)
      worst = { past, at: add(setting.designCentre, rotate(point, setting.designTurnDeg)) };
  }
  return worst.at;
}

/** The design where it lies in its hoop, against the field: what is too large in all, or past it on one side. */
function missedText({ verdict, designAt, turnDeg }: LaidHoop, miss: Miss, largest: string | null): Phrase {
  const centred = verdict.turns.find((t) => t.turnDeg === turnDeg)?.miss;
  const { name, round } = verdict.hoop;
  const what = largest === null ? 'The design' : `With “${largest}” the design`;
  if (centred && Math.hypot(designAt.x, designAt.y) < 0.5)
    return phrase`${what} is ${missInWords(centred, round)} for the field of ${name}.`;
  const ways = [
    ...(miss.widthMm > 0 ? [phrase`${mm(miss.widthMm)} at one side`] : []),
    ...(miss.heightMm > 0 && !round ? [phrase`${mm(miss.heightMm)} at its top or foot`] : []),
  ];
  return phrase`${what} reaches past the field of ${name}: ${ways.flatMap((way, i) => (i === 0 ? way : [', ', ...way]))}.`;
}

/** Shrinking that would be needed goes past what a design stands: said, since no button may do it. */
function tooFarToShrink({ laid: { verdict }, setting }: Chosen): Finding[] {
  const to = Math.floor(verdict.largestScale * setting.design.scalePercent);
  const least = numberFor(setting.rules, DESIGN_NUMBERS.resizeLeastPercent);
  if (verdict.fits || to >= least) return [];
  return [
    finding(
      'hoop',
      'hoop-shrink-too-far',
      'note',
      phrase`${verdict.hoop.name} would need it shrunk to ${percent(to)}, below ${percent(least)}: get the design in that size.`,
    ),
  ];
}

/** Why the hoop as it lies cannot stitch the design, each with the ways out of it. */
export function fitFindings(state: Chosen): Finding[] {
  const { laid, method, setting } = state;
  const { verdict } = laid;
  const miss = whyDesignDoesNotFit(factsInHoop(setting.facts, laid).hull, fieldOf(verdict.hoop), {
    turnDeg: -laid.turnDeg,
    ...laid.designAt,
  });
  const why = laid.split ? whyNotClosed(verdict.hoop, setting) : verdict.whyNotHooped;
  const whyOpen = method === 'hooped' ? why[0] : undefined;
  const partOpen = method === 'hooped' && !whyOpen && laid.split !== null && !laid.split.lies;
  if (!miss && !verdict.whyNotUsed && !whyOpen && !partOpen) return [];
  const rescues = rescuesFor(state);
  const found: Finding[] = [];
  if (miss)
    found.push(
      finding('hoop', 'hoop-misses', 'stop', missedText(laid, miss, setting.largest ?? null), {
        at: farthestOut(laid, setting),
        mends: rescues.from('misses'),
      }),
      ...tooFarToShrink(state),
    );
  if (verdict.whyNotUsed)
    found.push(
      finding('hoop', 'hoop-opening', 'stop', phrase`${verdict.hoop.name} ${verdict.whyNotUsed}.`, {
        mends: rescues.from('opening'),
      }),
    );
  if (whyOpen)
    found.push(
      finding(
        'hoop',
        'hoop-cannot-close',
        'stop',
        phrase`${verdict.hoop.name} cannot be closed here: ${whyOpen}.`,
        {
          mends: [floatRescue(), ...rescues.from('closing')],
        },
      ),
    );
  if (partOpen)
    found.push(
      finding(
        'hoop',
        'hoop-part-cannot-close',
        'stop',
        phrase`${verdict.hoop.name} does not lie clear of seams and bands for every part.`,
        { mends: [floatRescue()] },
      ),
    );
  return found;
}

/** What stands of a split: how many hoopings, in which order, or that it is not needed. */
export function splitFindings({ split }: LaidHoop): Finding[] {
  if (!split) return [];
  const { parts, overlapMm, byPositions, crosses } = split.split;
  const whole = [wholeRescue()];
  if (parts.length === 1)
    return [
      finding('hoop', 'hoop-split-needless', 'note', phrase`It fits this hoop whole.`, { mends: whole }),
    ];
  const text = byPositions
    ? phrase`Stitched in ${count(parts.length)} places of this hoop, overlapping ${mm(overlapMm)}: the ring stays on the cloth.`
    : phrase`Stitched in ${count(parts.length)} hoopings, overlapping ${mm(overlapMm)}, with ${count(crosses.length)} registration crosses.`;
  return [finding('hoop', 'hoop-split', 'note', text, { mends: whole })];
}

/** A heavy design floated on a knit. */
export function methodFindings(method: Method, laid: LaidHoop | null, setting: HoopSetting): Finding[] {
  if (
    method !== 'floated' ||
    !isKnit(setting.fabric, setting.rules) ||
    densityRank(setting.facts.densityClass) < 3
  )
    return [];
  const canHoop = laid?.verdict.whyNotHooped.length === 0;
  return [
    finding(
      'hoop',
      'hoop-float-puckers',
      'warn',
      phrase`A ${setting.facts.densityClass} design floated on a knit with ${percent(setting.fabric.stretchPercent)} stretch puckers. Baste it at the very least.`,
      { mends: canHoop ? [hoopRescue()] : [] },
    ),
  ];
}

/** No hoop of the shelf takes the design. */
export function nothingFits(state: Omit<HoopState, 'laid'>): Finding {
  const [nearest] = state.verdicts;
  if (!nearest)
    return finding(
      'hoop',
      'hoop-none',
      'next',
      phrase`Which hoops do you have? There is none on the shelf yet.`,
    );
  return finding(
    'hoop',
    'hoop-none-fits',
    'stop',
    phrase`No hoop on the shelf takes this design. Nearest: ${nearest.hoop.name}. ${nearest.line}`,
    {
      mends: rescuesFor({ ...state, laid: null }, nearest).from('misses'),
    },
  );
}
