import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { transformSync } from 'esbuild';
import { ROOT } from '../lib.mjs';

const SCRIPTS = '_expo/static/js/web';
const inApp = (file) => readFileSync(join(ROOT, 'app', file), 'utf8');

/** Puts a script beside an exported app and has its page run it before any other. Its name tells what it holds. */
function runFirst(folder, page, text) {
  const { code } = transformSync(text, { minify: true });
  const hash = createHash('sha256').update(code).digest('hex').slice(0, 32);
  writeFileSync(join(folder, `first-${hash}.js`), code);
  return page.replace('<script src=', `<script src="/first-${hash}.js" defer></script><script src=`);
}

/** Changes the page of an exported app. */
function changePage(folder, change) {
  const file = join(folder, 'index.html');
  writeFileSync(file, change(readFileSync(file, 'utf8')));
}

/** Has the page of an exported app run what compiled modules call before any of them. */
export const putModules = (folder) =>
  changePage(folder, (page) => runFirst(folder, page, inApp('bundling/modules.js')));

/**
 * Makes the page of the app: what is seen before any script, what is asked for at once, what compiled modules call, where
 * each worker is (the name of its file tells what it holds), and the layout of all pages fetched with the rest.
 */
export function makePage(folder, workers) {
  const named = `<meta name="workers" content="${Object.values(workers).join(' ')}">`;
  const layout = readdirSync(join(folder, SCRIPTS)).find((name) => /^_layout-[0-9a-f]+\.js$/.test(name));
  const sooner = `<link rel="preload" as="script" href="/${SCRIPTS}/${layout}">`;
  changePage(folder, (page) =>
    runFirst(folder, page, `${inApp('shell/early.js')}\n${inApp('bundling/modules.js')}`)
      .replace('</head>', `${named}${sooner}</head>`)
      .replace('<div id="root"></div>', `<div id="root"></div>${inApp('shell/frame.html')}`),
  );
}
