import { fireEvent, render, screen } from '@testing-library/react';
import { View } from 'react-native';

import type { Repair, Step } from '@core/record/model';
import { RepairDraft } from '@core/testing/repairDraft';

import { StepSentence } from '../stages/shape/StepSentence';
import { InRepair } from './InRepair';

/** A repair with one size and a plate, and further steps on it. */
export function repairWith(...steps: Step[]): Repair {
  const draft = new RepairDraft('x').measured('A', 'Plate, length', ['40']);
  return draft.body('body', 'Plate', [
    draft.step('plate', { length: 40, breadth: 20, thickness: 3, cornerRadius: 0 }, 'plate'),
    ...steps,
  ]).repair;
}

/** Shows one step of its body as its stage does. */
export function show(repair: Repair, index = 1): void {
  const body = repair.bodies[0]!;
  render(
    <InRepair repair={repair}>
      <View role="listitem">
        <StepSentence body={body} step={body.steps[index]!} index={index} outcome={undefined} />
      </View>
    </InRepair>,
  );
}

export const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
