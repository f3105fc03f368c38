/** Everything that writes SVG files, in one piece that is fetched where one is written. */
export { writeCutFile } from '@zt/core/files/cutFile/cutFile';
export { writeSvg } from '@zt/core/files/stitchFiles/svg';
