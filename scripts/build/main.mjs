import { ensurePackages } from '../packages.mjs';

/** Builds what is served: the server and the web app. */
ensurePackages();
const [{ ensureServer }, { ensureWebApp }] = await Promise.all([
  import('./server.mjs'),
  import('./webApp.mjs'),
]);
await ensureServer();
await ensureWebApp();
// As small as it is once it has been served for a while.
await import('./packSmallest.mjs');
