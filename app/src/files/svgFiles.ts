/** Everything that writes SVG files, in one piece that is fetched where one is written. */
export { writeCutFile } from '@zt/core/uses/cutFile/cutFile';
export { writeSvg } from '@zt/core/uses/stitchFiles/svg';
