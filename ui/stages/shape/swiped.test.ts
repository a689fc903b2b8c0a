import { swipedTo } from './useSwipedSteps';

const STEPS = ['a', 'b', 'c'];
const at = (x: number, y: number, ms: number) => ({ x, y, at: ms });

test('a swipe to the left goes on by a step, to the right back, and not past the ends', () => {
  const left = (atHand: string | null) => swipedTo(at(300, 500, 0), at(180, 510, 200), STEPS, atHand);
  const right = (atHand: string | null) => swipedTo(at(100, 500, 0), at(220, 490, 200), STEPS, atHand);
  expect([left('a'), left('b'), left('c')]).toEqual(['b', 'c', null]);
  expect([right('a'), right('b'), right('c')]).toEqual([null, 'a', 'b']);
  expect([left(null), right(null)]).toEqual(['a', 'c']);
  expect(swipedTo(at(300, 0, 0), at(100, 0, 200), [], null)).toBeNull();
});

test('scrolling, a tap, and a finger that lingers are no swipes', () => {
  expect(swipedTo(at(300, 500, 0), at(240, 440, 200), STEPS, 'a')).toBeNull();
  expect(swipedTo(at(300, 500, 0), at(290, 500, 100), STEPS, 'a')).toBeNull();
  expect(swipedTo(at(300, 500, 0), at(150, 500, 1200), STEPS, 'a')).toBeNull();
});
