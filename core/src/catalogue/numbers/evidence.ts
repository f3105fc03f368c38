import { houseNumbers } from '../houseNumber';

/** How much each thing counts when past pieces are likened to the one at hand, and what is believed before any is logged. */
export const EVIDENCE_NUMBERS = houseNumbers({
  likeCloth: {
    name: 'Likeness: another cloth',
    value: 3,
    unit: 'count',
    reason:
      'What happens to a piece is decided by its cloth first; half of it where the structure is the same.',
  },
  likeStretch: {
    name: 'Likeness: stretch',
    value: 2,
    unit: 'count',
    reason: 'Cloth that gives as much puckers as much.',
  },
  likePile: { name: 'Likeness: pile', value: 1, unit: 'count', reason: 'What stands up swallows stitches.' },
  likeDensity: {
    name: 'Likeness: density',
    value: 2,
    unit: 'count',
    reason: 'As much thread pulls as much.',
  },
  likeMethod: {
    name: 'Likeness: hooped or floated',
    value: 2,
    unit: 'count',
    reason: 'Who holds the cloth, the ring or the sheet.',
  },
  likeStack: { name: 'Likeness: stack', value: 3, unit: 'count', reason: 'By the sheets that both have.' },
  likeSize: {
    name: 'Likeness: size',
    value: 1,
    unit: 'count',
    reason: 'A large design pulls farther than a small one.',
  },
  likeWithin: {
    name: 'Alike up to',
    value: 20,
    unit: 'percent',
    reason: 'Of all that could be different: beyond, a past piece says little of this one.',
  },
  evidenceLeast: {
    name: 'Evidence from',
    value: 5,
    unit: 'count',
    reason: 'So many pieces at least before anything is said: fewer are chance.',
  },
  believedBase: {
    name: 'Goes wrong anyway',
    value: 2,
    unit: 'percent',
    reason: 'So often any one fault is seen where no rule warns of it.',
  },
  believedMost: {
    name: 'A risk of 100 points goes wrong',
    value: 40,
    unit: 'percent',
    reason: 'Risk points order stacks; so they are read as chances until pieces of one’s own say better.',
  },
  interval: {
    name: 'Chances are told within',
    value: 90,
    unit: 'percent',
    reason: 'So surely the true share lies between the two figures that are told.',
  },
  contradicts: {
    name: 'Evidence speaks against a rule from',
    value: 95,
    unit: 'percent',
    reason: 'So sure it must be that another stack goes wrong less often.',
  },
  worthTelling: {
    name: 'Worth another stack from',
    value: 5,
    unit: 'percent',
    reason: 'So many of a hundred pieces fewer must go wrong: less is not worth the change.',
  },
  priorPieces: {
    name: 'The rule counts as',
    value: 8,
    unit: 'count',
    reason: 'So many pieces of one’s own weigh as much as what the trade believes.',
  },
});
