import { fireEvent, render, screen } from '@testing-library/react';

import { ok } from '@core/foundations/fault';
import { rackWheel } from '@core/testing/repairDraft';

import { InRepair } from '../testing/InRepair';
import { BesideTheWhole } from './BesideTheWhole';

const mockMesh = jest.fn();
const mockCompare = jest.fn();
const mockLend = jest.fn();
jest.mock('../solid/useSolid', () => ({
  workbench: { ask: { layerMesh: (id: string) => mockMesh(id) as unknown } },
}));
jest.mock('./layerWorker', () => ({
  layerWorker: () => ({
    lend: (...given: unknown[]) => Promise.resolve(mockLend(...given)),
    compare: (request: unknown) => mockCompare(request) as unknown,
  }),
}));

const repair = rackWheel();
const whole = repair.bodies[0]!;
const ask = async () => {
  render(
    <InRepair repair={repair}>
      <BesideTheWhole whole={whole} figures={{ minutes: 9.2, grams: 1.24 } as never} />
    </InRepair>,
  );
  fireEvent.click(screen.getByRole('button', { name: `Compare with the whole ${whole.name}` }));
  return (await screen.findByRole('status')).textContent;
};

test('tells what the whole takes beside the piece, laid as it would be by itself', async () => {
  mockMesh.mockResolvedValue(ok({ positions: [] }));
  mockCompare.mockResolvedValue(ok({ figures: { minutes: 25.6, grams: 5.31 } }));
  expect(await ask()).toBe(`The whole ${whole.name} takes 26 min and 5.3 g; this piece 9 min and 1.2 g.`);
  expect(mockLend).toHaveBeenCalledWith(whole.id, { positions: [] });
  const [request] = mockCompare.mock.lastCall as [{ parts: { bodyId: string; pieces: number }[] }];
  expect(request.parts).toMatchObject([{ bodyId: whole.id, pieces: 1 }]);
});

test('what can’t be laid, or was stopped, is said', async () => {
  mockMesh.mockResolvedValue({ ok: false, fault: { code: 'step.nothingLeft' } });
  expect(await ask()).toMatch(/[.]$/);
  document.body.innerHTML = '';
  mockMesh.mockResolvedValue(ok({ positions: [] }));
  mockCompare.mockResolvedValue(null);
  expect(await ask()).toBe('Another part was sliced meanwhile. Compare again.');
  document.body.innerHTML = '';
  mockMesh.mockRejectedValue(new Error('lost'));
  expect(await ask()).toMatch(/^The whole part could not be sliced/);
});
