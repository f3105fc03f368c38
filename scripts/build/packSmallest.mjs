import { setPriority } from 'node:os';
import { onceFor } from '../lib.mjs';
import { packFolder, SMALLEST } from './pack.mjs';
import { DIST } from './webApp.mjs';

// Packs the web app as small as can be, behind whatever else the computer does.
setPriority(19);
await onceFor('packed', { reads: ['app/dist/serviceWorker.js'], makes: 'app/dist/index.html.br' }, () =>
  packFolder(DIST, SMALLEST),
);
