import { act, fireEvent, render, screen } from '@testing-library/react';
import { View } from 'react-native';

import type { Step } from '@core/record/model';
import { outlineOf, raised } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { usePartTool } from '../../part/partTool';
import { InRepair } from '../../testing/InRepair';
import { StepSentence } from './StepSentence';

jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: jest.fn() }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
beforeEach(() => act(() => usePartTool.getState().end()));

const near = [0, 0, 0] as const;
const draft = new RepairDraft('x');
const plate = draft.step('plate', { length: 40, breadth: 20, thickness: 3, cornerRadius: 0 }, 'plate');

/** Shows a step that lost a face, and picks it again. */
function again(step: Step, tag: string) {
  const { repair } = new RepairDraft('x')
    .body('body', 'Plate', [plate, step])
    .body('box', 'Box', [plate, plate]);
  const outcome = {
    stepId: step.id,
    state: 'failed' as const,
    fault: { code: 'step.pickLost' as const, lookingFor: { is: 'earlierFace' as const }, tag },
  };
  render(
    <InRepair repair={repair}>
      <View role="listitem">
        <StepSentence body={repair.bodies[0]!} step={step} index={1} outcome={outcome} />
      </View>
    </InRepair>,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Pick again' }));
  return usePartTool.getState().job!;
}
const face = (tag: string) => ({ face: { tag, near } });

test('of several faces that a step goes by, the one that is lost is picked again', () => {
  const step = raised(outlineOf('circle', { diameter: 5 }), 5, {
    on: face('plate:top'),
    upTo: { tag: 'lost:bottom', near },
  });
  expect(again(step, 'lost:bottom')).toMatchObject({
    want: { field: 'upTo', picks: 'face' },
    bodyId: 'body',
    forBody: 'body',
    steps: 1,
  });
});

test('what it starts from, although an outline could be picked too', () => {
  const step = raised(outlineOf('circle', { diameter: 5 }), 5, { on: face('lost:top') });
  expect(again(step, 'lost:top').want).toMatchObject({ field: 'on', picks: 'ground' });
});

test('an outline that came from another body is picked there, with all of its steps', () => {
  const outline = {
    shape: 'offset',
    of: { ...face('lost:top'), body: 'box' },
    by: { from: 'number', mm: 1 },
  };
  const step = raised(outline as never, 5, { on: 'top' });
  expect(again(step, 'lost:top')).toMatchObject({
    want: { field: 'outline', picks: 'outline', body: 'box' },
    bodyId: 'box',
    forBody: 'body',
    steps: 2,
  });
});
