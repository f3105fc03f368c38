import { renderHook, waitFor } from '@testing-library/react-native';
import type { HowFar } from '@zt/core/base/inSteps';
import { useInSlices } from './useInSlices';

/** Work that tells each of its steps, and takes so long for it, ms. */
const counting = (steps: number, stepMs: number, onStep: () => void = () => undefined) =>
  function* (): Generator<HowFar, number> {
    for (let read = 0; read < steps; read += 1) {
      const until = performance.now() + stepMs;
      while (performance.now() < until);
      onStep();
      yield { read, of: steps };
    }
    return steps;
  };
interface Props {
  begin: (() => Generator<HowFar, number>) | null;
}

it('what is soon done is there at once, and begins again when it is of something else', async () => {
  const onStep = jest.fn();
  const initialProps: Props = { begin: counting(3, 0, onStep) };
  const { result, rerender } = await renderHook(({ begin }: Props) => useInSlices(begin), { initialProps });
  expect([result.current.result, onStep.mock.calls.length]).toEqual([3, 3]);
  await rerender({ begin: counting(5, 0, onStep) });
  expect([result.current.result, onStep.mock.calls.length]).toEqual([5, 8]);
});

it('what takes long goes on between frames and says how far it is; what was found before stays until then', async () => {
  const seen: ReturnType<typeof useInSlices<number>>[] = [];
  const initialProps: Props = { begin: counting(2, 0) };
  const { rerender } = await renderHook(({ begin }: Props) => seen.push(useInSlices(begin)), {
    initialProps,
  });
  await rerender({ begin: counting(40, 20) });
  await waitFor(() => expect(seen.at(-1)).toEqual({ result: 40, howFar: null }), { timeout: 20_000 });
  const told = seen.filter(({ howFar }) => howFar !== null);
  expect(told.length).toBeGreaterThan(0);
  for (const { result, howFar } of told) expect([result, howFar?.of]).toEqual([2, 40]);
  const read = told.map(({ howFar }) => howFar?.read ?? 0);
  expect(read).toEqual([...read].sort((x, y) => x - y));
});

it('does nothing for nothing, and ends with its page', async () => {
  const { result } = await renderHook(() => useInSlices(null));
  expect(result.current).toEqual({ result: null, howFar: null });
  const onStep = jest.fn();
  const begin = counting(1000, 5, onStep);
  const { unmount } = await renderHook(() => useInSlices(begin));
  await unmount();
  const steps = onStep.mock.calls.length;
  await new Promise((soon) => setTimeout(soon, 50));
  expect(onStep.mock.calls.length).toBe(steps);
  expect(steps).toBeLessThan(1000);
});
