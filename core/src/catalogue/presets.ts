import type { Hoop, Machine } from '../model/shelf';

interface HoopPreset {
  /** Stitch field, mm. */
  field: [width: number, height: number];
  /** Usual room between the field's edge and the ring's outer edge on each side, mm. */
  rim: [across: number, along: number];
  /** The id of its kind. */
  kind: string;
  round?: true;
}

/** The usual hoops by their field, the smallest first; a shop's own are measured with the tape. */
export const HOOP_PRESETS: readonly HoopPreset[] = [
  { field: [60, 40], rim: [13, 17], kind: 'screw' },
  { field: [100, 100], rim: [15, 19], kind: 'screw' },
  { field: [130, 130], rim: [18, 18], kind: 'quick-release' },
  { field: [150, 150], rim: [16, 16], kind: 'clamp frame', round: true },
  { field: [130, 180], rim: [17, 21], kind: 'screw' },
  { field: [150, 240], rim: [18, 22], kind: 'screw' },
  { field: [200, 200], rim: [19, 22], kind: 'magnetic' },
  { field: [160, 260], rim: [18, 20], kind: 'magnetic' },
  { field: [240, 360], rim: [24, 23], kind: 'magnetic' },
  { field: [330, 400], rim: [18, 20], kind: 'open frame' },
];

/** What a hoop is until somebody says otherwise. */
export const USUAL_HOOP = {
  bracket: 'left',
  wallMm: 6,
  closesOnMm: null,
  mayTurn: true,
  positions: { count: 1, stepMm: 0 },
} as const satisfies Partial<Hoop>;

/** A new hoop of a usual size, its ring as such rings are; it goes on the machines given. */
export function hoopOf(preset: HoopPreset, id: string, machineIds: string[]): Hoop {
  const [width, height] = preset.field;
  const size = preset.round ? `Round ${width}` : `${width} × ${height}`;
  return {
    ...USUAL_HOOP,
    id,
    name: `${size} ${preset.kind}`,
    fieldWidthMm: width,
    fieldHeightMm: height,
    round: preset.round ?? false,
    ringWidthMm: width + 2 * preset.rim[0],
    ringHeightMm: height + 2 * preset.rim[1],
    kind: preset.kind,
    machineIds,
  };
}

/** What a machine is until somebody says otherwise. */
export const USUAL_MACHINE: Omit<Machine, 'id' | 'name'> = {
  needles: 1,
  bed: 'flat',
  bodySide: 'right',
  throatMm: 200,
  stitchesPerMinute: 650,
  trims: true,
  mirrors: true,
  resize: { leastPercent: 80, mostPercent: 120 },
  knowsHoops: true,
  turnStepDeg: 1,
  fitted: [],
  bobbinLeftM: null,
  bobbinMetres: 70,
};
