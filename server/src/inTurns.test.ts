import { inTurns } from './inTurns';

function* busy(steps: number, stepMs: number): Generator<number, string> {
  for (let i = 0; i < steps; i += 1) {
    const until = performance.now() + stepMs;
    while (performance.now() < until) void i;
    yield i;
  }
  return 'done';
}

it('goes to its end, and others have their turn in between', async () => {
  let turns = 0;
  const other = setInterval(() => {
    turns += 1;
  }, 1);
  expect(await inTurns(busy(20, 10), 60_000)).toBe('done');
  clearInterval(other);
  expect(turns).toBeGreaterThan(2);
});

it('is given up where it takes too long', async () => {
  expect(await inTurns(busy(1000, 5), 50)).toBeNull();
  expect(await inTurns(busy(0, 0), 0)).toBe('done');
});
