import { act, renderHook } from '@testing-library/react-native';
import { useOnce } from './useOnce';

const clock = jest.spyOn(performance, 'now');
beforeEach(() => clock.mockReturnValue(1000));
afterAll(() => clock.mockRestore());

/** An action that is over when it is told so. */
function slowly() {
  let over: () => void = () => undefined;
  const run = jest.fn(() => new Promise<void>((resolve) => (over = resolve)));
  return { run, end: () => act(async () => over()) };
}

it('does not begin again while it runs, and does after that', async () => {
  const { run, end } = slowly();
  const { result } = renderHook(() => useOnce('Add', run));
  act(() => result.current.begin(1000));
  act(() => result.current.begin(1060));
  expect(run).toHaveBeenCalledTimes(1);
  expect(result.current.running).toBe(true);
  await end();
  expect(result.current.running).toBe(false);
  act(() => result.current.begin(1900));
  expect(run).toHaveBeenCalledTimes(2);
});

it('takes a finger that came down while it ran for the second tap of a hand, however late it is heard', async () => {
  const { run, end } = slowly();
  const { result } = renderHook(() => useOnce('Add', run));
  act(() => result.current.begin(1000));
  clock.mockReturnValue(1700);
  await end();
  act(() => result.current.begin(1120));
  expect(run).toHaveBeenCalledTimes(1);
  act(() => result.current.begin(1800));
  expect(run).toHaveBeenCalledTimes(2);
});

it('is another action under another name', async () => {
  const { run, end } = slowly();
  const { result, rerender } = renderHook(({ name }: { name: string }) => useOnce(name, run), {
    initialProps: { name: 'Take it' },
  });
  act(() => result.current.begin(1000));
  rerender({ name: 'Put it back' });
  clock.mockReturnValue(1700);
  await end();
  act(() => result.current.begin(1120));
  expect(run).toHaveBeenCalledTimes(2);
});

it('may be done again at once when it is done at once', () => {
  const run = jest.fn();
  const { result } = renderHook(() => useOnce('Add a corner', run));
  act(() => result.current.begin(1000));
  act(() => result.current.begin(1000));
  expect(run).toHaveBeenCalledTimes(2);
});

it('is free again when it failed', async () => {
  const run = jest.fn().mockRejectedValue(new Error('no'));
  const { result } = renderHook(() => useOnce('Add', run));
  await act(async () => result.current.begin());
  await act(async () => result.current.begin());
  expect(run).toHaveBeenCalledTimes(2);
});
