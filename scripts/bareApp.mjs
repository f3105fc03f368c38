import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { putModules } from './build/page.mjs';
import { bin, onceFor, ROOT, run } from './lib.mjs';

export const BARE_APP = 'bare-app/dist';
const FOLDER = 'bare-app';

const FILES = {
  'package.json': '{ "name": "bare", "private": true, "main": "expo-router/entry" }',
  'app.json': `{ "expo": { "name": "Bare", "slug": "bare", "scheme": "bare", "platforms": ["web"],
    "web": { "bundler": "metro", "output": "single" }, "plugins": ["expo-router"] } }`,
  'babel.config.js': "module.exports = (api) => (api.cache(true), { presets: ['babel-preset-expo'] });",
  // Compiled as the app is.
  'metro.config.js': `const config = require('expo/metro-config').getDefaultConfig(__dirname);
    const root = ${JSON.stringify(ROOT)};
    require(root + '/app/bundling/compiledQuickly.cjs').compileQuickly(config);
    config.watchFolders = [root];
    config.resolver.nodeModulesPaths = [root + '/node_modules'];
    module.exports = config;`,
  'src/app/index.js': `import { Text } from 'react-native';
    export default () => <Text>Bare</Text>;`,
};

/** Bytes of the scripts, packed, of an app of the same platform with one word in it. */
export async function weighBareApp() {
  await onceFor(
    'bare',
    { reads: ['package-lock.json', 'scripts/bareApp.mjs', 'app/bundling'], makes: BARE_APP },
    () => {
      console.log('Building a bare app to weigh against (about half a minute).');
      for (const [name, text] of Object.entries(FILES)) {
        mkdirSync(join(ROOT, FOLDER, name, '..'), { recursive: true });
        writeFileSync(join(ROOT, FOLDER, name), text);
      }
      run(bin('expo'), ['export', '-p', 'web'], { cwd: join(ROOT, FOLDER), env: { CI: '1' } });
      putModules(join(ROOT, BARE_APP));
    },
  );
  const scripts = join(ROOT, BARE_APP, '_expo/static/js/web');
  return readdirSync(scripts)
    .filter((name) => name.endsWith('.js'))
    .reduce((sum, name) => sum + brotliCompressSync(readFileSync(join(scripts, name))).length, 0);
}
