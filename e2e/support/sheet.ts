import type { Page } from '@playwright/test';

/** The middle of the design on the sheet: where its three chalk crosses are, by the piece's own drawing. */
export async function designOnSheet(page: Page): Promise<{ x: number; y: number }> {
  const box = await page.getByTestId('sheet').boundingBox();
  const transform = await page
    .locator('[data-testid="sheet"] g[transform*="rotate"]')
    .first()
    .getAttribute('transform');
  const [x = 0, y = 0] = (/translate\(([-\d.]+)[ ,]+([-\d.]+)\)/.exec(transform ?? '') ?? [])
    .slice(1)
    .map(Number);
  return { x: (box?.x ?? 0) + x, y: (box?.y ?? 0) + y };
}
