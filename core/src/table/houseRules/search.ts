import type { HouseNumber } from '../../catalogue/houseNumber';
import { QUESTIONS } from '../../catalogue/schools';
import type { Belief } from '../../stages/layers/beliefs';

/** Words that people use for a thing that is written otherwise here, both ways. */
const SYNONYMS: readonly (readonly string[])[] = [
  ['terry', 'towel', 'pile', 'loops'],
  ['linen', 'open weave'],
  ['hoodie', 'sweatshirt', 'fleece', 'thick knit'],
  ['spray', 'sprayed', 'adhesive'],
  ['jersey', 'tee', 't-shirt', 'knit'],
  ['denim', 'duck', 'canvas', 'jacket'],
  ['backing', 'stabilizer', 'support'],
  ['film', 'topper', 'topping'],
  ['napkin', 'tea towel', 'table linen'],
  ['baby', 'toddler', 'bodysuit', 'young'],
  ['cushion', 'sat on'],
  ['tote', 'bag', 'carried'],
  ['lettering', 'letters', 'text'],
  ['hours', 'hour', 'time'],
];

/** A word with those that mean the same. */
const meaning = (word: string): string[] => [
  word,
  ...SYNONYMS.filter((group) => group.some((other) => other === word || other.startsWith(word))).flat(),
];

const wordsIn = (sought: string): string[] => sought.toLowerCase().split(/\s+/).filter(Boolean);

/** Whether a text answers every word that is sought, each by itself or by one that means the same. */
export function answersTo(text: string, sought: string): boolean {
  const own = text.toLowerCase();
  return wordsIn(sought).every((word) => meaning(word).some((one) => own.includes(one)));
}

/** What is shown of a rule, with the tickets it decides: what it is found by. */
export const textOfBelief = (belief: Belief, tickets: readonly string[] = []): string =>
  [
    belief.part,
    belief.on,
    belief.concludes,
    belief.school ? QUESTIONS[belief.school.question].question : '',
    belief.school
      ? (QUESTIONS[belief.school.question].schools as Record<string, string>)[belief.school.id]
      : '',
    ...tickets,
  ].join(' ');

const UNIT_WORDS = {
  mm: 'mm millimetres',
  deg: 'degrees',
  percent: 'percent %',
  count: '',
  seconds: 'seconds',
  minutes: 'minutes',
  hours: 'hours',
  metres: 'metres',
  money: 'money price cost',
  'per-mm2': 'per mm²',
} as const;

/** What is shown of a house number: its name, its reason and its unit. */
export const textOfNumber = ({ name, reason, unit }: HouseNumber): string =>
  `${name} ${reason} ${UNIT_WORDS[unit]}`;
