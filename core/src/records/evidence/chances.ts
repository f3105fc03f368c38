import { numberFor } from '../../catalogue/houseNumber';
import { EVIDENCE_NUMBERS as N } from '../../catalogue/numbers/evidence';
import type { Risk } from '../../catalogue/riskWeights';
import { FAULT_IDS, type FaultId } from '../../model/faults';
import type { HouseRules } from '../../model/houseRules';
import { type Share, shareOf } from './beta';
import type { PieceConditions, PieceRecord, RiskPoints } from './pieceRecord';
import { stackWord } from './stackWords';

/** A fault, or anything at all. */
export type Trouble = FaultId | 'any';
export const TROUBLES: readonly Trouble[] = [...FAULT_IDS, 'any'];

/** The risk by which the rules speak of a fault; of the others they say nothing. */
export const RISK_OF_FAULT: Partial<Record<FaultId, Risk>> = {
  puckering: 'puckering',
  gaps: 'shifting',
  sinking: 'sinking',
  'show-through': 'show-through',
  'ring-marks': 'ring marks',
  scratchy: 'skin',
};

/** What is believed of each trouble before any piece is logged: the rules' own risk, read as a chance. */
export function believedOf(risks: RiskPoints, rules: HouseRules): number[] {
  const base = numberFor(rules, N.believedBase) / 100;
  const most = numberFor(rules, N.believedMost) / 100;
  let noneAtAll = 1;
  const chances = FAULT_IDS.map((fault) => {
    const risk = RISK_OF_FAULT[fault];
    const chance = Math.min(0.95, base + (risk ? (risks[risk] / 100) * most : 0));
    noneAtAll *= 1 - chance;
    return chance;
  });
  return [...chances, 1 - noneAtAll];
}

/**
 * What pieces are told apart by, from what all share to what only few do: cloth of a kind, this cloth, hooped or floated,
 * how dense, which stack, whose hands; then that stack on that kind of cloth held so (`cell`), and there this cloth at this density
 * (`leaf`).
 */
const EFFECTS = ['structure', 'cloth', 'method', 'rank', 'stack', 'who', 'cell', 'leaf'] as const;
type Effect = (typeof EFFECTS)[number];
const [WHO, CELL, LEAF] = [EFFECTS.indexOf('who'), EFFECTS.indexOf('cell'), EFFECTS.indexOf('leaf')];

function wordsOf(of: PieceConditions, stack: string, who: string): Record<Effect, string> {
  const { structure, method, rank, fabricId } = of;
  const cell = `${structure}|${method}|${stack}`;
  const leaf = `${cell}|${fabricId}|${rank}`;
  return { structure, cloth: fabricId, method, rank: String(rank), stack, who, cell, leaf };
}

/** Pieces of one person on one leaf. */
interface Group {
  /** Which it is of every effect. */
  of: number[];
  pieces: number;
  /** Of each trouble: how many had it, and how many would have by the rules. */
  seen: Float64Array;
  believed: Float64Array;
}

/** All past pieces, counted, and what numbers the words of each effect have. */
interface Tally {
  groups: Group[];
  numbers: Map<string, number>[];
}

const numbered = (of: Map<string, number>, word: string): number => {
  const known = of.get(word);
  if (known !== undefined) return known;
  of.set(word, of.size);
  return of.size - 1;
};
const at = (values: ArrayLike<number>, i: number): number => values[i] as number;

/** Works something out once for each object it is asked of. */
function once<K extends object, V>(work: (of: K) => V): (of: K) => V {
  const known = new Map<K, V>();
  return (of) => {
    const kept = known.get(of);
    if (kept !== undefined) return kept;
    const made = work(of);
    known.set(of, made);
    return made;
  };
}

/** Counts past pieces; one pass. Records that share their stacks and risks are counted fastest. */
function tallyOf(records: Iterable<PieceRecord>, rules: HouseRules): Tally {
  const numbers = EFFECTS.map(() => new Map<string, number>());
  const groups = new Map<string, Group>();
  const stackOf = once((stack: readonly string[]) => stackWord(stack));
  const believedFor = once((risks: RiskPoints) => believedOf(risks, rules));
  for (const record of records) {
    const { pieces, faults, who } = record;
    const stack = stackOf(record.stack);
    const key = `${record.structure}|${record.method}|${stack}|${record.fabricId}|${record.rank}|${who}`;
    let group = groups.get(key);
    if (!group) {
      const words = wordsOf(record, stack, who);
      group = {
        of: EFFECTS.map((effect, e) => numbered(numbers[e] as Map<string, number>, words[effect])),
        pieces: 0,
        seen: new Float64Array(TROUBLES.length),
        believed: new Float64Array(TROUBLES.length),
      };
      groups.set(key, group);
    }
    group.pieces += pieces;
    let any = false;
    for (const fault in faults) {
      const trouble = FAULT_IDS.indexOf(fault as FaultId);
      if (trouble < 0 || !faults[fault as FaultId]) continue;
      (group.seen[trouble] as number) += pieces;
      any = true;
    }
    if (any) (group.seen[FAULT_IDS.length] as number) += pieces;
    const chances = believedFor(record.risks);
    for (let t = 0; t < TROUBLES.length; t++) (group.believed[t] as number) += pieces * at(chances, t);
  }
  return { groups: [...groups.values()], numbers };
}

const within = (chance: number): number => Math.min(0.995, Math.max(1e-4, chance));
const oddsOf = (chance: number): number => Math.log(within(chance) / (1 - within(chance)));
const chanceAt = (logOdds: number): number => 1 / (1 + Math.exp(-logOdds));

const ROUNDS = 25;
/** The house's own scatter counts as much as this many levels that were seen. */
const HOUSE_LEVELS = 2;

/** What is known of one trouble, log-odds over what the rules believe. */
interface Known {
  trouble: number;
  /** Of the shop as a whole, and how far that may be off (variance). */
  shop: { is: number; variance: number };
  /** Of every effect: what each of its levels adds, how much was seen of it (information), and how they scatter (variance). */
  levels: { adds: Float64Array; information: Float64Array; scatter: number }[];
}

/**
 * Fits one trouble: log-odds of the rules' belief, plus the shop, plus every effect, each level leaning on nothing as the
 * levels of its effect scatter (a penalized logistic regression, by Newton's way one effect at a time; the scatter by
 * expectation–maximization, begun from the house's own).
 */
function know({ groups, numbers }: Tally, trouble: number, houseScatter: number): Known {
  const odds = new Float64Array(groups.length);
  groups.forEach((group, g) => {
    odds[g] = oddsOf(at(group.believed, trouble) / group.pieces);
  });
  const shop = { is: 0, variance: houseScatter };
  const levels = numbers.map(({ size }) => ({
    adds: new Float64Array(size),
    information: new Float64Array(size),
    scatter: houseScatter,
  }));
  const slopes = (size: number, indexOf: (group: Group) => number) => {
    const [gradient, information] = [new Float64Array(size), new Float64Array(size)];
    for (let g = 0; g < groups.length; g++) {
      const group = groups[g] as Group;
      const p = chanceAt(at(odds, g));
      const i = indexOf(group);
      (gradient[i] as number) += at(group.seen, trouble) - group.pieces * p;
      (information[i] as number) += group.pieces * p * (1 - p);
    }
    return { gradient, information };
  };
  const bounded = (step: number): number => Math.max(-1, Math.min(1, step));
  for (let round = 0; round < ROUNDS; round++) {
    const all = slopes(1, () => 0);
    shop.variance = 1 / (at(all.information, 0) + 1 / houseScatter);
    const moved = bounded((at(all.gradient, 0) - shop.is / houseScatter) * shop.variance);
    shop.is += moved;
    for (let g = 0; g < odds.length; g++) (odds[g] as number) += moved;
    levels.forEach((level, e) => {
      const { adds, scatter } = level;
      const { gradient, information } = slopes(adds.length, ({ of }) => at(of, e));
      const step = new Float64Array(adds.length);
      let squares = HOUSE_LEVELS * houseScatter;
      for (let i = 0; i < adds.length; i++) {
        const variance = 1 / (at(information, i) + 1 / scatter);
        step[i] = bounded((at(gradient, i) - at(adds, i) / scatter) * variance);
        (adds[i] as number) += at(step, i);
        squares += at(adds, i) ** 2 + variance;
      }
      level.information = information;
      if (round > 2) level.scatter = Math.max(1e-3, squares / (adds.length + HOUSE_LEVELS));
      for (let g = 0; g < odds.length; g++) (odds[g] as number) += at(step, at((groups[g] as Group).of, e));
    });
  }
  return { trouble, shop, levels: withWhatLeavesTell(levels, { groups, numbers }) };
}

const LEAST_INFORMATION = 1e-9;

/** What is known of the levels above leaves: each leaf tells of them only as far as leaves do not scatter by themselves. */
function withWhatLeavesTell(levels: Known['levels'], { groups }: Tally): Known['levels'] {
  const leaf = levels[LEAF] as Known['levels'][number];
  const tells = leaf.information.map((own) => 1 / (1 / Math.max(LEAST_INFORMATION, own) + leaf.scatter));
  const ofLeaf = new Map(groups.map(({ of }) => [at(of, LEAF), of]));
  return levels.map((level, e) => {
    if (e === LEAF || e === WHO) return level;
    const information = new Float64Array(level.adds.length);
    for (const [i, of] of ofLeaf) (information[at(of, e)] as number) += at(tells, i);
    return { ...level, information };
  });
}

/** How likely a trouble is, with what it was begun from and how many pieces spoke. */
export interface Chance {
  trouble: Trouble;
  share: Share;
  /** What the rules alone believe, 0 to 1. */
  believed: number;
  /** Pieces on this cloth at this density in this stack, and on cloth of its kind. */
  pieces: number;
  ofKind: number;
}

/** What all past pieces teach, ready to be asked. */
export interface Taught {
  /** The stacks that were taken on cloth of the same kind held the same way, as their words, the usual first. */
  stacksOn: (conditions: PieceConditions) => string[][];
  chancesOf: (conditions: PieceConditions, risks: RiskPoints) => Chance[];
}

/** Where a normal distribution is looked at, and the weight of each (Gauss–Hermite, five points). */
const NORMAL = [
  { at: -2.856970013872806, weight: 0.0112574113277207 },
  { at: -1.355626179974266, weight: 0.2220759220056126 },
  { at: 0, weight: 0.5333333333333333 },
  { at: 1.355626179974266, weight: 0.2220759220056126 },
  { at: 2.856970013872806, weight: 0.0112574113277207 },
] as const;

/**
 * Learns from past pieces how often each fault is seen. The rules' risk is what is believed at first; what was seen of the
 * shop, of each kind of cloth, method, density and stack, of each stack on each kind of cloth, and of this cloth at this
 * density corrects it, each the more the more pieces there are and the less its like scatter (a hierarchical model as in
 * Gelman et al., Bayesian Data Analysis, ch. 5 and 16; what it says of a case is told as a Beta distribution with the
 * same mean and variance). Whose hands made a piece is an effect of its own, and a chance is that over all who work here:
 * a method is not blamed for the beginner who likes it. Without pieces the chances are the rules' own.
 */
export function taughtBy(records: Iterable<PieceRecord>, rules: HouseRules): Taught {
  const tally = tallyOf(records, rules);
  // So many pieces of one's own tell as much as the rule does, shared among the effects.
  const house = 1 / (numberFor(rules, N.priorPieces) * USUAL * (1 - USUAL));
  const known = TROUBLES.map((_, trouble) => know(tally, trouble, house / (EFFECTS.length - 1)));
  const whos = new Float64Array(tally.numbers[WHO]?.size ?? 0);
  const count = { all: 0, cells: new Map<number, number>(), leaves: new Map<number, number>() };
  for (const { of, pieces } of tally.groups) {
    (whos[at(of, WHO)] as number) += pieces;
    count.all += pieces;
    count.cells.set(at(of, CELL), (count.cells.get(at(of, CELL)) ?? 0) + pieces);
    count.leaves.set(at(of, LEAF), (count.leaves.get(at(of, LEAF)) ?? 0) + pieces);
  }
  const shares = whos.map((pieces) => pieces / count.all);
  const chancesOf = (conditions: PieceConditions, risks: RiskPoints): Chance[] => {
    const words = wordsOf(conditions, stackWord(conditions.stack), '');
    const of = EFFECTS.map((effect, e) => tally.numbers[e]?.get(words[effect]) ?? -1);
    const believed = believedOf(risks, rules);
    return known.map((what) => ({
      trouble: TROUBLES[what.trouble] as Trouble,
      share: shareAt(what, of, { believed: at(believed, what.trouble), shares }),
      believed: at(believed, what.trouble),
      pieces: count.leaves.get(at(of, LEAF)) ?? 0,
      ofKind: count.cells.get(at(of, CELL)) ?? 0,
    }));
  };
  const stacksOn = (conditions: PieceConditions): string[][] => {
    const { cell } = wordsOf(conditions, '', '');
    return [...(tally.numbers[CELL] ?? [])]
      .filter(([word]) => word.startsWith(cell))
      .sort(([, a], [, b]) => (count.cells.get(b) ?? 0) - (count.cells.get(a) ?? 0))
      .map(([word]) => word.slice(cell.length))
      .map((stack) => (stack === 'nothing' ? [] : stack.split(' + ')));
  };
  return { chancesOf, stacksOn };
}

/** Of a fault that is seen so often a piece tells as much as one usually does. */
const USUAL = 0.2;

/** How often a trouble is seen on a case, over all who work here; what nothing is known of scatters as its like do. */
function shareAt(
  { shop, levels }: Known,
  of: readonly number[],
  { believed, shares }: { believed: number; shares: Float64Array },
): Share {
  const leaf = levels[LEAF] as Known['levels'][number];
  const own = at(of, LEAF);
  const ofOwn = own < 0 ? 0 : at(leaf.information, own);
  const told = ofOwn > 0 ? 1 / (1 / ofOwn + leaf.scatter) : 0;
  let odds = oddsOf(believed) + shop.is;
  let above = shop.variance;
  levels.forEach(({ adds, information, scatter }, e) => {
    if (e === WHO || e === LEAF) return;
    const i = at(of, e);
    odds += i < 0 ? 0 : at(adds, i);
    // What this leaf itself says of what is above it does not count twice.
    const others = i < 0 ? 0 : Math.max(0, at(information, i) - told);
    above += 1 / (others + 1 / scatter);
  });
  odds += own < 0 ? 0 : at(leaf.adds, own);
  const variance = 1 / (ofOwn + 1 / (above + leaf.scatter));
  const makers = (levels[WHO] as Known['levels'][number]).adds;
  const overAll = (here: number): number => {
    if (shares.length === 0) return chanceAt(here);
    let chance = 0;
    for (let who = 0; who < shares.length; who++)
      chance += at(shares, who) * chanceAt(here + at(makers, who));
    return chance;
  };
  const chance = overAll(odds);
  let spread = 0;
  for (const { at: z, weight } of NORMAL)
    spread += weight * (overAll(odds + z * Math.sqrt(variance)) - chance) ** 2;
  return shareOf(chance, spread);
}
