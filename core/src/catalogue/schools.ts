import type { Reason } from '../model/reason';
import type { QuestionId, SchoolOf } from '../model/schoolIds';
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
} as const satisfies { [Q in QuestionId]: { question: string; schools: Record<SchoolOf<Q>, string> } };

/** The schools of a question, as [id, name], default first. */
export function schoolsOf(question: QuestionId): [string, string][] {
  return Object.entries(QUESTIONS[question].schools);
}

/** The question a school belongs to, in words. */
export const questionText = (question: QuestionId): string => QUESTIONS[question].question;

const told = new Map<string, NonNullable<Reason['school']>>();

/** The school part of a reason, in words. Every plan says the same few: each is put together once. */
export function schoolReason(question: QuestionId, chosen: string): NonNullable<Reason['school']> {
  const key = `${question} ${chosen}`;
  const before = told.get(key);
  if (before) return before;
  const said = inWords(question, chosen);
  told.set(key, said);
  return said;
}

function inWords(question: QuestionId, chosen: string): NonNullable<Reason['school']> {
  const schools = schoolsOf(question);
  return {
    question,
    chosen: schools.find(([id]) => id === chosen)?.[1] ?? chosen,
    others: schools.filter(([id]) => id !== chosen).map(([, name]) => name),
  };
}
