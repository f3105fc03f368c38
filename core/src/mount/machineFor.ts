import type { Hoop, Machine, Shelf } from '../shelf/schema';
import type { MountInput } from './schema';

/** The machine chosen on the ticket, else the first that takes the hoop; null when none does. */
export function machineFor(input: MountInput, hoop: Hoop | null, shelf: Shelf): Machine | null {
  const takes = (machine: Machine) => !hoop || hoop.machineIds.includes(machine.id);
  const own = shelf.machines.find((m) => m.id === input.machineId);
  if (own && takes(own)) return own;
  return shelf.machines.find(takes) ?? null;
}
