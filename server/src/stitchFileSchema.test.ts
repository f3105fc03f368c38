import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { stitchFileJsonSchema } from './stitchFileSchema';

const PUBLISHED = join(__dirname, '../../docs/stitches.schema.json');

it('the schema in the docs is the one that files are read by; PRINT=1 prints it anew', () => {
  const schema = stitchFileJsonSchema();
  if (process.env.PRINT) writeFileSync(PUBLISHED, `${JSON.stringify(schema, null, 2)}\n`);
  expect(JSON.parse(readFileSync(PUBLISHED, 'utf8'))).toEqual(JSON.parse(JSON.stringify(schema)));
  expect(schema).toMatchObject({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    properties: { units: { const: 'mm' }, stitches: { properties: { x: { type: 'array' } } } },
  });
});
