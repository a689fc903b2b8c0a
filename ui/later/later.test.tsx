import { fireEvent, render, screen } from '@testing-library/react';
import { Text } from 'react-native';

import { laterScreens } from './later';

const Stage = () => <Text>The stage</Text>;

test('a screen is fetched when it is first opened, once for all of them', async () => {
  let fetched = 0;
  const { later } = laterScreens(async () => {
    fetched += 1;
    return { one: Stage, other: () => <Text>The other</Text> };
  });
  const [One, Other] = [later('one'), later('other')];
  expect(fetched).toBe(0);
  const { unmount } = render(<One />);
  expect(await screen.findByText('The stage')).toBeTruthy();
  unmount();
  render(<Other />);
  // It is there at once.
  expect(screen.getByText('The other')).toBeTruthy();
  expect(fetched).toBe(1);
});

test('one that can’t be fetched says so, and is fetched again', async () => {
  const answers = [Promise.reject(new Error('no network')), Promise.resolve({ one: Stage })];
  let asked = 0;
  const { later } = laterScreens(() => answers[asked++]!);
  const One = later('one');
  render(<One />);
  expect((await screen.findByRole('alert')).textContent).toContain('could not be fetched');
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(await screen.findByText('The stage')).toBeTruthy();
  expect(asked).toBe(2);
});
