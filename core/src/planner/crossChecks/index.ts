import type { Finding } from '../../model/finding';
import { readerOf } from '../../model/houseRules';
import type { Results } from '../planned';
import { changedSince } from '../settle';
import type { Given } from '../stage';
import { unreadFindings } from '../unreadFindings';
import { faintThreads } from './faintThreads';
import { hotSpotFindings } from './hotSpots';
import { namesLeft, namesOnSizes } from './namesOnSizes';
import { offeredFindings } from './offered';
import { ringByUsual } from './ringByUsual';
import { stackFindings } from './stackThickness';

/** What needs more than one stage to be seen. */
const CROSS_CHECKS: readonly ((given: Given, results: Results) => Finding[])[] = [
  ({ ticket }) => offeredFindings(ticket),
  ({ ticket, rules }) => unreadFindings(ticket, readerOf(rules)),
  ({ ticket }) => [...namesOnSizes(ticket), ...namesLeft(ticket)],
  ({ rules }, { piece, design }) => faintThreads(piece.colour, design.facts, rules),
  ({ rules }, { piece, hoop, layers }) =>
    hoop && layers ? stackFindings(hoop, { fabric: piece.fabric, layers }, rules) : [],
  ({ ticket, rules }, results) => hotSpotFindings(results.design.facts, ticket.design, results, rules),
  (_, { piece, hoop }) => (hoop?.laid ? ringByUsual(piece) : []),
  ({ ticket }, results) => changedSince(ticket, results),
];

/** All that the cross-checks find, in the order they are listed. */
export const crossChecks = (given: Given, results: Results): Finding[] =>
  CROSS_CHECKS.flatMap((check) => check(given, results));
