/** What is planned for the whole bench, on its pages and at the table: fetched as one, when any of it is first asked for. */
export { CuttingScreen } from './cutting/CuttingScreen';
export { DayAtTable } from './DayAtTable';
export { DayScreen } from './DayScreen';
