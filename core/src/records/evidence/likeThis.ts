import { count, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { EVIDENCE_NUMBERS as N } from '../../catalogue/numbers/evidence';
import { FAULT_IDS, FAULTS, type FaultId } from '../../model/faults';
import type { HouseRules } from '../../model/houseRules';
import { differencesOf, type Likened, type LikePiece } from './likeness';
import type { PieceConditions, PieceRecord } from './pieceRecord';

/** How often a fault was seen among pieces that are alike, and what those had that none of the clean ones had. */
export interface SeenFault {
  fault: FaultId;
  pieces: number;
  records: PieceRecord[];
  alone: Likened | null;
}

/** What the past says of a piece: how many were like it, how they came out, and what differed in the bad ones. */
export interface Evidence {
  pieces: number;
  clean: number;
  faults: SeenFault[];
  text: Phrase;
}

const isClean = ({ faults }: PieceRecord): boolean => Object.keys(faults).length === 0;
const countOf = (records: readonly PieceRecord[]): number =>
  records.reduce((sum, { pieces }) => sum + pieces, 0);

/** In what all of some pieces differ from the one at hand, and none of the others does; the weightiest. */
function aloneIn(
  target: PieceConditions,
  bad: readonly PieceRecord[],
  { clean, rules }: { clean: readonly PieceRecord[]; rules: HouseRules },
): Likened | null {
  const [first, ...others] = bad.map((record) => differencesOf(target, record, rules));
  const ofClean = new Set(clean.flatMap((record) => differencesOf(target, record, rules)));
  return (
    first?.find((thing) => !ofClean.has(thing) && others.every((differs) => differs.includes(thing))) ?? null
  );
}

/** What is said of pieces by what they alone had. */
function aloneWords(thing: Likened, target: PieceConditions, [first]: readonly PieceRecord[]): string {
  if (!first) return '';
  const more = (a: number, b: number, words: readonly [string, string]): string => words[a > b ? 0 : 1];
  const words: Record<Likened, string> = {
    cloth: 'on another cloth',
    stretch: more(first.stretchPercent, target.stretchPercent, ['with more stretch', 'with less stretch']),
    pile: more(first.pileMm, target.pileMm, ['with more pile', 'with less pile']),
    density: more(first.rank, target.rank, ['with a denser design', 'with a lighter design']),
    method: first.method,
    stack: 'with other sheets',
    size: more(first.sizeMm, target.sizeMm, ['with a larger design', 'with a smaller design']),
  };
  return words[thing];
}

const nameOf = (fault: FaultId): string =>
  (FAULTS.find(({ id }) => id === fault)?.name ?? fault).toLowerCase();

function faultWords({ fault, pieces, records, alone }: SeenFault, target: PieceConditions): Phrase {
  const seen = phrase`, ${count(pieces)} with ${nameOf(fault)}`;
  if (!alone) return seen;
  const how = aloneWords(alone, target, records);
  if (pieces > 1) return phrase`${seen}, all ${how}`;
  return phrase`${seen}, the one ${alone === 'method' ? 'that was ' : ''}${how}`;
}

/**
 * What past pieces that are alike say of one at hand, in counts of pieces. Null while there are fewer than evidence begins
 * with: so few are chance.
 */
export function evidenceOf(
  target: PieceConditions,
  near: readonly LikePiece[],
  rules: HouseRules,
): Evidence | null {
  const records = near.map(({ record }) => record);
  const pieces = countOf(records);
  if (pieces < numberFor(rules, N.evidenceLeast)) return null;
  const clean = records.filter(isClean);
  const faults = FAULT_IDS.flatMap((fault): SeenFault[] => {
    const bad = records.filter((record) => (record.faults[fault] ?? 0) > 0);
    if (bad.length === 0) return [];
    return [{ fault, pieces: countOf(bad), records: bad, alone: aloneIn(target, bad, { clean, rules }) }];
  }).sort((a, b) => b.pieces - a.pieces);
  const said = faults.map((fault) => faultWords(fault, target));
  const text = phrase`${count(pieces)} like this: ${count(countOf(clean))} clean${said.flat()}.`;
  return { pieces, clean: countOf(clean), faults, text };
}
