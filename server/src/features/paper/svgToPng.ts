import { Resvg } from '@resvg/resvg-wasm';
import { startResvg } from '@zt/core/stages/design/svg/tools';
import { resvgWasm } from '../../compiled';
import { fonts } from './fonts';

let started: Promise<void> | null = null;

const start = () => resvgWasm().then(startResvg);

/** The largest picture that is made, pixels either way; and one to look at before it is printed. */
export const MOST_PX = { width: 1600, height: 4000 };
export const PREVIEW_PX = { width: 900, height: 3200 };

/** A picture of an SVG drawing that is `upright` times as high as wide, as large as `most` allows. */
export async function svgToPng(
  svg: string,
  upright: number,
  most: { width: number; height: number } = MOST_PX,
): Promise<Uint8Array> {
  started ??= start();
  await started;
  const { plain, bold } = await fonts();
  const image = new Resvg(svg, {
    fitTo:
      upright * most.width > most.height
        ? { mode: 'height', value: most.height }
        : { mode: 'width', value: most.width },
    font: {
      fontBuffers: [new Uint8Array(plain), new Uint8Array(bold)],
      defaultFontFamily: 'Atkinson Hyperlegible Next',
    },
  });
  return image.render().asPng();
}
