import { act, render, renderHook } from '@testing-library/react';
import { useState, type ReactNode } from 'react';

import { rackWheel } from '@core/testing/repairDraft';

import type { SolidView } from '../solid/useSolid';
import { closeAll, openedAfter, openSize, openTrail, useOpened } from './opened';
import { RepairContext, useRepairContext } from './useRepairContext';
import { SolidContext, useSolidView } from './useSolidView';

const repair = rackWheel();
const trail = (id: string) => ({ from: 'size' as const, id });

test('a size and its trail are open together; another size closes the trail, and closing one leaves the other', () => {
  const both = openedAfter({ size: 'bore', trail: null }, { trail: trail('bore') });
  expect(both).toEqual({ size: 'bore', trail: trail('bore') });
  expect(openedAfter(both, { size: 'width' })).toEqual({ size: 'width', trail: null });
  expect(openedAfter(both, { size: null })).toEqual({ size: null, trail: trail('bore') });
  expect(openedAfter(both, { trail: null })).toEqual({ size: 'bore', trail: null });
  expect(openedAfter(both, 'all closed')).toEqual({ size: null, trail: null });
});

test('the trail of a fit stays while sizes are looked at', () => {
  const fit = { from: 'fit' as const, id: 'bore' };
  expect(openedAfter({ size: null, trail: fit }, { size: 'width' })).toEqual({ size: 'width', trail: fit });
});

test('whoever asks for one of them is not drawn anew for the other', () => {
  act(closeAll);
  let draws = 0;
  renderHook(() => {
    draws += 1;
    return useOpened(({ size }) => size);
  });
  act(() => openTrail(trail('bore')));
  expect(draws).toBe(1);
  act(() => openSize('bore'));
  expect(draws).toBe(2);
});

test('a build draws what shows the part anew, and nothing of what shows the repair alone', () => {
  const draws = { repair: 0, part: 0 };
  function OfRepair() {
    useRepairContext();
    draws.repair += 1;
    return null;
  }
  function OfPart() {
    useSolidView();
    draws.part += 1;
    return null;
  }
  const view = (): SolidView => ({ bodies: [], of: [], unchecked: [], rebuild: () => {} });
  let build = () => {};
  function Built({ children }: { children: ReactNode }) {
    const [solid, setSolid] = useState(view);
    build = () => setSolid(view());
    return <SolidContext.Provider value={solid}>{children}</SolidContext.Provider>;
  }
  const Frame = () => (
    <RepairContext.Provider value={{ repair, numbers: {} as never }}>
      <Built>
        <OfRepair />
        <OfPart />
      </Built>
    </RepairContext.Provider>
  );
  render(<Frame />);
  for (let turn = 0; turn < 5; turn += 1) act(() => build());
  expect(draws).toEqual({ repair: 1, part: 6 });
});
