import type { ShoppingLine } from './shopping';

/** Suppliers by name, nobody last. */
export const bySupplierName = (a: string, b: string): number =>
  Number(a === '') - Number(b === '') || a.localeCompare(b);

/** Lines by whom they were bought from, suppliers by name, those that nobody named last. */
export function bySupplier(lines: readonly ShoppingLine[]): { supplier: string; lines: ShoppingLine[] }[] {
  const groups = new Map<string, ShoppingLine[]>();
  for (const line of lines) groups.set(line.supplier, [...(groups.get(line.supplier) ?? []), line]);
  return [...groups]
    .map(([supplier, own]) => ({ supplier, lines: own }))
    .sort((a, b) => bySupplierName(a.supplier, b.supplier));
}
