import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { initWasm, Resvg } from '@resvg/resvg-wasm';
import { fonts } from './fonts';

let started: Promise<void> | null = null;

const start = () =>
  readFile(createRequire(import.meta.url).resolve('@resvg/resvg-wasm/index_bg.wasm')).then((wasm) =>
    initWasm(wasm),
  );

/** A picture of an SVG drawing, so many pixels wide. */
export async function svgToPng(svg: string, widthPx: number): Promise<Uint8Array> {
  started ??= start();
  await started;
  const { plain, bold } = await fonts();
  const image = new Resvg(svg, {
    fitTo: { mode: 'width', value: widthPx },
    font: {
      fontBuffers: [new Uint8Array(plain), new Uint8Array(bold)],
      defaultFontFamily: 'Atkinson Hyperlegible Next',
    },
  });
  return image.render().asPng();
}
