import type { Page } from '@playwright/test';

declare global {
  interface Window {
    frames60: number[];
  }
}

/** A frame that takes longer is seen to hang. */
export const LONG_FRAME_MS = 50;

/** From here on every frame of the page is timed. */
export async function startCountingFrames(page: Page) {
  await page.evaluate(() => {
    window.frames60 = [];
    let before = performance.now();
    const each = (now: number) => {
      window.frames60.push(now - before);
      before = now;
      requestAnimationFrame(each);
    };
    requestAnimationFrame(each);
  });
}
