/** A test's clock is there to end what hangs, on a busy machine too; nothing is measured by it. */
jest.setTimeout(LONG ? 900_000 : 60_000);
