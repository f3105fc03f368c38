export { offeredInWords, offeredText } from './inWords';
export { mergeTickets } from './mergeTickets';
export { fieldOffered, offerLeft, offerTaken } from './offers';
export {
  acknowledged,
  heard,
  isUnsent,
  type KeptAt,
  type Replica,
  received,
  type Sending,
  sending,
} from './replica';
