import {
  useMode as addMode,
  converter,
  modeHsl,
  modeHwb,
  modeLab,
  modeLab65,
  modeLch,
  modeLch65,
  modeOklab,
  modeOklch,
  modeRgb,
  modeXyz50,
  modeXyz65,
} from 'culori/fn';

// The colour spaces that CSS can name a colour in, and those that colours are compared in; no others are shipped.
for (const mode of [modeXyz50, modeXyz65, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch])
  addMode(mode as Parameters<typeof addMode>[0]);
addMode(modeRgb);
addMode(modeLab65);
addMode(modeLch65);

/** CIE Lab and LCh against D65, and sRGB, of any colour that is read. */
export const toLab = converter('lab65');
export const toLch = converter('lch65');
export const toRgb = converter('rgb');
export { differenceCiede2000, formatHex, nearest, parse } from 'culori/fn';
