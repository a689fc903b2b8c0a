import { renderHook } from '@testing-library/react';

import { frozenLetter } from '@core/reporting/progress';
import { testPieceName } from '@core/fitting/fit';
import { numberValue, type Body, type Repair, type Revision, type Step } from '@core/record/model';
import { marksOf } from '@core/shaping/recipe';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { InRepair } from '../testing/InRepair';
import { useFreeze } from './useFreeze';

const mockPut = jest.fn();
jest.mock('../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));

/** A wheel with a test piece that was cut and marked before anything was frozen. */
function withPiece(): Repair {
  const repair = rackWheel();
  const [fit] = repair.fits;
  const place = { on: 'top', x: numberValue(0), y: numberValue(0) };
  const steps = [
    { ...repair.bodies[0]!.steps[0], id: 'block', kind: 'extrude' },
    {
      id: 'common',
      kind: 'body',
      of: repair.bodies[0]!.id,
      effect: 'common',
      grow: numberValue(0),
      wayIn: 'none',
    },
    { id: 'mark', kind: 'text', effect: 'cut', text: marksOf(repair, fit!, 'A')[0]!, ...place },
  ] as unknown as Step[];
  const piece: Body = {
    id: 'piece',
    version: 3,
    name: testPieceName(fit!),
    role: 'spare',
    steps,
    removed: false,
  };
  return { ...repair, bodies: [...repair.bodies, piece] };
}

/** What is put when a repair is frozen. */
function frozen(repair: Repair) {
  mockPut.mockReset();
  const { result } = renderHook(() => useFreeze(), {
    wrapper: ({ children }) => <InRepair repair={repair}>{children}</InRepair>,
  });
  result.current.freezeNow('because');
  return mockPut.mock.calls as [string, Body | Revision][];
}

test('the first revision leaves a mark of its letter as it is', () => {
  expect(frozen(withPiece()).map(([row]) => row)).toEqual(['revision']);
});

test('the next one marks its test piece anew, and the repair stands as it was frozen', () => {
  const repair = withPiece();
  const first = frozen(repair)[0]![1] as Revision;
  const later = { ...repair, revisions: [first] };
  const puts = frozen(later);
  expect(puts.map(([row]) => row)).toEqual(['body', 'revision']);
  const [body, revision] = puts.map(([, value]) => value) as [Body, Revision];
  expect((body.steps[2] as { text: string }).text).toBe(marksOf(repair, repair.fits[0]!, 'B')[0]);
  expect(revision.state.bodies.at(-1)!.steps).toEqual(body.steps);
  // As the store keeps it: a row that was put counts one up.
  const kept = { ...body, version: body.version + 1 };
  const after = { ...later, bodies: [...repair.bodies.slice(0, -1), kept], revisions: [first, revision] };
  expect(frozenLetter(after, DEFAULT_WORKSHOP)).toBe('B');
});
