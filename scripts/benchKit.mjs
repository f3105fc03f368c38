/** What the benchmarks in a browser share: a slow phone, its frames, how figures are written. */

export const SLOWER = 4;
export const PHONE = { width: 390, height: 844 };

const sorted = (values) => [...values].sort((a, b) => a - b);
export const median = (values) => sorted(values)[Math.floor(values.length / 2)] ?? Number.NaN;
export const p95 = (values) => sorted(values)[Math.floor(values.length * 0.95)] ?? Number.NaN;

export const row = (what, value, beside = '') =>
  console.log(`${what.padEnd(46)} ${value.padStart(10)}  ${beside}`);
export const ms = (value) => `${value.toFixed(1)} ms`;

/** A page of a phone whose processor is as slow as asked. */
export async function slowPage(browser) {
  const page = await browser.newPage({ viewport: PHONE });
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  return { page, session };
}

/** Frames while something goes on, ms each. */
export const framesWhile = (page, lastingMs) =>
  page.evaluate(
    (lasting) =>
      new Promise((done) => {
        const frames = [];
        let [before, begun] = [0, 0];
        const next = (now) => {
          if (before > 0) frames.push(now - before);
          else begun = now;
          before = now;
          if (now - begun < lasting) requestAnimationFrame(next);
          else done(frames);
        };
        requestAnimationFrame(next);
      }),
    lastingMs,
  );
