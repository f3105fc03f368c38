/** The questions on which practitioners disagree, each with its schools by id; the first of each is our default. */
export const SCHOOL_IDS = {
  layerCount: ['weight', 'alwaysTwo'],
  wearableBacking: ['stays', 'washAway', 'meshTear'],
  method: ['hoop', 'floatLight', 'float'],
  hold: ['fuse', 'spray', 'sticky', 'baste'],
  topper: ['sinks', 'always'],
  trim: ['rounded', 'close', 'tearAll'],
  chest: ['table', 'armhole', 'collar'],
  prepare: ['wash', 'press'],
  knitTension: ['bond', 'snug'],
  thickJacket: ['nothing', 'floated'],
  jumps: ['betweenColours', 'atEnd'],
  centreLine: ['wearers', 'seams', 'grain'],
} as const;

export type QuestionId = keyof typeof SCHOOL_IDS;
export type SchoolOf<Q extends QuestionId> = (typeof SCHOOL_IDS)[Q][number];

export const QUESTION_IDS = Object.keys(SCHOOL_IDS) as QuestionId[];
