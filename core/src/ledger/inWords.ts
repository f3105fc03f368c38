import { count, metres, mm, type Phrase, phrase } from '../base/units/phrase';
import type { Movement, MovementKind } from '../model/movement';
import type { ShelfNoun } from '../model/shelf';
import { SUPPLIES } from '../stock/supplies';
import { type ItemOf, needleOfFigure, sizeOfFigure } from './amounts';

const hundredth = (value: number): number => Math.round(Math.abs(value) * 100) / 100;

/** So much of a figure, in its unit and without its sign. */
function amountInWords(noun: ShelfNoun, item: ItemOf, { figure, amount }: Movement): Phrase {
  const size = sizeOfFigure(figure);
  if (size)
    return phrase`${count(hundredth(amount))} ${hundredth(amount) === 1 ? 'sheet' : 'sheets'} of ${mm(size.widthMm)} × ${mm(size.heightMm)}`;
  const needle = needleOfFigure(figure);
  if (needle !== null) return phrase`${count(hundredth(amount))} h on needle ${String(needle + 1)}`;
  const type = noun === 'supplies' && 'type' in item ? item.type : null;
  if (type && type in SUPPLIES)
    return phrase`${count(hundredth(amount))} ${SUPPLIES[type as keyof typeof SUPPLIES].unit}`;
  return phrase`${metres(hundredth(amount))}`;
}

/** What a movement did, before its amount: what comes adds, what goes takes away. */
const DID: Record<MovementKind, { comes: string; goes: string }> = {
  opening: { comes: 'first count:', goes: 'first count: less' },
  bought: { comes: 'bought', goes: 'less than was bought:' },
  used: { comes: 'added by a piece:', goes: 'used' },
  'given-back': { comes: 'given back', goes: 'taken back:' },
  corrected: { comes: 'counted anew: more by', goes: 'counted anew: less by' },
};

/** A line of an item's ledger: `used 12.4 m`. */
export function movementInWords(noun: ShelfNoun, item: ItemOf, movement: Movement): Phrase {
  const { comes, goes } = DID[movement.kind];
  return phrase`${movement.amount < 0 ? goes : comes} ${amountInWords(noun, item, movement)}`;
}
