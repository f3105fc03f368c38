import { act, renderHook } from '@testing-library/react-native';
import type { HowFar } from '@zt/core/base/inSteps';
import { useInSlices } from './useInSlices';

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

/** Work that tells each of its steps. */
const counting = (steps: number, onStep: () => void) =>
  function* (): Generator<HowFar, number> {
    for (let read = 0; read < steps; read += 1) {
      onStep();
      yield { read, of: steps };
    }
    return steps;
  };

it('comes to its result, and begins again when it is of something else', async () => {
  let steps = 0;
  const first = counting(3, () => {
    steps += 1;
  });
  const { result, rerender } = await renderHook(
    ({ begin }: { begin: (() => Generator<HowFar, number>) | null }) => useInSlices(begin),
    { initialProps: { begin: first } },
  );
  expect(result.current).toEqual({ result: null, howFar: null });
  await act(() => jest.runAllTimers());
  expect([result.current.result, steps]).toEqual([3, 3]);
  const second = counting(5, () => {
    steps += 1;
  });
  await rerender({ begin: second });
  // What was found before stays until there is another.
  expect(result.current.result).toBe(3);
  await act(() => jest.runAllTimers());
  expect([result.current.result, steps]).toEqual([5, 8]);
});

it('does nothing for nothing, and ends with its page', async () => {
  const { result } = await renderHook(() => useInSlices(null));
  await act(() => jest.runAllTimers());
  expect(result.current).toEqual({ result: null, howFar: null });
  let steps = 0;
  const begin = counting(1000, () => {
    steps += 1;
  });
  const { unmount } = await renderHook(() => useInSlices(begin));
  await unmount();
  await act(() => jest.runAllTimers());
  expect(steps).toBe(0);
});
