import { fireEvent, render, screen } from '@testing-library/react';

import { evaluateRepair } from '@core/fitting/fit';
import { CUT_TAG, squareCut, type OpenedSolid } from '@core/shaping/part';
import { block } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { RepairContext, type RepairContextValue } from '../inRepair/useRepairContext';
import { StrengthSheet } from './StrengthSheet';

const { repair } = new RepairDraft('x').body('arm', 'Arm', [block(60, 6, 4)] as never);
const numbers = evaluateRepair(repair);

/** A bar 6 wide and 4 high, cut square to its length. */
const OPENED: OpenedSolid = {
  mesh: {
    positions: Float32Array.from([0, -3, 0, 0, 3, 0, 0, 3, 4, 0, -3, 4]),
    normals: new Float32Array(12),
    indices: Uint32Array.from([0, 1, 2, 0, 2, 3]),
    faces: [{ start: 0, count: 6, tag: CUT_TAG }],
    edges: new Float32Array(0),
    edgeRuns: [],
  },
  hatching: new Float32Array(0),
  cutAreaMm2: 24,
};

function show(axis: 'x' | 'z', opened = OPENED) {
  const context = { repair, numbers } as unknown as RepairContextValue;
  render(
    <RepairContext.Provider value={context}>
      <StrengthSheet
        bodies={repair.bodies}
        opened={new Map([['arm', opened]])}
        plane={squareCut(axis, 0, 1)}
        farMm={30}
        onClose={() => undefined}
      />
    </RepairContext.Provider>,
  );
}
const type = (label: RegExp, text: string) =>
  fireEvent.change(screen.getByRole('textbox', { name: label }), { target: { value: text } });

test('a bar of PETG on its lever, along its layers', () => {
  show('x');
  type(/Load/, '5');
  // Worst towards a corner: √ of the squares of 6 F L / b h² both ways. Allowed: 50 MPa × 0.85 printed × 0.4 repeatedly / 2.
  const [one, other] = [(6 * 5 * 30) / (6 * 16), (6 * 5 * 30) / (4 * 36)];
  const bears = (5 * 8.5) / Math.hypot(one, other);
  expect(bears).toBeCloseTo(3.77, 2);
  expect(screen.getByText('Holds about 3.8 N (safety factor 2)')).toBeTruthy();
  expect(screen.queryByText(/pieces/)).toBeNull();
  expect(screen.getByText(/^Too weak: it holds 75 % of the load. Make it 1.2 times/)).toBeTruthy();
  expect(screen.getByText(/Allowed for PETG along its layers: 8.5 MPa/)).toBeTruthy();
  expect(screen.getByText(/24.0 mm² and measures 6.00 mm by 4.00 mm/)).toBeTruthy();
  type(/Distance from/, '10');
  expect(screen.getByText('Holds about 11 N (safety factor 2)')).toBeTruthy();
  expect(screen.getByText(/^That is 2.3 times the load/)).toBeTruthy();
});

test('how long the load acts and how much is to spare are chosen, and said', () => {
  show('x');
  type(/Load/, '5');
  expect(
    screen.getByText(
      'Yield stress 50 MPa. Allowable stress 8.5 MPa: printed × 0.85, repeatedly × 0.4, safety factor ÷ 2.',
    ),
  ).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'For months' }));
  fireEvent.click(screen.getByRole('radio', { name: '4: may hurt' }));
  // 50 × 0.85 × 0.3 / 4 = 3.19, of 8.5 that held 3.77 N.
  expect(screen.getByText('Holds about 1.4 N (safety factor 4)')).toBeTruthy();
});

test('twisted, it bears by Saint-Venant’s figures for a bar 1.5 times as broad as thick', () => {
  show('x');
  fireEvent.click(screen.getByRole('radio', { name: 'Twists it' }));
  expect(screen.getByRole('textbox', { name: 'Distance from its middle' })).toBeTruthy();
  // 0.231 b h², and 8.5 MPa over √3 of shear, on a lever of 30 mm.
  const bears = ((0.231 * 6 * 16 * 8.5) / Math.sqrt(3) / 30).toFixed(1);
  expect(screen.getByText(`Holds about ${bears} N (safety factor 2)`)).toBeTruthy();
  expect(screen.getByText(/^Twisted, the stress here/)).toBeTruthy();
});

test('a screw in it is pulled out where its thread shears, a tooth is bent; what is no number of teeth is said', () => {
  show('x');
  fireEvent.click(screen.getByRole('radio', { name: 'A screw' }));
  // PETG: 8.5 MPa along, 0.6 of it across; π · 2.675 · 8 · 5.1 / √3.
  expect(screen.getByText('Holds about 200 N (safety factor 2)')).toBeTruthy();
  type(/Load/, '1000');
  expect(screen.getByText(/^Too weak: it holds 20 % .* add a nut\./)).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'A tooth' }));
  // 5.1 · 8 · 1 · π (0.154 − 0.0456)
  expect(screen.getByText('Holds about 14 N (safety factor 2)')).toBeTruthy();
  type(/Teeth/, '8');
  expect(screen.getByText(/The number of teeth must be between 12 and 1000/)).toBeTruthy();
  expect(screen.queryByText(/^Holds about/)).toBeNull();
});

test('pulled, it bears its area; and what is typed wrong is said, with nothing worked out of it', () => {
  show('x');
  fireEvent.click(screen.getByRole('radio', { name: 'Pulls it' }));
  expect(screen.getByText('Holds about 200 N (safety factor 2)')).toBeTruthy();
  expect(screen.queryByRole('textbox', { name: /Distance from/ })).toBeNull();
  type(/Load/, '5 kg');
  expect(screen.getByText(/The load takes only a number, in N/)).toBeTruthy();
  expect(screen.queryByText(/Holds about/)).toBeNull();
  type(/Load/, '0');
  expect(screen.getByText(/The load must be between 0.1 and 100000/)).toBeTruthy();
});

test('cut along the bed, layers are pulled apart; where nothing is cut, it says so', () => {
  const upright = {
    ...OPENED,
    mesh: { ...OPENED.mesh, positions: Float32Array.from([0, -3, 0, 4, -3, 0, 4, 3, 0, 0, 3, 0]) },
  };
  show('z', upright);
  expect(screen.getByText(/Allowed for PETG across its layers: 5.1 MPa/)).toBeTruthy();
});

test('a cut through two pieces says that they bear it together only where they are held', () => {
  const faces = [0, 3].map((start) => ({ start, count: 3, tag: CUT_TAG }));
  show('x', { ...OPENED, mesh: { ...OPENED.mesh, faces } });
  expect(screen.getByText(/the section has 2 pieces/)).toBeTruthy();
});

test('where the cut leaves nothing', () => {
  show('x', { ...OPENED, mesh: { ...OPENED.mesh, faces: [] } });
  expect(screen.getByText(/The cut misses the part/)).toBeTruthy();
});
