import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DAY, EVENING } from './palette';

const FRAME = readFileSync(join(__dirname, '../../shell/frame.html'), 'utf8');
/** The colours that a part of the frame's style names. */
const coloursIn = (text: string) =>
  Object.fromEntries([...text.matchAll(/--(\w+): (#\w{6});/g)].map(([, name = '', hex = '']) => [name, hex]));

it('what is seen before any script has the colours of the app, by day and in the evening', () => {
  const [day = '', evening = ''] = FRAME.split('prefers-color-scheme: dark');
  for (const [text, palette] of [
    [day, DAY],
    [evening, EVENING],
  ] as const) {
    const seen = coloursIn(text);
    expect(Object.keys(seen)).toEqual(['paper', 'panel', 'ink', 'tape', 'graphite']);
    for (const [name, hex] of Object.entries(seen))
      expect([name, hex.toUpperCase()]).toEqual([name, palette[name as keyof typeof palette].toUpperCase()]);
  }
});
