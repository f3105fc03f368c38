import { ensureServer } from '../../../scripts/build/server.mjs';

/** Before the tests of the server: it is built, as a shop has it, for those that start it as a program. */
export default () => ensureServer();
