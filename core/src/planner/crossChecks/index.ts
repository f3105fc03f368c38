import type { Finding } from '../../model/finding';
import { readerOf } from '../../model/houseRules';
import type { Results } from '../planned';
import { changedSince } from '../settle';
import type { Given } from '../stage';
import { unreadFindings } from '../unreadFindings';
import { faintThreads } from './faintThreads';
import { handsRefuse } from './handsRefuse';
import { hotSpotFindings } from './hotSpots';
import { namesLeft, namesOnSizes } from './namesOnSizes';
import { offeredFindings } from './offered';
import { ringByUsual } from './ringByUsual';
import { stackFindings } from './stackThickness';

/** Works out the stages of another ticket, without what needs more than one of them to be seen. */
export type Replan = (given: Given) => Results;

/** What needs more than one stage to be seen. */
const CROSS_CHECKS: readonly ((given: Given, results: Results, replan: Replan) => Finding[])[] = [
  ({ ticket }) => offeredFindings(ticket),
  ({ ticket, rules }) => unreadFindings(ticket, readerOf(rules)),
  ({ ticket }) => [...namesOnSizes(ticket), ...namesLeft(ticket)],
  ({ rules }, { piece, design }) => faintThreads(piece.colour, design.facts, rules),
  ({ rules }, { piece, hoop, layers }) =>
    hoop && layers ? stackFindings(hoop, { fabric: piece.fabric, layers }, rules) : [],
  ({ ticket, rules }, results) => hotSpotFindings(results.design.facts, ticket.design, results, rules),
  (_, { piece, hoop }) => (hoop?.laid ? ringByUsual(piece) : []),
  ({ ticket }, results) => changedSince(ticket, results),
  handsRefuse,
];

/** All that the cross-checks find, in the order they are listed. */
export const crossChecks = (given: Given, results: Results, replan: Replan): Finding[] =>
  CROSS_CHECKS.flatMap((check) => check(given, results, replan));
