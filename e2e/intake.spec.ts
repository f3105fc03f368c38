import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { test as plain } from '@playwright/test';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { readSvg } from '@zt/core/stages/design/svg/readSvg';
import { PASSED_OVER } from '@zt/core/stages/design/svg/shapes';
import { someOf } from '@zt/core/testing/cases';
import { toolsInNode } from '@zt/core/testing/toolsInNode';
import { expect } from './support/test';

/** A page is so wide, and shown so fine. */
const PAGE_MM = 100;
const PX_PER_MM = 10;

interface Drawing {
  name: string;
  svg: string;
  heightMm: number;
}

const MODULES = join(process.cwd(), 'node_modules');
/** Every so many of a list, so that each kind of drawing in it comes. */
const every = <T>(list: readonly T[], count: number): T[] =>
  list.filter(
    (_, i) => Math.floor((i * count) / list.length) !== Math.floor(((i - 1) * count) / list.length),
  );

/** A drawing on a page 100 mm wide: its own words for its size are taken away. */
function onPage(name: string, text: string): Drawing {
  const root = /<svg\b[^>]*>/i.exec(text)?.[0] ?? '';
  const [, , w = 1, h = 1] = (/viewBox="([^"]*)"/.exec(root)?.[1] ?? '0 0 1 1').split(/[\s,]+/).map(Number);
  const heightMm = (PAGE_MM * h) / w;
  const sized = root
    .replace(/\s(width|height)="[^"]*"/g, '')
    .replace(/^<svg/, `<svg width="${PAGE_MM}mm" height="${heightMm}mm"`);
  return { name, svg: text.replace(root, sized), heightMm };
}

const filesIn = (folder: string, count: number): Drawing[] =>
  every(
    readdirSync(join(MODULES, folder)).filter((name) => name.endsWith('.svg')),
    count,
  ).map((name) => onPage(name, readFileSync(join(MODULES, folder, name), 'utf8')));

/** Real drawings of others: flags with clips, icons of lines, pictures of people and things with gradients. */
function realDrawings(): Drawing[] {
  const { icons } = JSON.parse(readFileSync(join(MODULES, '@iconify-json/noto/icons.json'), 'utf8')) as {
    icons: Record<string, { body: string }>;
  };
  return [
    ...filesIn('flag-icons/flags/4x3', 100),
    ...filesIn('feather-icons/dist/icons', 100),
    ...every(Object.entries(icons), 150).map(([name, { body }]) =>
      onPage(
        name,
        `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 128 128" color="#000">${body}</svg>`,
      ),
    ),
  ];
}

interface Seen {
  areaMm2: number;
  box: [number, number, number, number];
}

interface Compared {
  theirs: Seen;
  ours: Seen;
  /** The share of what both cover that has plainly another colour. */
  otherColour: number;
}

/** What says that something is not as it was drawn. */
const NAMED: readonly string[] = Object.values(PASSED_OVER).filter(
  (remark) => remark !== PASSED_OVER.gradient && remark !== PASSED_OVER.edge,
);

plain('real drawings are read as a browser shows them', { tag: ['@long', '@deep'] }, async ({ page }) => {
  // Each of them is stitched, too, to count its stitches.
  plain.setTimeout(900_000);
  const tools = await toolsInNode();
  const figures = stitchFigures(DEFAULT_HOUSE_RULES);
  await page.setContent('<canvas></canvas>');
  const all = realDrawings();
  expect(all.length).toBeGreaterThanOrEqual(300);
  const drawings = someOf(all, 96);
  const refused: string[] = [];
  const named: string[] = [];
  const wrong: string[] = [];
  const offs: number[] = [];
  const boxes: number[] = [];
  const colours: number[] = [];
  for (const { name, svg, heightMm } of drawings) {
    const read = readSvg(svg, name, { figures, tools, cloth: '#ffffff', widthMm: null });
    if (!read.ok) {
      refused.push(`${name}: ${read.code}`);
      continue;
    }
    const { artwork } = read;
    const { theirs, ours, otherColour } = await page.evaluate(
      async ({ svg: text, paths, centre, width, height, perMm }): Promise<Compared> => {
        const dataOf = (canvas: OffscreenCanvas) =>
          (canvas.getContext('2d') as OffscreenCanvasRenderingContext2D).getImageData(0, 0, width, height)
            .data;
        const seenOn = (canvas: OffscreenCanvas): Seen => {
          const data = dataOf(canvas);
          let [count, left, top, right, bottom] = [0, canvas.width, canvas.height, -1, -1];
          for (let y = 0; y < canvas.height; y++)
            for (let x = 0; x < canvas.width; x++)
              if ((data[4 * (y * canvas.width + x) + 3] ?? 0) > 127) {
                count++;
                left = Math.min(left, x);
                right = Math.max(right, x + 1);
                top = Math.min(top, y);
                bottom = Math.max(bottom, y + 1);
              }
          return {
            areaMm2: count / perMm ** 2,
            box: [left / perMm, top / perMm, right / perMm, bottom / perMm],
          };
        };
        const image = new Image();
        image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
        await image.decode();
        const shown = new OffscreenCanvas(width, height);
        shown.getContext('2d')?.drawImage(image, 0, 0, width, height);
        const drawn = new OffscreenCanvas(width, height);
        const context = drawn.getContext('2d') as OffscreenCanvasRenderingContext2D;
        context.scale(perMm, perMm);
        context.translate(width / perMm / 2 - centre.x, height / perMm / 2 - centre.y);
        // One path for all: where two shapes meet there is no seam.
        context.fill(new Path2D(paths.map(({ d }) => d).join('')), 'nonzero');
        const ours = seenOn(drawn);
        for (const { d, hex } of paths) {
          context.fillStyle = hex;
          context.fill(new Path2D(d), 'nonzero');
        }
        const [a, b] = [dataOf(shown), dataOf(drawn)];
        let [both, other] = [0, 0];
        for (let i = 0; i < a.length; i += 4) {
          if ((a[i + 3] ?? 0) < 250 || (b[i + 3] ?? 0) < 250) continue;
          both++;
          const apart = Math.max(...[0, 1, 2].map((k) => Math.abs((a[i + k] ?? 0) - (b[i + k] ?? 0))));
          if (apart > 60) other++;
        }
        return { theirs: seenOn(shown), ours, otherColour: other / Math.max(1, both) };
      },
      {
        svg,
        paths: artwork.paths.map(({ d, stop }) => ({ d, hex: read.colours[stop]?.hex ?? '#000' })),
        centre: artwork.fileCentre,
        width: PAGE_MM * PX_PER_MM,
        height: Math.round(heightMm * PX_PER_MM),
        perMm: PX_PER_MM,
      },
    );
    const off = Math.abs(ours.areaMm2 - theirs.areaMm2) / Math.max(1, theirs.areaMm2);
    const box = Math.max(...ours.box.map((mm, i) => Math.abs(mm - (theirs.box[i] ?? 0))));
    offs.push(off);
    boxes.push(box);
    // The mean of a run of colours is another colour than most of it, and is said.
    const isMean = artwork.remarks.includes(PASSED_OVER.gradient);
    if (!isMean) colours.push(otherColour);
    if (off <= 0.01 && box <= 0.2 && (isMean || otherColour <= 0.02)) continue;
    const remarks = artwork.remarks.filter((remark) => NAMED.includes(remark));
    const words = `${name}: ${(100 * off).toFixed(1)} % of area, ${box.toFixed(2)} mm of box, ${(100 * otherColour).toFixed(1)} % in another colour`;
    if (remarks.length > 0) named.push(`${words} (${remarks.join(' ')})`);
    else wrong.push(words);
  }
  const at = (values: number[], share: number) =>
    [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? 0;
  console.log(
    [
      `  ${drawings.length} drawings, ${refused.length} refused, ${wrong.length + named.length} off (${wrong.length} without a word)`,
      `  area off, %: ${[0.5, 0.9, 0.97, 1].map((s) => (100 * at(offs, s)).toFixed(2)).join(' / ')} at median, 90, 97, all`,
      `  box off, mm: ${[0.5, 0.9, 0.97, 1].map((s) => at(boxes, s).toFixed(2)).join(' / ')}`,
      `  in another colour, %: ${[0.5, 0.9, 0.97, 1].map((s) => (100 * at(colours, s)).toFixed(1)).join(' / ')} of ${colours.length} without runs of colours`,
      ...refused,
      ...named,
      ...wrong,
    ].join('\n  '),
  );
  expect(refused).toEqual([]);
  expect(wrong).toEqual([]);
  // Three of a hundred may be off where that is said; of a few, one.
  expect(wrong.length + named.length).toBeLessThanOrEqual(Math.max(1, 0.03 * drawings.length));
});
