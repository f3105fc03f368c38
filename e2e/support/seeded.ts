import { rmSync } from 'node:fs';
import { openShop, SEEDED } from './shop';

/** Before all tests: the demo's shop is made once, and copied for whoever needs it. */
export default async function seeded(): Promise<void> {
  rmSync(SEEDED, { recursive: true, force: true });
  const { down } = await openShop({ folder: SEEDED });
  await down();
}
