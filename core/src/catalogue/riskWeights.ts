/** What a stack can go wrong by. */
export const RISKS = [
  'puckering',
  'sinking',
  'show-through',
  'shifting',
  'ring marks',
  'stiffness',
  'skin',
] as const;
export type Risk = (typeof RISKS)[number];

/** Words for points, the highest first: to read a bar by, no more exact than the weights. */
export const RISK_LEVELS = [
  { from: 60, level: 'high' },
  { from: 30, level: 'some' },
  { from: 0, level: 'low' },
] as const;
export type RiskLevel = (typeof RISK_LEVELS)[number]['level'];

/**
 * The weights of the risk model, points of 100, each with its reason. They order stacks; they predict nothing. A
 * weight below nothing takes away from a risk.
 */
export const RISK_WEIGHTS = {
  stretchPucker: {
    points: 1.2,
    reason: 'For each percent of stretch: cloth that gives is drawn in by the thread.',
  },
  densityPucker: { points: 9, reason: 'For each class of density: more thread pulls more.' },
  manyPucker: { points: 8, reason: 'More than the house number of stitches: they pull for longer.' },
  floatPucker: { points: 10, reason: 'Floated cloth is held by its sheet only.' },
  staysPucker: { points: -20, reason: 'A sheet that stays holds the cloth for good.' },
  leavesPucker: { points: -9, reason: 'A sheet that leaves holds it while it is stitched.' },
  fusedPucker: { points: -8, reason: 'Fused, cloth and sheet are one.' },
  loopsSink: { points: 60, reason: 'Loops and pile stand up between the stitches.' },
  openSink: { points: 35, reason: 'An open weave lets stitches drop into its holes.' },
  textureSink: { points: 25, reason: 'A ribbed surface swallows fine lines.' },
  openDesignSink: { points: 10, reason: 'An open or light design has little to stand on.' },
  topperSink: { points: -50, reason: 'A film on top keeps the stitches up.' },
  edgeShows: { points: 45, reason: 'A heavy sheet that stays shows its edge through thin or pale cloth.' },
  meshShows: { points: 10, reason: 'Light mesh hardly shows.' },
  groundShows: { points: 40, reason: 'Strong contrast on loops or dark cloth: the ground shines through.' },
  filmHides: { points: -35, reason: "A film in the thread's colour hides the ground." },
  floatShifts: { points: 45, reason: 'Only the sheet is in the ring.' },
  hoopedShifts: { points: 8, reason: 'The ring holds the cloth all round.' },
  stretchShifts: { points: 0.4, reason: 'For each percent of stretch: cloth creeps under the foot.' },
  nothingShifts: { points: 20, reason: 'With no sheet there is nothing to hold on to.' },
  fusedHolds: { points: -28, reason: 'Fused cloth cannot creep.' },
  stickyHolds: { points: -24, reason: 'A sticky sheet holds all over.' },
  sprayHolds: { points: -18, reason: 'Spray holds all over, for a while.' },
  bastingHolds: { points: -20, reason: 'A basting box holds all round the design.' },
  pinsHold: { points: -8, reason: 'Pins hold where they are.' },
  tapeHolds: { points: -3, reason: 'Tape holds at the edges.' },
  ringMarks: { points: 75, reason: 'This cloth keeps the mark of a ring.' },
  ringMarksLittle: { points: 12, reason: 'A ring leaves a crease that washes or steams out.' },
  flatRing: { points: -40, reason: 'A flat magnetic ring presses no groove.' },
  staysStiff: { points: 22, reason: 'A medium sheet that stays.' },
  meshStiff: { points: 9, reason: 'A light mesh that stays.' },
  leavesStiff: { points: 4, reason: 'What is left of a sheet that leaves.' },
  densityStiff: { points: 9, reason: 'For each class of density: thread is stiff.' },
  drapeStiff: { points: 25, reason: 'A drape shows every stiff patch.' },
  backSkin: { points: 18, reason: 'The back of the stitching lies on skin.' },
  stickySkin: { points: 45, reason: 'Tack is left on the skin side.' },
  edgeSkin: { points: 12, reason: 'The edge of a sheet that stays can be felt.' },
  youngSkin: { points: 20, reason: 'Young skin.' },
  coverSkin: { points: -40, reason: 'A soft cover lies between.' },
} as const satisfies Record<string, { points: number; reason: string }>;
export type RiskWeightId = keyof typeof RISK_WEIGHTS;
