import { count, metres, mm, type Phrase, phrase } from '../../base/units/phrase';
import { withLoose } from '../../ledger/rolls/cutting';
import type { LooseSheets } from '../../model/shelf';
import type { ShelfUse } from '../../model/shelfUse';
import { SUPPLIES } from '../../stock/supplies';

const GONE = 'something no longer on the shelf';
const hundredth = (value: number): number => Math.round(value * 100) / 100;

function materialInWords({
  metres: off,
  sheets,
  offcuts,
}: Extract<ShelfUse, { noun: 'materials' }>): Phrase[] {
  const sized = (s: LooseSheets) => phrase`${mm(s.widthMm)} × ${mm(s.heightMm)}`;
  const loose = withLoose([], sheets, 1).map((s) =>
    s.count === 1 ? phrase`a sheet of ${sized(s)}` : phrase`${count(s.count)} sheets of ${sized(s)}`,
  );
  const left = withLoose([], offcuts, 1).map((s) =>
    s.count === 1 ? phrase`leaves ${sized(s)}` : phrase`leaves ${count(s.count)} of ${sized(s)}`,
  );
  return [...(off > 0 ? [phrase`${metres(hundredth(off))} off the roll`] : []), ...loose, ...left];
}

function partsOf(use: ShelfUse): Phrase[] {
  if (use.noun === 'materials') return materialInWords(use);
  if (use.noun === 'threads') return [phrase`${metres(hundredth(use.metres))}`];
  if (use.noun === 'supplies')
    return [phrase`${count(hundredth(use.amount))}${use.type ? ` ${SUPPLIES[use.type].unit}` : ''}`];
  const hours = use.hours.reduce((sum, h) => sum + h, 0);
  const left = use.bobbin?.is;
  return [
    phrase`${count(hundredth(hours))} h on its needles`,
    ...(left === undefined || left === null ? [] : [phrase`${metres(hundredth(left))} left on its bobbin`]),
  ];
}

/** What a finished piece took off the shelf, a line to each item: `navy: 12.4 m`. */
export function usesInWords(uses: readonly ShelfUse[]): Phrase[] {
  return uses.map((use) => {
    const parts = partsOf(use).flatMap((part, i) => (i === 0 ? part : [', ', ...part]));
    return phrase`${use.name ?? GONE}: ${parts}`;
  });
}
