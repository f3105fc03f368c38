import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';

const FAMILY = '@expo-google-fonts/atkinson-hyperlegible-next';
const pathOf = createRequire(import.meta.url).resolve;

let read: Promise<{ plain: Buffer; bold: Buffer }> | null = null;

/** The typeface that is printed with, as shipped with the app; read once. */
export function fonts(): Promise<{ plain: Buffer; bold: Buffer }> {
  read ??= Promise.all([
    readFile(pathOf(`${FAMILY}/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf`)),
    readFile(pathOf(`${FAMILY}/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf`)),
  ]).then(([plain, bold]) => ({ plain, bold }));
  return read;
}
