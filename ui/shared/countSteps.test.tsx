import { fireEvent, render, screen } from '@testing-library/react';

import { CountSteps } from './CountSteps';

test('one more and one less by a tap, and no further than it goes', () => {
  const onChange = jest.fn();
  const { rerender } = render(<CountSteps what="piece" least={1} most={3} value={1} onChange={onChange} />);
  expect(screen.getByRole('status').textContent).toBe('1 piece');
  const [less, more] = ['One piece less', 'One piece more'].map((name) =>
    screen.getByRole('button', { name }),
  );
  fireEvent.click(less!);
  expect(onChange).not.toHaveBeenCalled();
  fireEvent.click(more!);
  expect(onChange).toHaveBeenLastCalledWith(2);
  rerender(<CountSteps what="piece" least={1} most={3} value={3} onChange={onChange} />);
  expect(screen.getByRole('status').textContent).toBe('3 pieces');
  fireEvent.click(more!);
  expect(onChange).toHaveBeenCalledTimes(1);
});
