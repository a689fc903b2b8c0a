import { act, renderHook } from '@testing-library/react';

import { usePartShare, useShrinksPart } from './partRoom';

const scrolledTo = (y: number) => ({ nativeEvent: { contentOffset: { y } } }) as never;
const both = () => renderHook(() => ({ list: useShrinksPart(), share: usePartShare('shape', false) }));
/** A phone; the page of the tests has no height of its own. */
beforeAll(() => {
  Object.defineProperty(document.documentElement, 'clientHeight', { value: 844, configurable: true });
  act(() => void window.dispatchEvent(new Event('resize')));
});
const turn = () => window.dispatchEvent(new Event('wheel'));

test('the part gives its room to a list that a person scrolls, and has it again at the beginning', () => {
  const { result } = both();
  const whole = result.current.share;
  act(() => {
    turn();
    result.current.list.onScroll(scrolledTo(10));
  });
  expect(result.current.share).toBe(whole);
  act(() => result.current.list.onScroll(scrolledTo(60)));
  expect(result.current.share).toBeLessThan(whole);
  // A short list can still be scrolled: what it won stands below its end.
  expect(result.current.list.below).toBeGreaterThan(0);
  act(() => result.current.list.onScroll(scrolledTo(0)));
  expect(result.current.share).toBe(whole);
  expect(result.current.list.below).toBe(0);
});

test('what scrolls by itself moves nothing; another stage begins with the part as large as it is there', () => {
  const { result, unmount } = both();
  const whole = result.current.share;
  act(() => result.current.list.onScroll(scrolledTo(200)));
  expect(result.current.share).toBe(whole);
  act(() => {
    turn();
    result.current.list.onScroll(scrolledTo(200));
  });
  expect(result.current.share).toBeLessThan(whole);
  unmount();
  expect(both().result.current.share).toBe(whole);
});

test('stages on which the part says little give it less, and an open pad the least', () => {
  const share = (stage: string, isPadOpen = false) =>
    renderHook(() => usePartShare(stage, isPadOpen)).result.current;
  expect(share('trial')).toBeLessThan(share('shape'));
  expect(share('sizes', true)).toBeLessThan(share('trial'));
});
