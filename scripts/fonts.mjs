import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import subsetFont from 'subset-font';
import { ROOT } from './lib.mjs';

/**
 * Makes the app's fonts from the packages they come in: Latin letters of all Europe, figures, signs and punctuation, as
 * woff2. What a name holds beyond them is drawn in the system's own font.
 */
const FONTS = {
  Bench: 'atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular',
  'Bench-SemiBold': 'atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold',
  'Bench-Bold': 'atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold',
  Title: 'zilla-slab/600SemiBold/ZillaSlab_600SemiBold',
};
/** Blocks of Unicode: Latin to Extended-B, punctuation, currency, arrows, mathematical signs. */
const BLOCKS = [
  [0x20, 0x7e],
  [0xa0, 0x24f],
  [0x2010, 0x2044],
  [0x20a0, 0x20bf],
  [0x2190, 0x2199],
  [0x2212, 0x2265],
];

const letters = BLOCKS.flatMap(([first, last]) =>
  Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i)),
).join('');
const out = join(ROOT, 'app/assets/fonts');
mkdirSync(out, { recursive: true });
for (const [name, file] of Object.entries(FONTS)) {
  const whole = readFileSync(join(ROOT, 'node_modules/@expo-google-fonts', `${file}.ttf`));
  const subset = await subsetFont(whole, letters, {
    targetFormat: 'woff2',
    noLayoutClosure: true,
    noHinting: true,
  });
  writeFileSync(join(out, `${name}.woff2`), subset);
  console.log(
    `${name}.woff2: ${(subset.length / 1000).toFixed(0)} kB of ${(whole.length / 1000).toFixed(0)}`,
  );
}
