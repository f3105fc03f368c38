/** A logged piece once more, and logged pieces side by side: fetched when it is asked for. */
export { type Again, type AgainFor, doAgain } from './doAgain';
export { type ComparedLine, compared } from './figures';
