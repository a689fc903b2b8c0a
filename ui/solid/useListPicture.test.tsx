import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';

import { block } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { Unreachable } from '../api/client';
import { useListPicture } from './useListPicture';
import type { SolidView } from './useSolid';

const mockSent: string[] = [];
let mockAsked = 0;
let mockFailure: Error | null = null;
jest.mock('../api/client', () => ({
  ...jest.requireActual<object>('../api/client'),
  ask: (path: string) => {
    mockAsked += 1;
    if (mockFailure) return Promise.reject(mockFailure);
    mockSent.push(path);
    return Promise.resolve(null);
  },
}));
jest.mock('./useSolid', () => ({
  workbench: { ask: { picture: () => Promise.resolve({ outline: [], edges: [] }) } },
}));

const { repair } = new RepairDraft('x').body('bar', 'Bar', [block(20, 10, 5)] as never);
const built = (build: number) =>
  ({
    bodies: [{ bodyId: 'bar', build, figures: {}, outOfDate: false, findings: [] }],
  }) as unknown as SolidView;
const wrapper = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
);
const wait = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

beforeEach(() => {
  jest.useFakeTimers();
  mockSent.length = 0;
  mockFailure = null;
});
afterEach(() => jest.useRealTimers());

test('a part is drawn for the list when it was left alone, and once each time', async () => {
  const { rerender } = renderHook(({ build }) => useListPicture(repair, built(build)), {
    initialProps: { build: 1 },
    wrapper,
  });
  await wait(1300);
  expect(mockSent).toEqual([`/repairs/${repair.head.id}/picture`]);
  await wait(20_000);
  expect(mockSent).toHaveLength(1);
  rerender({ build: 2 });
  await wait(400);
  rerender({ build: 3 });
  await wait(1100);
  expect(mockSent).toHaveLength(1);
  await wait(200);
  expect(mockSent).toHaveLength(2);
});

test('a picture that could not be sent is sent when the server is there again', async () => {
  mockFailure = new Unreachable('away');
  const { unmount } = renderHook(() => useListPicture(repair, built(1)), { wrapper });
  await wait(12_000);
  expect(mockSent).toEqual([]);
  mockFailure = null;
  await wait(5_000);
  expect(mockSent).toHaveLength(1);
  unmount();
});

test('a picture that is refused is not sent again and again', async () => {
  mockFailure = new Error('refused');
  mockAsked = 0;
  const { unmount } = renderHook(() => useListPicture(repair, built(1)), { wrapper });
  await wait(30_000);
  expect(mockAsked).toBe(1);
  unmount();
});
