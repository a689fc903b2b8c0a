import { fireEvent, render, screen } from '@testing-library/react';

import { usePreferences } from '../preferences/usePreferences';
import { FirstHint } from './FirstHint';

beforeEach(() => usePreferences.getState().forgetHints());
const hint = () => screen.queryByRole('note', { name: 'How this screen works' });

test('a screen explains itself until that is closed, and not again', () => {
  const { unmount } = render(<FirstHint of="fits" />);
  expect(hint()).not.toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Got it' }));
  expect(hint()).toBeNull();
  unmount();
  render(<FirstHint of="fits" />);
  expect(hint()).toBeNull();
});

test('once it was left, and not at once, it is not said again; what another screen says is not lost by that', () => {
  const clock = jest.spyOn(Date, 'now').mockReturnValue(1000);
  const glimpse = render(<FirstHint of="shape" />);
  clock.mockReturnValue(2000);
  glimpse.unmount();
  const { unmount } = render(<FirstHint of="shape" />);
  expect(hint()).not.toBeNull();
  clock.mockReturnValue(9000);
  unmount();
  clock.mockRestore();
  render(<FirstHint of="shape" />);
  expect(hint()).toBeNull();
  render(<FirstHint of="sizes" />);
  expect(hint()?.textContent).toContain('Tap a size');
});
