import { STABILIZERS } from '../../catalogue/materials';
import {
  RISK_LEVELS,
  RISK_WEIGHTS,
  RISKS,
  type Risk,
  type RiskLevel,
  type RiskWeightId,
} from '../../catalogue/riskWeights';
import type { Sheet } from '../../model/ticket/layers';
import type { LayerFacts } from './facts';
import type { Stack } from './never';
import { does } from './placing';

/** One thing that adds to a risk, or takes from it. */
export interface RiskPart {
  weight: RiskWeightId;
  points: number;
  reason: string;
}

/** How a stack stands in one way of going wrong: points of 100, and what makes them up. */
export interface RiskBar {
  risk: Risk;
  points: number;
  level: RiskLevel;
  parts: RiskPart[];
}

/** How often a weight counts for a stack on a cloth; 0 where it does not. */
type Counted = [RiskWeightId, (facts: LayerFacts, stack: Stack) => number];

const yes = (value: boolean): number => (value ? 1 : 0);
const sheetsThat = (stack: Stack, test: (sheet: Sheet) => boolean): number =>
  stack.sheets.filter(test).length;
const stays = (s: Sheet): boolean => STABILIZERS[s.stabilizer].staysIn;
const isMesh = (s: Sheet): boolean => s.stabilizer === 'mesh' || s.stabilizer === 'mesh-fusible';
const bondedBy = (bond: Sheet['bond']) => (_: LayerFacts, stack: Stack) =>
  yes(stack.sheets.some((s) => s.bond === bond));
const fastenedBy = (fastening: Sheet['fastening']) => (_: LayerFacts, stack: Stack) =>
  yes(stack.sheets.some((s) => s.fastening === fastening));
const onSkin = (f: LayerFacts): boolean => f.againstSkin;

/** What counts towards each risk. */
const COUNTED: Record<Risk, readonly Counted[]> = {
  puckering: [
    ['stretchPucker', (f) => (f.structure === 'no cloth' ? 0 : f.stretchPercent)],
    ['densityPucker', (f) => f.rank],
    ['manyPucker', (f) => yes(f.many)],
    ['floatPucker', (f) => yes(f.floated)],
    ['staysPucker', (_, s) => sheetsThat(s, stays)],
    ['leavesPucker', (_, s) => sheetsThat(s, (x) => !stays(x))],
    ['fusedPucker', (_, s) => yes(s.sheets.some((x) => x.bond === 'fused'))],
  ],
  sinking: [
    ['loopsSink', (f) => yes(f.looped)],
    ['openSink', (f) => yes(f.structure === 'open weave')],
    ['textureSink', (f) => yes(f.textured && !f.looped && f.structure !== 'open weave')],
    ['openDesignSink', (f) => yes(f.rank <= 1 && (f.looped || f.textured))],
    ['topperSink', (_, s) => yes(s.topper !== 'none')],
  ],
  'show-through': [
    ['edgeShows', (f, s) => yes(f.seeThrough && s.sheets.some((x) => stays(x) && !isMesh(x)))],
    ['meshShows', (f, s) => yes(f.seeThrough && s.sheets.some(isMesh))],
    ['groundShows', (f) => yes(f.strongContrast && (f.looped || f.dark))],
    ['filmHides', (_, s) => yes(s.topper === 'permanent-film')],
  ],
  shifting: [
    ['floatShifts', (f) => yes(f.floated)],
    ['hoopedShifts', (f) => yes(!f.floated)],
    ['stretchShifts', (f) => f.stretchPercent],
    ['nothingShifts', (_, s) => yes(s.sheets.length === 0)],
    ['fusedHolds', bondedBy('fused')],
    ['stickyHolds', bondedBy('sticky')],
    ['sprayHolds', bondedBy('sprayed')],
    ['bastingHolds', fastenedBy('basting box')],
    ['pinsHold', fastenedBy('pins')],
    ['tapeHolds', fastenedBy('tape')],
  ],
  'ring marks': [
    ['ringMarks', (f) => yes(!f.floated && f.ringMarks)],
    ['ringMarksLittle', (f) => yes(!f.floated && !f.ringMarks && f.structure !== 'no cloth')],
    ['flatRing', (f) => yes(!f.floated && f.flatRing)],
  ],
  stiffness: [
    ['staysStiff', (_, s) => sheetsThat(s, (x) => stays(x) && !isMesh(x))],
    ['meshStiff', (_, s) => sheetsThat(s, isMesh)],
    ['leavesStiff', (_, s) => sheetsThat(s, (x) => !stays(x))],
    ['densityStiff', (f) => f.rank],
    ['drapeStiff', (f) => yes(f.drapes && f.rank >= 2)],
  ],
  skin: [
    ['backSkin', (f) => yes(onSkin(f))],
    [
      'stickySkin',
      (f, s) =>
        yes(
          onSkin(f) &&
            s.trim !== 'tear-all' &&
            s.sheets.some(
              (x) => STABILIZERS[x.stabilizer].grade === 'sticky' && !does(x.stabilizer, 'vanishes'),
            ),
        ),
    ],
    ['edgeSkin', (f, s) => yes(onSkin(f) && s.sheets.some((x) => stays(x) && !isMesh(x)))],
    ['youngSkin', (f) => yes(onSkin(f) && f.young)],
    ['coverSkin', (f, s) => yes(onSkin(f) && s.cover !== 'none')],
  ],
};

/**
 * The risks of a stack on a cloth under a design, each 0 to 100 with what makes it up. A model for ordering stacks
 * by (weights in `riskWeights.ts`, each with its reason), not a forecast.
 */
export function risksOf(facts: LayerFacts, stack: Stack): RiskBar[] {
  return RISKS.map((risk) => {
    const parts = COUNTED[risk].flatMap(([weight, times]): RiskPart[] => {
      const count = times(facts, stack);
      const { points, reason } = RISK_WEIGHTS[weight];
      return count === 0 ? [] : [{ weight, points: points * count, reason }];
    });
    const sum = parts.reduce((total, part) => total + part.points, 0);
    const points = Math.min(100, Math.max(0, sum));
    const level = RISK_LEVELS.find(({ from }) => points >= from)?.level ?? 'low';
    return { risk, points, level, parts };
  });
}

/** The sum of all risks of a stack, each 0 to 100: what stacks are ordered by. The same sum as over `risksOf`. */
export function riskSum(facts: LayerFacts, stack: Stack): number {
  let sum = 0;
  for (const risk of RISKS) {
    let points = 0;
    for (const [weight, times] of COUNTED[risk]) points += RISK_WEIGHTS[weight].points * times(facts, stack);
    sum += Math.min(100, Math.max(0, points));
  }
  return sum;
}
