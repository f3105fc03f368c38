/** What the day's page and the table show of it: fetched as one, when either is first asked for. */
export { DayAtTable } from './DayAtTable';
export { DayScreen } from './DayScreen';
