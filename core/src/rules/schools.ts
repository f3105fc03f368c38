/** The questions on which practitioners disagree; the first school of each is our default. */
export const QUESTIONS = {
  layerCount: {
    question: 'How many layers',
    schools: { weight: 'by weight of the design', alwaysTwo: 'always two' },
  },
  wearableBacking: {
    question: 'Backing for wearables',
    schools: {
      stays: 'cut-away or mesh stays in',
      washAway: 'wash-away: you wear it, you wash it',
      meshTear: 'mesh with tear-away on top',
    },
  },
  method: {
    question: 'Hooped or floated',
    schools: {
      hoop: 'hoop when you can',
      floatLight: 'float only light designs',
      float: 'float by default',
    },
  },
  hold: {
    question: 'Fix for shifting',
    schools: { fuse: 'fuse first', spray: 'spray', sticky: 'sticky sheet', baste: 'basting box' },
  },
  topper: {
    question: 'Topper',
    schools: { sinks: 'where stitches could sink', always: 'always' },
  },
  trim: {
    question: 'Trimming what stays',
    schools: { rounded: '6–12 mm, rounded', close: 'close, 3 mm', tearAll: 'tear out everything that comes' },
  },
  chest: {
    question: 'Chest placement',
    schools: { table: 'by table', armhole: 'by armhole', collar: 'by collar' },
  },
  prepare: {
    question: 'Before marking',
    schools: { wash: 'wash and press', press: 'press only' },
  },
  knitTension: {
    question: 'Tension of knits',
    schools: { bond: 'bond first, never stretch', snug: 'snug it after closing' },
  },
  thickJacket: {
    question: 'Thick jackets',
    schools: { nothing: 'nothing in the ring', floated: 'a sheet floated underneath' },
  },
  jumps: {
    question: 'Jump threads',
    schools: { betweenColours: 'between colours', atEnd: 'at the end' },
  },
  centreLine: {
    question: 'Centre of an uneven garment',
    schools: { wearers: "the wearer's line", seams: "the seams' line", grain: "the grain's line" },
  },
} as const;

export type QuestionId = keyof typeof QUESTIONS;
export type SchoolOf<Q extends QuestionId> = keyof (typeof QUESTIONS)[Q]['schools'] & string;

export const QUESTION_IDS = Object.keys(QUESTIONS) as QuestionId[];

/** The schools of a question, as [id, name], default first. */
export function schoolsOf(question: QuestionId): [string, string][] {
  return Object.entries(QUESTIONS[question].schools);
}
