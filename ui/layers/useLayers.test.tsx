import type { SliceRequest } from '@core/making/printing';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';

import { evaluateRepair } from '@core/fitting/fit';
import { USUAL_PRINT_SETUP } from '@core/record/model';
import { block } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { RepairContext } from '../inRepair/useRepairContext';
import { SolidContext } from '../inRepair/useSolidView';
import type { SolidView } from '../solid/useSolid';

import { useLayers } from './useLayers';

/** Calls that wait until the test answers them. */
const mockAsked: { what: string; request?: SliceRequest; answer(value: unknown): void }[] = [];
jest.mock('./layerWorker', () => {
  const ask = (what: string) => (request: SliceRequest) =>
    new Promise((answer) => mockAsked.push({ what, request, answer }));
  const worker = {
    setMesh: () => Promise.resolve(),
    cancel: () => Promise.resolve(),
    forget: () => Promise.resolve(mockAsked.push({ what: 'forget', answer: () => {} })),
    orientations: ask('orientations'),
    slice: ask('slice'),
  };
  return { layerWorker: () => worker };
});
jest.mock('../solid/useSolid', () => ({
  workbench: {
    ask: {
      layerMesh: () => Promise.resolve({ ok: true, value: {} }),
      lyingPictures: () => Promise.resolve([]),
    },
  },
}));

const { repair } = new RepairDraft('x').body('bar', 'Bar', [block(20, 10, 5)] as never);
const [body] = repair.bodies;
const numbers = evaluateRepair(repair);
const context = { repair, numbers };
const built = { bodies: [{ bodyId: 'bar', build: 1 }] } as unknown as SolidView;
const wrapper = ({ children }: { children: ReactNode }) => (
  <RepairContext.Provider value={context}>
    <SolidContext.Provider value={built}>{children}</SolidContext.Provider>
  </RepairContext.Provider>
);
const settle = () => act(() => new Promise((resolve) => setTimeout(resolve)));
const laid = () =>
  mockAsked.filter(({ what }) => what === 'slice').map(({ request }) => request!.parts[0]!.settings.layerMm);

test('other settings while ways up are looked for: only these are laid, and nothing stops them', async () => {
  const { result, rerender } = renderHook(({ of }) => useLayers([{ body: of, pieces: 1 }]), {
    initialProps: { of: body! },
    wrapper,
  });
  await settle();
  expect(mockAsked.map(({ what }) => what)).toEqual(['orientations']);
  rerender({ of: { ...body!, laying: { ...USUAL_PRINT_SETUP, settings: 'draft' } } });
  await settle();
  expect(laid()).toEqual([0.28]);
  // What was asked for the earlier ones comes in now.
  await act(async () => mockAsked[0]!.answer([]));
  await settle();
  expect(laid()).toEqual([0.28]);
  expect(result.current.state).toEqual({ kind: 'working', share: 0 });
  const placement = { name: 'Bar', hull: [], foot: [], at: [[0, 0]] };
  const reply = { figures: { layers: 18 }, placements: [placement] };
  await act(async () => mockAsked[1]!.answer({ ok: true, value: reply }));
  await settle();
  expect(result.current.state).toEqual({ kind: 'laid', reply });
  expect(result.current.placements).toEqual([placement]);
});

test('another number of pieces is laid anew, the ways up stay as they are', async () => {
  mockAsked.length = 0;
  const { rerender, unmount } = renderHook(({ pieces }) => useLayers([{ body: body!, pieces }]), {
    initialProps: { pieces: 1 },
    wrapper,
  });
  await settle();
  await act(async () => mockAsked[0]!.answer([]));
  await settle();
  rerender({ pieces: 3 });
  await settle();
  const asked = mockAsked.map(({ what, request }) => [what, request?.parts?.[0]!.pieces]);
  expect(asked.slice(1)).toEqual([
    ['slice', 1],
    ['slice', 3],
  ]);
  unmount();
  // What the worker held of this page goes with it.
  expect(mockAsked.at(-1)!.what).toBe('forget');
});
