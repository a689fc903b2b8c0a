import { fireEvent, render, screen } from '@testing-library/react';

import type { Vec3 } from '@core/foundations/vectors';
import { placeMakerOf } from '@core/fitting/trial';
import { rackWheel } from '@core/testing/repairDraft';

import type { PartViewProps } from '../../part/PartView';
import type { ShownBody, SolidView } from '../../solid/useSolid';
import { InRepair } from '../../testing/InRepair';
import { PointPlaceSheet } from './PointPlaceSheet';

/** Where the part is tapped next. */
let mockNear: Vec3;
jest.mock('../../part/PartView', () => ({
  PartView: ({ onPick }: PartViewProps) => (
    <button
      onClick={() => onPick({ bodyId: 'wheel', picked: { kind: 'face', tag: 'disc:top', near: mockNear } })}
    >
      the part
    </button>
  ),
}));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));

const repair = rackWheel();
const maker = placeMakerOf('bore', repair.bodies)!;

/** The wall of the hole, about (1, 2), and a face of another step far away. */
const mesh: ShownBody['mesh'] = {
  positions: Float32Array.of(0, 1, 0, 2, 1, 0, 2, 3, 8, 90, 90, 0, 91, 90, 0, 91, 91, 0),
  normals: new Float32Array(18),
  indices: Uint32Array.of(0, 1, 2, 3, 4, 5),
  faces: [
    { start: 0, count: 3, tag: `${maker.step.id}:wall` },
    { start: 3, count: 3, tag: 'disc:top' },
  ],
  edges: new Float32Array(),
  edgeRuns: [],
};
const solid: SolidView = {
  bodies: [{ bodyId: maker.body.id, mesh } as ShownBody],
  of: [],
  unchecked: [],
  rebuild: () => {},
};
const onTake = jest.fn();
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const takes = () => screen.getByRole('button', { name: 'Take it' });
beforeEach(() => {
  onTake.mockReset();
  render(
    <InRepair repair={repair} solid={solid}>
      <PointPlaceSheet maker={maker} name="Bore on the axle" onTake={onTake} onClose={() => {}} />
    </InRepair>,
  );
});
const point = (near: Vec3) => {
  mockNear = near;
  press('the part');
};

test('a tap tells how far off its middle is and which way, and is taken', () => {
  expect(takes().getAttribute('aria-disabled')).toBe('true');
  point([2.52, 0.98, 8]);
  expect(screen.getByRole('status').textContent).toContain(
    'About 1.50 mm to the right and 1.00 mm to the front.',
  );
  press('Take it');
  expect(onTake).toHaveBeenCalledWith({ firstMm: 1.5, secondMm: -1 });
});

test('where it stands already there is nothing to take', () => {
  point([1.02, 1.99, 8]);
  expect(screen.getByRole('status').textContent).toBe('It is there already.');
  press('Take it');
  expect(onTake).not.toHaveBeenCalled();
});
