import type { Hoop, Machine, Material } from '../model/shelf';
import { STABILIZER_IDS } from '../model/ticket/layers';
import { STABILIZERS, TOPPERS } from './materials';
import { HOOP_PRESETS, hoopOf, USUAL_MACHINE } from './presets';

/** Machines told apart by what is seen of them, with the figures that are usual then. */
export const MACHINE_SORTS = [
  {
    id: 'flat',
    name: 'One needle, flat bed',
    traits: { needles: 1, bed: 'flat', bodySide: 'right', throatMm: 200 },
  },
  {
    id: 'arm',
    name: 'One needle, free arm',
    traits: { needles: 1, bed: 'free arm', bodySide: 'back', throatMm: 300 },
  },
  {
    id: 'many',
    name: 'Many needles, free arm',
    traits: { needles: 6, bed: 'free arm', bodySide: 'back', throatMm: 360, stitchesPerMinute: 800 },
  },
] as const satisfies readonly { id: string; name: string; traits: Partial<Machine> }[];
export type MachineSort = (typeof MACHINE_SORTS)[number];

export const machineOfSort = ({ name, traits }: MachineSort, id: string): Machine => ({
  ...USUAL_MACHINE,
  ...traits,
  id,
  name,
});

/** What most shops have a roll of, in the order of their use; each the id of a stabilizer or a topper. */
export const USUAL_ROLLS = [
  'tear-away',
  'cut-away',
  'mesh-fusible',
  'tear-away-sticky',
  'soluble-film',
  'wash-away-cloth',
] as const;
export type UsualRoll = (typeof USUAL_ROLLS)[number];

const isStabilizer = (id: string): id is keyof typeof STABILIZERS =>
  (STABILIZER_IDS as readonly string[]).includes(id);

/** A roll of it: half a metre wide, five metres left, until somebody measures. */
export const rollOf = (type: UsualRoll, id: string): Material => ({
  id,
  name: isStabilizer(type) ? STABILIZERS[type].name : TOPPERS[type as 'soluble-film'].name,
  type,
  widthMm: 500,
  metresLeft: 5,
  loose: [],
});

const USUAL_FIELDS = [
  [100, 100],
  [130, 180],
] as const;

export interface Kit {
  machine: Machine;
  hoops: Hoop[];
  materials: Material[];
}

/** What most begin with, taken as there until somebody says otherwise: marked so. */
export function usualKit(newId: () => string): Kit {
  const assumed = true as const;
  const machine = { ...machineOfSort(MACHINE_SORTS[0], newId()), assumed };
  const presets = HOOP_PRESETS.filter(({ field }) =>
    USUAL_FIELDS.some(([width, height]) => field[0] === width && field[1] === height),
  );
  return {
    machine,
    hoops: presets.map((preset) => ({ ...hoopOf(preset, newId(), [machine.id]), assumed })),
    materials: USUAL_ROLLS.slice(0, 5).map((type) => ({ ...rollOf(type, newId()), assumed })),
  };
}
