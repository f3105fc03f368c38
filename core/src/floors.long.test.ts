import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

const ROOT = join(__dirname, '../..');
const CONFIG = join(ROOT, '.dependency-cruiser.cjs');

interface Violation {
  rule: { name: string };
  from: string;
}

/** The rules that a small house of these files breaks, each with the file that breaks it. */
function brokenBy(files: Record<string, string>): string[] {
  const house = mkdtempSync(join(tmpdir(), 'house-'));
  try {
    for (const [path, text] of Object.entries(files)) {
      mkdirSync(dirname(join(house, path)), { recursive: true });
      writeFileSync(join(house, path), text);
    }
    writeFileSync(join(house, 'tsconfig.base.json'), '{ "compilerOptions": { "module": "esnext" } }');
    const roots = [...new Set(Object.keys(files).map((path) => path.split('/')[0] ?? path))];
    const bin = join(ROOT, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
    const run = spawnSync(process.execPath, [bin, '-c', CONFIG, '-T', 'json', ...roots], {
      cwd: house,
      encoding: 'utf8',
    });
    const { violations } = (JSON.parse(run.stdout) as { summary: { violations: Violation[] } }).summary;
    return violations.map(({ rule, from }) => `${rule.name} (${from})`).sort();
  } finally {
    rmSync(house, { recursive: true, force: true });
  }
}

const THING = 'export interface Thing { id: string }\n';
const taking = (path: string) => `import type { Thing } from '${path}';\nexport type Kept = Thing;\n`;

describe('the lint of the floors', () => {
  it('fails on an import planted up a floor, from a later stage, between features and in a circle, types included', () => {
    expect(
      brokenBy({
        'core/src/model/thing.ts': THING,
        'core/src/base/low.ts': taking('../model/thing'),
        'core/src/stages/layers/thing.ts': THING,
        'core/src/stages/hoop/early.ts': taking('../layers/thing'),
        'core/src/table/a.ts': `import type { B } from './b';\n${THING}export type A = B;\n`,
        'core/src/table/b.ts': `import type { Thing } from './a';\nexport type B = Thing;\n`,
        'core/src/business/thing.ts': THING,
        'core/src/ledger/early.ts': taking('../business/thing'),
        'app/src/features/bench/thing.ts': THING,
        'app/src/features/shelf/other.ts': taking('../bench/thing'),
        'app/src/sheet/drawing.ts': taking('../features/bench/thing'),
        'server/src/features/tickets/routes.ts': THING,
        'server/src/features/logbook/routes.ts': taking('../tickets/routes'),
      }),
    ).toEqual(
      [
        "another noun's routes (server/src/features/logbook/routes.ts)",
        'between features (app/src/features/shelf/other.ts)',
        'circle (core/src/table/a.ts)',
        'a later stage: hoop (core/src/stages/hoop/early.ts)',
        'up a floor of core: base (core/src/base/low.ts)',
        'up a floor of core: ledger (core/src/ledger/early.ts)',
        'up a floor of the app: sheet (app/src/sheet/drawing.ts)',
      ].sort(),
    );
  });

  it('passes a house that is in order', () => {
    expect(
      brokenBy({
        'core/src/base/thing.ts': THING,
        'core/src/stages/hoop/thing.ts': taking('../../base/thing'),
        'core/src/stages/layers/later.ts': taking('../hoop/thing'),
        'core/src/planner/above.ts': taking('../stages/layers/later').replace(
          '{ Thing }',
          '{ Kept as Thing }',
        ),
      }),
    ).toEqual([]);
  });
});
