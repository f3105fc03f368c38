import { randomLcg, randomNormal } from 'd3-random';
import { FABRICS } from '../catalogue/fabrics';
import { FAULT_IDS, type FaultId } from '../model/faults';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import type { Method } from '../model/ticket/hoop';
import type { Sheet } from '../model/ticket/layers';
import { DENSITY_CLASSES } from '../model/ticket/part';
import type { Fabric } from '../model/ticket/piece';
import {
  type PieceConditions,
  type PieceRecord,
  type RiskPoints,
  riskPoints,
} from '../records/evidence/pieceRecord';
import { stackWord, stackWords } from '../records/evidence/stackWords';
import { layerFacts } from '../stages/layers/facts';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { sheet } from './samples';

/** One stack a shop works with. */
export interface ShopStack {
  sheets: Sheet[];
  topper: 'none' | 'soluble-film';
}
const STACKS: readonly ShopStack[] = [
  { sheets: [sheet('cut-away')], topper: 'none' },
  { sheets: [sheet('mesh-fusible', 'in the ring', 'fused')], topper: 'none' },
  { sheets: [sheet('mesh')], topper: 'none' },
  { sheets: [sheet('tear-away')], topper: 'none' },
  { sheets: [sheet('wash-away-cloth')], topper: 'none' },
  { sheets: [sheet('cut-away'), sheet('tear-away')], topper: 'none' },
  { sheets: [sheet('cut-away')], topper: 'soluble-film' },
  { sheets: [sheet('mesh')], topper: 'soluble-film' },
  { sheets: [sheet('tear-away')], topper: 'soluble-film' },
  { sheets: [sheet('cut-away', 'in the ring', 'sprayed')], topper: 'none' },
];
const CLOTHS = [
  'jersey-tee',
  'thin-jersey',
  'thick-tee',
  'pique-polo',
  'sweatshirt-fleece',
  'terry-towel',
  'linen',
];
/** Who makes how much of it, how often they float, and how much oftener things go wrong (log-odds). */
const MAKERS = [
  { who: 'Ottilie', share: 0.35, floats: 0.15, unskilled: -0.2 },
  { who: 'Runa', share: 0.3, floats: 0.2, unskilled: 0 },
  { who: 'Nils, learning', share: 0.2, floats: 0.85, unskilled: 1.1 },
  { who: '', share: 0.15, floats: 0.3, unskilled: 0.1 },
] as const;
const METHODS: readonly Method[] = ['hooped', 'floated'];
const BASE: Partial<Record<FaultId, number>> = {
  puckering: -2.6,
  gaps: -3,
  sinking: -3.4,
  'show-through': -4,
  'off-place': -3.6,
  nests: -4,
};

/** A cloth at a density, held one way, in one stack. */
export interface PlausibleCase {
  conditions: PieceConditions;
  risks: RiskPoints;
  stack: ShopStack;
}

export interface PlausibleShop {
  cases: readonly PlausibleCase[];
  /** So many pieces, logged one after another. */
  pieces: (n: number) => PieceRecord[];
  /** How often a trouble really is seen on a case in this shop, over all who work there. */
  truth: (of: PlausibleCase, trouble: FaultId | 'any') => number;
  stacks: readonly ShopStack[];
}

const chanceOf = (logOdds: number): number => 1 / (1 + Math.exp(-logOdds));
const fabricBy = (id: string): Fabric => {
  const found = FABRICS.find((fabric) => fabric.id === id);
  if (!found) throw new Error(`assertion failed: no cloth ${id}`);
  return found;
};

function caseOf(fabric: Fabric, rank: number, method: Method, stack: ShopStack): PlausibleCase {
  const kind = PIECE_KINDS[fabric.structure === 'pile' ? 'bath-towel' : 't-shirt'];
  const densityClass = DENSITY_CLASSES[rank] ?? 'medium';
  const design = { stops: [{ hex: '#1F3A5F' }], densityClass, stitches: 3000 + rank * 3000 };
  const facts = layerFacts(
    { fabric, kind, colour: '#C9D6DF', readings: {} },
    { ...design, lettering: false, letterHeightMm: null },
    { method },
    DEFAULT_HOUSE_RULES,
  );
  return {
    conditions: {
      fabricId: fabric.id,
      structure: fabric.structure,
      stretchPercent: fabric.stretchPercent,
      pileMm: fabric.pileMm,
      rank,
      sizeMm: 90,
      method,
      stack: stackWords(stack.sheets, stack.topper),
    },
    risks: riskPoints(facts, { ...stack, cover: 'none', trim: 'rounded' }),
    stack,
  };
}

/**
 * A shop with a hidden truth: how often a fault is seen hangs on stretch, density, method and stack, on the stack in a
 * way of the shop's own, with noise; and the beginner, to whom more goes wrong, floats more. `floatHarms` is what
 * floating itself adds (log-odds). The same seed makes the same shop.
 */
export function plausibleShop(seed: number, { floatHarms = 0.4 } = {}): PlausibleShop {
  const random = randomLcg(seed);
  const normal = randomNormal.source(random)(0, 1);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
  const ofStack = new Map(STACKS.map((stack) => [stack, { pulls: normal() * 0.8, shifts: normal() * 0.5 }]));
  const cases = CLOTHS.map(fabricBy).flatMap((fabric) =>
    [1, 2, 3].flatMap((rank) =>
      METHODS.flatMap((method) => STACKS.map((stack) => caseOf(fabric, rank, method, stack))),
    ),
  );
  const odds = new Map(
    cases.map((one) => {
      const { conditions, stack } = one;
      const { pulls, shifts } = ofStack.get(stack) ?? { pulls: 0, shifts: 0 };
      const floated = conditions.method === 'floated' ? floatHarms : 0;
      const noise = () => normal() * 0.2;
      const film = stack.topper === 'none' ? 0 : -2;
      const of: Partial<Record<FaultId, number>> = {
        ...BASE,
        puckering:
          -2.6 + 0.03 * conditions.stretchPercent + 0.5 * (conditions.rank - 2) + pulls + floated + noise(),
        gaps: -3 + 0.02 * conditions.stretchPercent + shifts + floated + noise(),
        sinking: -3.4 + (conditions.pileMm > 0 ? 2.2 + film : 0) + noise(),
      };
      return [one, of] as const;
    }),
  );
  const chance = (one: PlausibleCase, fault: FaultId, unskilled: number): number => {
    const of = odds.get(one)?.[fault];
    return of === undefined ? 0 : chanceOf(of + unskilled);
  };
  const truth: PlausibleShop['truth'] = (one, trouble) => {
    const faults: readonly FaultId[] = trouble === 'any' ? FAULT_IDS : [trouble];
    let sum = 0;
    for (const { share, unskilled } of MAKERS) {
      let none = 1;
      for (const fault of faults) none *= 1 - chance(one, fault, unskilled);
      sum += share * (1 - none);
    }
    return sum;
  };
  const byMethod = (method: Method) => cases.filter(({ conditions }) => conditions.method === method);
  const held = { hooped: byMethod('hooped'), floated: byMethod('floated') };
  const makerOf = (at: number) => {
    let sum = 0;
    for (const maker of MAKERS) {
      sum += maker.share;
      if (at < sum) return maker;
    }
    return MAKERS[0];
  };
  const pieces = (n: number): PieceRecord[] =>
    Array.from({ length: n }, (_, i): PieceRecord => {
      const maker = makerOf(random());
      const one = pick(held[random() < maker.floats ? 'floated' : 'hooped']);
      const faults: PieceRecord['faults'] = {};
      for (const fault of FAULT_IDS)
        if (random() < chance(one, fault, maker.unskilled)) faults[fault] = random() < 0.7 ? 1 : 2;
      return {
        ...one.conditions,
        sizeMm: 40 + Math.floor(random() * 120),
        id: `piece-${i}`,
        loggedAt: new Date(Date.UTC(2020, 0, 1) + i * 1_500_000).toISOString(),
        name: `piece ${i}`,
        pieces: 1,
        who: maker.who,
        faults,
        risks: one.risks,
      };
    });
  return { cases, pieces, truth, stacks: STACKS };
}

/** What two stacks of a case share a word with. */
export const wordOf = ({ conditions }: PlausibleCase): string => stackWord(conditions.stack);
