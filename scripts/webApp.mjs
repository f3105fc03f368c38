import { ensureWebApp } from './lib.mjs';

ensureWebApp();
