/** A test's clock is there to end what hangs, on a busy machine too; nothing is measured by it. */
jest.setTimeout(process.env.LONG === '1' ? 900_000 : 60_000);
