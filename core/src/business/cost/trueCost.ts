import { money, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { MONEY_NUMBERS as M } from '../../catalogue/numbers/money';
import { type CostLine, type CostOf, costLine } from './costLine';
import { goodsLines } from './goodsLines';
import { runFacts } from './runFacts';
import { moreForSpoilt, type SpoiltShare } from './spoilt';
import { workLines } from './workLines';

export interface TrueCost {
  pieces: number;
  currency: string;
  lines: CostLine[];
  /** Of the whole run: the sum of its lines. */
  totalMinor: number;
  /** What of the total comes once, and what with every piece; not rounded. */
  onceExact: number;
  eachExact: number;
  /** The total between the two shares that may be spoilt. */
  lowMinor: number;
  highMinor: number;
  spoilt: SpoiltShare;
  /** Everything that has no price yet: with any of it, the total is what it costs at least. */
  unpriced: string[];
}

const exactSum = (lines: readonly CostLine[]): number => lines.reduce((sum, { exact }) => sum + exact, 0);

/** What has to be made besides for those that are spoilt: everything but the set-up, once more for each. */
function spoiltLine(
  lines: readonly CostLine[],
  { share, low, high }: SpoiltShare,
  currency: string,
): CostLine {
  const each = exactSum(lines.filter(({ once }) => !once));
  const more = moreForSpoilt(share);
  return costLine({
    id: 'spoilt',
    name: 'Spoilt',
    exact: each * more,
    once: false,
    unpriced: [],
    sum: [
      phrase`${percent(share * 100)} come out spoilt, ${percent(low * 100)} to ${percent(high * 100)}: for every good one ${percent(more * 100)} of ${money(each, currency)} once more`,
    ],
  });
}

function overheadLine(lines: readonly CostLine[], { rules }: Pick<CostOf, 'rules'>): CostLine[] {
  const share = numberFor(rules, M.overheadPercent) / 100;
  const parts = [true, false].map((once) => exactSum(lines.filter((line) => line.once === once)));
  const [once = 0, each = 0] = parts;
  const line = costLine({
    id: 'overhead',
    name: 'Overhead',
    exact: (once + each) * share,
    once: false,
    unpriced: [],
    sum: [phrase`${percent(share * 100)} of ${money(once + each, rules.currency)}`],
  });
  return [line];
}

/**
 * What a run really costs, line by line, in the shop's money: each line is rounded to the smallest coin and the total is
 * the sum of the lines. What has no price is named and not counted. Null while it is not known how it is held or stitched.
 */
export function trueCost(of: CostOf, spoilt: SpoiltShare): TrueCost | null {
  const run = runFacts(of.plan, of.rules);
  if (!run) return null;
  const { currency } = of.rules;
  const made = [...goodsLines(of, run), ...workLines(of, run)];
  const totalWith = (share: SpoiltShare) => {
    const lines = [...made, spoiltLine(made, share, currency)];
    return [...lines, ...overheadLine(lines, of)];
  };
  const lines = totalWith(spoilt);
  const total = (all: readonly CostLine[]) => all.reduce((sum, { minor }) => sum + minor, 0);
  const onceExact =
    exactSum(lines.filter(({ once }) => once)) * (1 + numberFor(of.rules, M.overheadPercent) / 100);
  return {
    pieces: run.pieces,
    currency,
    lines,
    totalMinor: total(lines),
    onceExact,
    eachExact: (exactSum(lines) - onceExact) / run.pieces,
    lowMinor: total(totalWith({ ...spoilt, share: spoilt.low })),
    highMinor: total(totalWith({ ...spoilt, share: spoilt.high })),
    spoilt,
    unpriced: lines.flatMap(({ unpriced }) => unpriced),
  };
}
