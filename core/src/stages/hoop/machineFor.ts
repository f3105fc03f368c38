import type { Hoop, Machine, Shelf } from '../../model/shelf';
import type { MountInput } from '../../model/ticket/mount';

/** The machine chosen on the ticket, else the first that takes the hoop; null when none does. */
export function machineFor(
  input: Pick<MountInput, 'machineId'>,
  hoop: Hoop | null,
  shelf: Shelf,
): Machine | null {
  const takes = (machine: Machine) => !hoop || hoop.machineIds.includes(machine.id);
  const own = shelf.machines.find((m) => m.id === input.machineId);
  if (own && takes(own)) return own;
  return shelf.machines.find(takes) ?? null;
}
