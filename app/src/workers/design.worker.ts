import { readSvg } from '@zt/core/stages/design/svg/readSvg';
import { expose } from 'comlink';

/** Reads drawings away from the screen's thread. */
const designWorker = { readSvg };
export type DesignWorker = typeof designWorker;

expose(designWorker);
