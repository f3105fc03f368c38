import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { transformSync } from 'esbuild';
import { ROOT } from '../lib.mjs';

/** Puts what compiled modules call into an exported app, and has its page run it before any of them. */
export function putModules(folder) {
  const { code } = transformSync(readFileSync(join(ROOT, 'app/bundling/modules.js'), 'utf8'), {
    minify: true,
  });
  const hash = createHash('sha256').update(code).digest('hex').slice(0, 32);
  writeFileSync(join(folder, `modules-${hash}.js`), code);
  const page = join(folder, 'index.html');
  const script = `<script src="/modules-${hash}.js" defer></script>`;
  writeFileSync(page, readFileSync(page, 'utf8').replace('<script src=', `${script}<script src=`));
}
