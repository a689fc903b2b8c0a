import { fireEvent, render, screen, waitFor } from '@testing-library/react';

import { rackWheel } from '@core/testing/repairDraft';

import { ScreenBoundary } from './ScreenBoundary';

let isBroken = true;
function Screen() {
  if (isBroken) throw new TypeError('x is undefined');
  return <p>All is well</p>;
}

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const writeText = jest.fn(() => Promise.resolve());

beforeEach(() => {
  isBroken = true;
  writeText.mockClear();
  Object.assign(navigator, { clipboard: { writeText } });
  // The library tells of every error that a boundary holds.
  jest.spyOn(console, 'error').mockImplementation(() => {});
});
afterEach(() => jest.restoreAllMocks());

function show() {
  render(
    <ScreenBoundary where="the sizes" repair={rackWheel()}>
      <Screen />
    </ScreenBoundary>,
  );
}

test('a screen that cannot be shown says so, what is safe, and comes back', () => {
  show();
  expect(screen.getByRole('alert').textContent).toContain(
    'Something went wrong in the program itself, in the sizes. Nothing that you typed is lost.',
  );
  isBroken = false;
  press('Show it again');
  expect(screen.getByText('All is well')).toBeTruthy();
});

test('its report is copied alone, and with the repair only where that was chosen', async () => {
  show();
  press('Report it');
  press('Copy the report');
  await waitFor(() => expect(screen.getByText('Copied.')).toBeTruthy());
  const [[alone]] = writeText.mock.calls as unknown as [[string]];
  expect(alone).toContain('TypeError: x is undefined');
  expect(alone).not.toContain('Rack wheel');
  fireEvent.click(screen.getByRole('radio', { name: 'With this repair' }));
  press('Copy the report');
  await waitFor(() => expect(writeText).toHaveBeenCalledTimes(2));
  const [, [whole]] = writeText.mock.calls as unknown as [[string], [string]];
  expect(whole).toContain('"name": "Rack wheel"');
});
