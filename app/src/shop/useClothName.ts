import { FABRICS } from '@zt/core/catalogue/fabrics';
import { useShop } from './useShop';

/** How a cloth is called by its id: one of the library, or of the shop's own. */
export function useClothName(): (id: string) => string {
  const { shelf } = useShop();
  return (id) =>
    [...FABRICS, ...shelf.fabrics].find((fabric) => fabric.id === id)?.name ?? 'a cloth no longer kept';
}
