jest.setTimeout(30_000);
