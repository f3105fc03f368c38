import { densityRank } from '../design/planDesign';
import { type Finding, finding } from '../findings/finding';
import { type Point, plus, turn } from '../geometry/point';
import { isKnit } from '../piece/isKnit';
import { numberFor } from '../rules/numbers';
import { count, mm, type Phrase, percent, phrase } from '../units/phrase';
import { type Miss, whyDesignDoesNotFit } from './fit';
import { fieldOf, type HoopQuestion, type HoopVerdict, whyNotClosed } from './judgeHoop';
import { factsInHoop, type LaidHoop } from './layHoop';
import { floatRescue, hoopRescue, type RescueQuestion, rescuesFor, wholeRescue } from './rescues';
import type { HoopInput, Method } from './schema';

/** What the findings of a hoop speak of. */
export interface HoopTrouble {
  laid: LaidHoop;
  verdicts: readonly HoopVerdict[];
  method: Method;
  input: HoopInput;
  q: HoopQuestion;
  rescue: Pick<RescueQuestion, 'scalePercent' | 'artwork' | 'offset'>;
}

/** The design's point that reaches farthest past the field, in the piece frame. */
function farthestOut(laid: LaidHoop, q: HoopQuestion): Point {
  const { fieldWidthMm, fieldHeightMm } = laid.verdict.hoop;
  let worst = { past: -Infinity, at: q.designCentre };
  for (const point of q.facts.hull) {
    const inHoop = plus(turn(point, -laid.turnDeg), laid.designAt);
    const past = Math.max(Math.abs(inHoop.x) - fieldWidthMm / 2, Math.abs(inHoop.y) - fieldHeightMm / 2);
    if (past > worst.past) worst = { past, at: plus(q.designCentre, turn(point, q.designTurnDeg)) };
  }
  return worst.at;
}

function missInWords({ widthMm, heightMm }: Miss): Phrase {
  if (widthMm > 0 && heightMm > 0) return phrase`${mm(widthMm)} in width and ${mm(heightMm)} in height`;
  return widthMm > 0 ? phrase`${mm(widthMm)} in width` : phrase`${mm(heightMm)} in height`;
}

/** Shrinking that would be needed goes past what a design stands: said, since no button may do it. */
function tooFarToShrink({ laid: { verdict }, q, rescue }: HoopTrouble): Finding[] {
  const to = Math.floor(verdict.largestScale * rescue.scalePercent);
  const least = numberFor(q.rules, 'resizeLeastPercent');
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
export function fitFindings(trouble: HoopTrouble): Finding[] {
  const { laid, method, q } = trouble;
  const { verdict } = laid;
  const miss = whyDesignDoesNotFit(factsInHoop(q.facts, laid).hull, fieldOf(verdict.hoop), {
    turnDeg: -laid.turnDeg,
    ...laid.designAt,
  });
  const why = laid.split ? whyNotClosed(verdict.hoop, q) : verdict.whyNotHooped;
  const whyOpen = method === 'hooped' ? why[0] : undefined;
  const partOpen = method === 'hooped' && !whyOpen && laid.split !== null && !laid.split.lies;
  if (!miss && !verdict.whyNotUsed && !whyOpen && !partOpen) return [];
  const mends = rescuesFor({ ...trouble, ...trouble.rescue });
  const found: Finding[] = [];
  if (miss)
    found.push(
      finding(
        'hoop',
        'hoop-misses',
        'stop',
        phrase`The design reaches past the field of ${verdict.hoop.name} by ${missInWords(miss)}, on one side.`,
        { at: farthestOut(laid, q), mends },
      ),
      ...tooFarToShrink(trouble),
    );
  if (verdict.whyNotUsed)
    found.push(
      finding('hoop', 'hoop-opening', 'stop', phrase`${verdict.hoop.name} ${verdict.whyNotUsed}.`, { mends }),
    );
  if (whyOpen)
    found.push(
      finding(
        'hoop',
        'hoop-cannot-close',
        'stop',
        phrase`${verdict.hoop.name} cannot be closed here: ${whyOpen}.`,
        {
          mends: [floatRescue(), ...mends],
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
        { mends: [floatRescue(), ...mends] },
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
export function methodFindings(method: Method, laid: LaidHoop | null, q: HoopQuestion): Finding[] {
  if (method !== 'floated' || !isKnit(q.fabric, q.rules) || densityRank(q.facts.densityClass) < 3) return [];
  const canHoop = laid?.verdict.whyNotHooped.length === 0;
  return [
    finding(
      'hoop',
      'hoop-float-puckers',
      'warn',
      phrase`A ${q.facts.densityClass} design floated on a knit with ${percent(q.fabric.stretchPercent)} stretch puckers. Baste it at the very least.`,
      { mends: canHoop ? [hoopRescue()] : [] },
    ),
  ];
}

/** No hoop of the shelf takes the design. */
export function nothingFits(trouble: Omit<HoopTrouble, 'laid'>): Finding {
  const [nearest] = trouble.verdicts;
  if (!nearest) return finding('hoop', 'hoop-none', 'stop', phrase`There is no hoop on the shelf yet.`);
  return finding(
    'hoop',
    'hoop-none-fits',
    'stop',
    phrase`No hoop on the shelf takes this design. Nearest: ${nearest.hoop.name}. ${nearest.line}`,
    { mends: rescuesFor({ ...trouble, ...trouble.rescue, laid: null, nearest }) },
  );
}
