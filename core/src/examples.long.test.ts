import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LONG } from './testing/cases';

/** A test that compiles a copy of core, which takes its time. */
const itInLong = LONG ? it : it.skip;

const ROOT = join(__dirname, '../..');
const DOC = readFileSync(join(ROOT, 'docs/adding.md'), 'utf8');

/** The one file of each example that is given in full, and the one line that lists it. */
const FILES = [...DOC.matchAll(/^`(core\/src\/\S+\.ts)`:\n\n```ts\n([\s\S]*?)^```$/gm)].map(
  ([, path = '', text = '']) => ({
    path,
    text,
  }),
);
const LINES = [...DOC.matchAll(/In `(\w+)` of `(core\/src\/\S+)`: `(\w+)`, from `(\S+)`\./g)].map(
  ([, list = '', path = '', name = '', from = '']) => ({ list, path, name, from }),
);

/** What a shop would do with both examples: a hoop of the new kind, a bag of faux suede. */
const TRY = `
import { NUMBERS_OF } from './numbersOf';
import { DEFAULT_HOUSE_RULES } from './model/houseRules';
import { planTicket } from './planner/plan';
import { hoop, measuredTicket, SAMPLE_SHELF } from './testing/samples';

const shelf = { ...SAMPLE_SHELF, hoops: [hoop('hoop-spring', [130, 130], [160, 160], { kind: 'spring frame' })] };
const bag = measuredTicket('tote', 'front-centre', [60, 60]);
const ticket = { ...bag, piece: { ...bag.piece, fabricId: 'faux-suede' } };
const plan = planTicket(ticket, shelf, DEFAULT_HOUSE_RULES);
console.log(JSON.stringify({
  why: plan.hoop?.verdicts[0]?.whyNotUsed ?? null,
  rule: plan.layers?.supportRule,
  sheets: plan.layers?.sheets.map((s) => s.stabilizer),
  numbers: NUMBERS_OF(),
}));
`;
const NUMBERS = `
import { HOUSE_NUMBERS } from './table/houseRules/numbers';
export const NUMBERS_OF = () => HOUSE_NUMBERS.filter(({ id }) => id === 'closesSpringMm').map(({ value }) => value);
`;

const ONLY_WHAT_IS_TRIED = JSON.stringify({
  extends: '../tsconfig.base.json',
  compilerOptions: { types: ['node'] },
  files: ['src/tryIt.ts'],
});

itInLong(
  'the worked examples of a hoop kind and a layer rule are one file and one line each, compile, and are planned with',
  () => {
    expect([FILES.length, LINES.length]).toEqual([2, 2]);
    const house = mkdtempSync(join(tmpdir(), 'house-'));
    try {
      cpSync(join(ROOT, 'core'), join(house, 'core'), { recursive: true });
      for (const file of ['tsconfig.base.json', 'package.json']) cpSync(join(ROOT, file), join(house, file));
      symlinkSync(join(ROOT, 'node_modules'), join(house, 'node_modules'));
      for (const { path, text } of FILES) writeFileSync(join(house, path), text);
      for (const { list, path, name, from } of LINES) {
        const before = readFileSync(join(house, path), 'utf8');
        const listed = before.replace(new RegExp(`(${list}: readonly [^=]*= \\[)`), `$1${name}, `);
        expect(listed).not.toBe(before);
        writeFileSync(join(house, path), `import { ${name} } from '${from}';\n${listed}`);
      }
      writeFileSync(join(house, 'core/src/numbersOf.ts'), NUMBERS);
      writeFileSync(join(house, 'core/src/tryIt.ts'), TRY);
      writeFileSync(join(house, 'core/tsconfig.json'), ONLY_WHAT_IS_TRIED);
      const bin = (name: string) => join(ROOT, 'node_modules/.bin', name);
      const compiled = spawnSync(bin('tsc'), ['-p', 'core', '--noEmit'], { cwd: house, encoding: 'utf8' });
      expect(compiled.stdout).toBe('');
      const tried = spawnSync(bin('tsx'), ['core/src/tryIt.ts'], { cwd: house, encoding: 'utf8' });
      expect(JSON.parse(tried.stdout)).toEqual({
        why: null,
        rule: 'suede-bag',
        sheets: ['mesh'],
        numbers: [2.5],
      });
    } finally {
      rmSync(house, { recursive: true, force: true });
    }
  },
);
