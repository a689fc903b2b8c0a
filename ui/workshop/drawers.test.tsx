import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';

import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { usePreferences } from '../preferences/usePreferences';
import { PadKeys } from '../shared/pad/PadKeys';
import { lightNow } from '../preferences/benchLight';
import { WorkshopScreen } from './WorkshopScreen';

jest.mock('expo-router', () => ({ router: { back: jest.fn() } }));
jest.mock('./OpenSheet', () => ({ OpenSheet: () => null }));
jest.mock('../api/useWorkshop', () => ({
  useWorkshop: () => ({ workshop: mockWorkshop }),
  useChangeWorkshop: () => jest.fn(),
}));
const mockWorkshop = DEFAULT_WORKSHOP;
const first = usePreferences.getState();
beforeEach(() => usePreferences.setState(first, true));

const open = () =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { enabled: false } } })}>
      <WorkshopScreen />
    </QueryClientProvider>,
  );
const drawer = (name: RegExp) => screen.getByRole('button', { name, expanded: false });

test('each kind is in a drawer that tells how much is in it, and stays as it was left', () => {
  const { unmount } = open();
  const { instruments } = mockWorkshop;
  expect(screen.queryByText(instruments[0]!.name)).toBeNull();
  fireEvent.click(drawer(new RegExp(`^Instruments ?${instruments.length}$`)));
  for (const { name } of instruments) expect(screen.getByText(name)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /^For you/, expanded: true }));
  unmount();
  open();
  expect(screen.getByText(instruments[0]!.name)).toBeTruthy();
  expect(screen.queryByRole('radio', { name: 'Dim' })).toBeNull();
});

test('the light is bright, dim or the device’s, which is asked each time', () => {
  const device = { matches: true, addEventListener: jest.fn(), removeEventListener: jest.fn() };
  window.matchMedia = (() => device) as unknown as typeof window.matchMedia;
  open();
  expect(lightNow()).toBe('bright');
  fireEvent.click(screen.getByRole('radio', { name: 'Dim' }));
  expect(lightNow()).toBe('dim');
  fireEvent.click(screen.getByRole('radio', { name: 'As this device' }));
  expect(lightNow()).toBe('dim');
  device.matches = false;
  expect(lightNow()).toBe('bright');
});

test('in the left hand the keys that follow figures stand at the left; figures stay in their order', () => {
  const keys = () => {
    const { unmount } = render(
      <PadKeys quantity="length" action="Keep" onKey={() => {}} onAction={() => {}} />,
    );
    const names = screen
      .getAllByRole('button')
      .map((key) => key.getAttribute('aria-label') ?? key.textContent);
    unmount();
    return names.slice(names.indexOf('7') - 1);
  };
  const [, ...right] = keys();
  usePreferences.getState().setHand('left');
  const left = keys();
  expect(right.slice(0, 4)).toEqual(['7', '8', '9', left[0]]);
  expect(left.slice(1, 4)).toEqual(['7', '8', '9']);
  expect(right.at(-1)).toBe('Keep');
  expect(left.slice(-4)).toEqual(['Keep', ...right.slice(-4, -1)]);
});
