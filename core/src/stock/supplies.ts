import type { HouseNumber } from '../catalogue/houseNumber';
import { BOBBINS, NEEDLES } from '../catalogue/materials';
import { LAYER_NUMBERS } from '../catalogue/numbers/layers';
import type { FittedNeedle, Machine, Shelf, Supply, SupplyType } from '../model/shelf';
import { type BobbinId, CHOICE_IDS, type NeedleId } from '../model/ticket/layers';

type SupplyGroup = 'needle' | 'bobbin' | 'adhesive';

/** A supply by the trade's name, what it is counted in, and the house number below which it is low. */
interface SupplyKind {
  name: string;
  group: SupplyGroup;
  unit: 'needles' | 'bobbins' | 'cans' | 'm';
  low: HouseNumber;
}

const needle = (id: NeedleId): SupplyKind => ({
  name: `${NEEDLES[id].name}${/needle/i.test(NEEDLES[id].name) ? '' : ' needle'}`,
  group: 'needle',
  unit: 'needles',
  low: LAYER_NUMBERS.lowNeedles,
});
const bobbin = (id: BobbinId): SupplyKind => ({
  name: `${BOBBINS[id].name}, wound`,
  group: 'bobbin',
  unit: 'bobbins',
  low: LAYER_NUMBERS.lowBobbins,
});

export const SUPPLIES = {
  ...(Object.fromEntries(CHOICE_IDS.needle.map((id) => [id, needle(id)])) as Record<NeedleId, SupplyKind>),
  ...(Object.fromEntries(CHOICE_IDS.bobbin.map((id) => [id, bobbin(id)])) as Record<BobbinId, SupplyKind>),
  spray: {
    name: 'Temporary spray adhesive',
    group: 'adhesive',
    unit: 'cans',
    low: LAYER_NUMBERS.lowSprayCans,
  },
  tape: { name: 'Tape', group: 'adhesive', unit: 'm', low: LAYER_NUMBERS.lowTapeM },
} satisfies Record<SupplyType, SupplyKind>;

const NEW_NEEDLE: FittedNeedle = { type: null, hours: 0 };

/** What is in each needle of a machine, from the first: as many as it has. */
export const needlesOf = ({ needles, fitted }: Machine): FittedNeedle[] =>
  Array.from({ length: needles }, (_, i) => fitted[i] ?? NEW_NEEDLE);

/** The machine with another needle in one of its places, counted from 0. */
export const withNeedle = (machine: Machine, at: number, needle: FittedNeedle): Machine => ({
  ...machine,
  fitted: needlesOf(machine).map((was, i) => (i === at ? needle : was)),
});

/** Whether the shop counts supplies of this kind at all: of one that does not, nothing can be said to be missing. */
const counts = (shelf: Shelf, group: SupplyGroup): boolean =>
  shelf.supplies.some((s) => SUPPLIES[s.type].group === group);

/** Whether the shop is known to be out of a supply: it counts such things, has none left, and none in a machine. */
export function isOut(type: SupplyType, shelf: Shelf): boolean {
  if (!counts(shelf, SUPPLIES[type].group)) return false;
  if (shelf.supplies.some((s) => s.type === type && s.left > 0)) return false;
  return !shelf.machines.some((m) => needlesOf(m).some((needle) => needle.type === type));
}

/** The supplies of a type that serve a machine: those with some left first, its own before those for all, what was begun first. */
export function suppliesFor(type: SupplyType, machine: Machine | null, shelf: Shelf): Supply[] {
  const rank = (s: Supply) => (s.left > 0 ? 0 : 2) + (s.machineId === null ? 1 : 0);
  return shelf.supplies
    .filter((s) => s.type === type && (s.machineId === null || s.machineId === machine?.id))
    .sort((a, b) => rank(a) - rank(b) || a.left - b.left);
}

/**
 * A new needle of a type put into one of a machine's places, counted from 0: the machine as it then is, and the
 * supply it came from with one less; null where none was counted.
 */
export function changeNeedle(
  machine: Machine,
  at: number,
  type: NeedleId,
  shelf: Shelf,
): { machine: Machine; supply: Supply | null } {
  const supply = suppliesFor(type, machine, shelf).find(({ left }) => left > 0);
  return {
    machine: withNeedle(machine, at, { type, hours: 0 }),
    supply: supply ? { ...supply, left: Math.max(0, supply.left - 1) } : null,
  };
}
