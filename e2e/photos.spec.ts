import { createCanvas, loadImage } from '@napi-rs/canvas';
import type { Page } from '@playwright/test';
import { KEPT_PHOTO } from '@zt/core/model/photo';
import { lookAtPhoto, saysMore } from '@zt/core/records/photos/look';
import { casesOf } from '@zt/core/testing/cases';
import { asTaken, drawn } from '@zt/core/testing/pictures';
import { randomLcg } from 'd3-random';
import { expect, test } from './support/test';
import { copyOf } from './support/ticket';

const FILES = casesOf(200, 10);
/** So many stand on one ticket before the next is taken. */
const ON_ONE = 20;

interface Varied {
  name: string;
  bytes: Uint8Array;
  /** Where red lies once it is turned right, and its sides then; null where it must be refused. */
  as: { corner: string; wide: number; high: number } | null;
}

const CORNERS = ['top left', 'top right', 'bottom right', 'bottom left'] as const;

/** A file as cameras, phones and people hand them over. */
function variedFile(seed: number): Varied {
  const next = randomLcg(seed / FILES);
  for (let i = 0; i < 3; i += 1) next();
  const whole = (least: number, most: number) => least + Math.floor(next() * (most - least + 1));
  const [wide, high] = [whole(20, 2200), whole(20, 2200)];
  const how = seed % 10;
  const name = `file-${seed}.jpg`;
  if (how === 7) return { name, bytes: new TextEncoder().encode(`note ${seed}: baste it`), as: null };
  if (how === 8) {
    const type = (['jpeg', 'png', 'webp'] as const)[whole(0, 2)] ?? 'jpeg';
    const bytes = drawn(wide, high, type);
    return { name, bytes: bytes.subarray(0, whole(2, bytes.length - 16)), as: null };
  }
  if (how === 9) {
    const gif = [
      ...new TextEncoder().encode('GIF89a'),
      wide & 255,
      1,
      high & 255,
      1,
      0,
      0,
      0,
      seed & 255,
      0x3b,
    ];
    return { name, bytes: new Uint8Array(gif), as: null };
  }
  if (how < 2) {
    const bytes = drawn(wide, high, how === 0 ? 'png' : 'webp');
    return { name, bytes, as: { corner: 'top left', wide, high } };
  }
  const orientation = whole(1, 8);
  const turned = orientation > 4;
  return {
    name,
    bytes: asTaken(drawn(wide, high, 'jpeg'), orientation),
    as: {
      corner: CORNERS[(orientation - 1) % 4] ?? 'top left',
      wide: turned ? high : wide,
      high: turned ? wide : high,
    },
  };
}

/** In which corner of a kept photo red lies. */
async function redCorner(jpeg: Buffer): Promise<string> {
  const image = await loadImage(jpeg);
  const canvas = createCanvas(image.width, image.height);
  const context = canvas.getContext('2d');
  context.drawImage(image, 0, 0);
  const isRed = (x: number, y: number) => {
    const [r = 0, , b = 0] = context.getImageData(
      Math.floor(x * image.width),
      Math.floor(y * image.height),
      1,
      1,
    ).data;
    return r > b;
  };
  const places = [
    [0.25, 0.25],
    [0.75, 0.25],
    [0.75, 0.75],
    [0.25, 0.75],
  ] as const;
  return CORNERS.filter((_, i) => {
    const [x, y] = places[i] ?? [0, 0];
    return isRed(x, y);
  }).join();
}

const imagesOn = (page: Page) => page.getByRole('group', { name: 'Photos' }).getByRole('img');

test(`${FILES} varied files: right way up and plain, or refused in words`, { tag: '@long' }, async ({
  page,
}) => {
  test.setTimeout(420_000);
  let on = ON_ONE;
  let refused = 0;
  for (let seed = 0; seed < FILES; seed += 1) {
    if (on >= ON_ONE) {
      await page.goto(`${await copyOf(page, 'demo-ticket-02')}/log`);
      on = 0;
    }
    const { name, bytes, as } = variedFile(seed);
    await page
      .getByLabel('A photo front', { exact: true })
      .setInputFiles({ name, mimeType: 'image/jpeg', buffer: Buffer.from(bytes) });
    if (!as) {
      await expect(page.getByTestId('photo-word')).toHaveText(
        new RegExp(`^${name}: (The file breaks off|It is )`),
      );
      refused += 1;
      continue;
    }
    on += 1;
    await expect(imagesOn(page)).toHaveCount(on);
    const src = await imagesOn(page).last().getAttribute('src');
    const jpeg = await (await page.request.get(src ?? '')).body();
    const look = lookAtPhoto(new Uint8Array(jpeg));
    if (!look.ok) throw new Error(`${name}: ${look.why}`);
    const scale = Math.min(1, KEPT_PHOTO.px / Math.max(as.wide, as.high));
    expect([
      look.is.type,
      look.is.orientation,
      saysMore(new Uint8Array(jpeg)),
      await redCorner(jpeg),
    ]).toEqual(['jpeg', 1, false, as.corner]);
    expect(Math.abs(look.is.widthPx - as.wide * scale)).toBeLessThanOrEqual(1);
    expect(Math.abs(look.is.heightPx - as.high * scale)).toBeLessThanOrEqual(1);
  }
  expect(refused).toBe((FILES / 10) * 3);
});
