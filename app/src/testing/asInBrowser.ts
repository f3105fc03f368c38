/** Relative addresses, which mean nothing outside a browser, are of a shop here; the test answers them. */
export function asInBrowser(): void {
  const { fetch, Request } = globalThis;
  beforeAll(() => {
    globalThis.Request = class extends Request {
      constructor(input: RequestInfo | URL, init?: RequestInit) {
        super(
          typeof input === 'string' && input.startsWith('/') ? `http://shop.invalid${input}` : input,
          init,
        );
      }
    } as typeof Request;
  });
  afterAll(async () => {
    // A store tells its last changes with the next frame.
    await new Promise((told) => setTimeout(told, 100));
    globalThis.fetch = fetch;
    globalThis.Request = Request;
  });
}

/** Waits until it is so, for ten seconds at most. */
export async function until(holds: () => boolean): Promise<void> {
  for (let i = 0; i < 500 && !holds(); i++) await new Promise((done) => setTimeout(done, 20));
  expect(holds()).toBe(true);
}
