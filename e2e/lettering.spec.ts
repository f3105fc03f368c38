import { FACES } from '@zt/core/catalogue/faces';
import { missingIn } from '@zt/core/stages/design/lettering/placedLetters';
import { setLine } from '@zt/core/stages/design/lettering/setLine';
import { faceInNode } from '@zt/core/testing/facesInNode';
import { expect, test } from './support/test';

/** Names, words and figures, with the pairs that are kerned most. */
const STRINGS = [
  'AVA',
  'Tom',
  'To',
  'Wave',
  'Yvonne',
  'LATVIA',
  'Pennyscar',
  'Rowing Club',
  'Harbour Road',
  'Toffee',
  'fjord',
  'Office',
  'Fluffy',
  'Mr. & Mrs.',
  'Pa.',
  'T-shirt',
  'Zoë',
  'Jürgen',
  'Ångström',
  'Señor',
  'Éloïse',
  'KAYAK',
  'Vera',
  'Wyatt',
  'Ty',
  'L’Or',
  'R. V.',
  '1977',
  '2026',
  '11 May',
  'Nº 7',
  'Anna + Ben',
  'AWAY',
  'Fay',
  'Pvt.',
  'Xavier',
  'Quayle',
  'Lighthouse',
  'baby',
  'To Grandma',
] as const;
const PX = 400;

test('letters are as wide as the browser sets them, kerned pairs too, in every typeface', async ({
  page,
}) => {
  await page.goto('/');
  const off: { face: string; text: string; percent: number }[] = [];
  let kerned = 0;
  for (const { id, file } of FACES) {
    const face = await faceInNode(id);
    const asked = { url: `/faces/${file.split('/').at(-1)}`, strings: [...STRINGS], px: PX };
    const widths = await page.evaluate(async ({ url, strings, px }) => {
      const loaded = await new FontFace('asked', `url(${url})`).load();
      const fonts = document.fonts as unknown as Set<FontFace>;
      fonts.add(loaded);
      const context = document.createElement('canvas').getContext('2d');
      if (!context) throw new Error('no canvas');
      context.font = `${px}px asked`;
      context.textRendering = 'optimizeLegibility';
      const all = strings.map((text) => context.measureText(text).width);
      fonts.delete(loaded);
      return all;
    }, asked);
    STRINGS.forEach((text, i) => {
      // What a face lacks the browser takes from another.
      if (missingIn(text, face).length > 0) return;
      const own = (setLine(text, face, 0).width / face.unitsPerEm) * PX;
      const apart = [...text].reduce((sum, letter) => sum + setLine(letter, face, 0).width, 0);
      if (Math.abs((apart / face.unitsPerEm) * PX - own) > 1) kerned += 1;
      off.push({ face: id, text, percent: (100 * Math.abs(own - (widths[i] ?? 0))) / (widths[i] ?? 1) });
    });
  }
  off.sort((a, b) => b.percent - a.percent);
  const worst = off[0];
  console.log(
    `lettering: ${off.length} settings in ${FACES.length} typefaces, ${kerned} of them kerned or joined; off by ${worst?.percent.toFixed(3)} % at most (“${worst?.text}” in ${worst?.face}), ${off[Math.floor(off.length / 2)]?.percent.toFixed(3)} % at the median`,
  );
  expect(off.length).toBeGreaterThanOrEqual(STRINGS.length * 8);
  expect(kerned).toBeGreaterThan(60);
  expect(off.filter(({ percent }) => percent > 0.5)).toEqual([]);
});
