import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createContext, runInContext } from 'node:vm';

const BUNDLING = join(__dirname, '../../bundling');

/** Compiles modules as the app's are, in a program of its own. */
const COMPILES = `
  const { transformModern } = require(${JSON.stringify(join(BUNDLING, 'modern.cjs'))});
  const modules = Object.entries(JSON.parse(require('node:fs').readFileSync(0, 'utf8')));
  Promise.all(
    modules.map(async ([file, text]) => {
      const { dependencies, output } = await transformModern('/app/' + file, text);
      return [file, { names: dependencies.map(({ name }) => name), code: output[0].data.code }];
    }),
  ).then((all) => process.stdout.write(JSON.stringify(Object.fromEntries(all))));
`;

interface Compiled {
  names: string[];
  code: string;
}
type Factory = (...parts: unknown[]) => void;

/** What the module main.ts of some modules exports once it is run as a bundle runs it, and which of them were run by then. */
function bundled(files: Record<string, string>) {
  const { stdout, stderr } = spawnSync(process.execPath, ['-e', COMPILES], {
    input: JSON.stringify(files),
    encoding: 'utf8',
  });
  if (stdout === '') throw new Error(stderr);
  const compiled = JSON.parse(stdout) as Record<string, Compiled>;
  const run: string[] = [];
  const given = new Map<string, { exports: unknown }>();
  const page = createContext({ console });
  runInContext(readFileSync(join(BUNDLING, 'modules.js'), 'utf8'), page);
  const required = (name: string): unknown => {
    const before = given.get(name);
    if (before) return before.exports;
    const { names, code } = compiled[name] ?? { names: [], code: '' };
    const module = { exports: runInContext('({})', page) };
    given.set(name, module);
    run.push(name);
    const define = (factory: Factory) =>
      factory(
        page,
        required,
        null,
        null,
        module,
        module.exports,
        names.map((one) => one.replace('./', '')),
      );
    Object.assign(page, { __d: define });
    runInContext(code, page);
    return module.exports;
  };
  const main = required('main.ts') as Record<string, unknown>;
  return { main, run };
}

describe('what the app’s modules are compiled to', () => {
  it('gives each module what it imports: by name, as a whole, as its default, and of older ones', () => {
    const { main } = bundled({
      'main.ts': `
        import whole, { two as second, Thing } from './new.ts';
        import * as all from './new.ts';
        import older, { of } from './older.js';
        const two = 2;
        const kept = { second, Thing };
        const said = \`\${second} of \${all.two}\`;
        export const seen = [whole(), second(), new Thing(3).n, new all.Thing(4).n, all === all, typeof all.default];
        export const old = [older(), of, kept.second() + two, said.length > 0, kept.Thing === all.Thing];
      `,
      'new.ts': `
        export default () => 1;
        export function two() { return 2; }
        export class Thing { constructor(readonly n: number) {} }
      `,
      'older.js': `module.exports = function () { return 'older'; }; module.exports.of = 'of it';`,
    });
    expect(main.seen).toEqual([1, 2, 3, 4, true, 'function']);
    expect(main.old).toEqual(['older', 'of it', 4, true, true]);
  });

  it('hands on what others export, under names of its own and as they change', () => {
    const { main } = bundled({
      'main.ts': `
        export * from './counter.ts';
        export { count as counted } from './counter.ts';
        export * as counter from './counter.ts';
        export { default } from './counter.ts';
        import { more } from './counter.ts';
        more();
      `,
      'counter.ts': `export let count = 0; export const more = () => { count += 1; }; export default 'the counter';`,
    });
    expect([main.count, main.counted, main.default]).toEqual([1, 1, 'the counter']);
    expect((main.counter as { count: number }).count).toBe(1);
  });

  it('runs a module when something of it is first used, once; what is imported for what it does at once, in its place', () => {
    const { main, run } = bundled({
      'main.ts': `
        import './first.ts';
        import { later } from './later.ts';
        import './second.ts';
        export const ask = () => later + later;
      `,
      'first.ts': `globalThis.order = ['first'];`,
      'second.ts': `globalThis.order.push('second');`,
      'later.ts': `globalThis.order.push('later'); export const later = globalThis.order.join();`,
    });
    expect(run).toEqual(['main.ts', 'first.ts', 'second.ts']);
    expect((main.ask as () => string)()).toBe('first,second,laterfirst,second,later');
    expect(run).toEqual(['main.ts', 'first.ts', 'second.ts', 'later.ts']);
  });

  it('lets modules import each other in a circle', () => {
    const { main } = bundled({
      'main.ts': `import { isEven } from './even.ts'; export const seen = [isEven(10), isEven(7)];`,
      'even.ts': `import { isOdd } from './odd.ts'; export const isEven = (n) => n === 0 || isOdd(n - 1);`,
      'odd.ts': `import { isEven } from './even.ts'; export const isOdd = (n) => n !== 0 && isEven(n - 1);`,
    });
    expect(main.seen).toEqual([true, false]);
  });

  it('leaves alone what only looks like an import: names, words and properties', () => {
    const { main } = bundled({
      'main.ts': `
        import { a } from './a.ts';
        const a_1 = 'own', import_b = { a: 'its own' };
        export const seen = [a, a_1, import_b.a, 'import_a = none', { import_a: 1 }.import_a, /import_a/.source];
      `,
      'a.ts': `export const a = 'of a';`,
    });
    expect(main.seen).toEqual(['of a', 'own', 'its own', 'import_a = none', 1, 'import_a']);
  });

  it('takes packages that were compiled before as they are', () => {
    const { main } = bundled({
      'main.ts': `import { sum } from './packed.js'; export const seen = sum(2);`,
      'packed.js': `"use strict"; Object.defineProperty(exports, "__esModule", { value: true });
        var one_1 = require("./one.js"), two_1 = require("./two.js");
        exports.sum = function (n) { return n + one_1.one + (0, two_1.two)(); };`,
      'one.js': `exports.one = 1;`,
      'two.js': `exports.two = () => 2;`,
    });
    expect(main.seen).toBe(5);
  });

  it('takes of React Native the parts that are used alone', () => {
    const { main, run } = bundled({
      'main.ts': `import { View, Text as Words } from 'react-native'; export const seen = [View, Words];`,
      'react-native-web/dist/exports/View': `module.exports = { default: 'a view', __esModule: true };`,
      'react-native-web/dist/exports/Text': `module.exports = { default: 'a text', __esModule: true };`,
    });
    expect(main.seen).toEqual(['a view', 'a text']);
    expect(run).not.toContain('react-native');
  });
});
