import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { boundsTable } from '@zt/core/testing/boundsTable';

const FILE = join(process.cwd(), 'docs/bounds.md');

it('docs/bounds.md says what the schemas say (npx jest server/src/bounds with PRINT=1 prints it anew)', () => {
  if (process.env.PRINT === '1') writeFileSync(FILE, boundsTable());
  expect(readFileSync(FILE, 'utf8')).toBe(boundsTable());
});
