import { type Shelf, SUPPLY_TYPES, type Supply } from '../model/shelf';

const PRICES: Partial<Record<Supply['type'], { minor: number; amount: number }>> = {
  spray: { minor: 1250, amount: 1 },
  tape: { minor: 300, amount: 20 },
  'bobbin-60': { minor: 3000, amount: 100 },
  'bobbin-90': { minor: 3600, amount: 100 },
};
const A_NEEDLE = { minor: 800, amount: 5 };

/** A shelf on which everything has its price: rolls 24.00 for 10 m, threads 4.50 for 1000 m, all supplies. */
export const priced = (shelf: Shelf): Shelf => ({
  ...shelf,
  materials: shelf.materials.map((m) => ({ ...m, paid: { minor: 2400, amount: 10 } })),
  threads: shelf.threads.map((t) => ({ ...t, paid: { minor: 450, amount: 1000 } })),
  supplies: SUPPLY_TYPES.map((type) => ({
    id: `supply-${type}`,
    name: type,
    type,
    left: 50,
    machineId: null,
    paid: PRICES[type] ?? A_NEEDLE,
  })),
});
