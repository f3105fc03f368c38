export { offeredInWords } from './inWords';
export type { Shared } from './merge';
export { mergeThree } from './merge';
export { mergeTickets } from './mergeTickets';
export { offerLeft, offerTaken } from './offers';
export {
  acknowledged,
  heard,
  isUnsent,
  type KeptAt,
  type Replica,
  received,
  replicaOf,
  type Sending,
  sending,
} from './replica';
