import { Pressable, Text } from 'react-native';

import { newStep } from '@core/recipe';
import type { Body, StepKind } from '@core/model';
import { STEP_VERBS } from '@core/wording';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../frame/useRepairContext';
import { Sheet } from '../../shared/Sheet';

const FIRST: StepKind[] = ['turn', 'plate', 'raise', 'stations', 'cone', 'ball', 'ring'];
const ALL: StepKind[] = [
  'drill',
  'raise',
  'groove',
  'peg',
  'repeat',
  'mirror',
  'hollow',
  'ease',
  'round',
  'stations',
  'cone',
  'ball',
  'ring',
  'turn',
  'plate',
];

/** Chooses the verb of a new step; its numbers come from sizes that no step uses yet. */
export function AddStepSheet({ body, onClose }: { body: Body; onClose(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const hasRim = body.steps.some((step) => step.kind === 'turn');
  const kinds = body.steps.length === 0 ? FIRST : ALL.filter((kind) => kind !== 'groove' || hasRim);
  const add = (kind: StepKind) => {
    const step = newStep(kind, { body, state: repair, numbers }, newId());
    put('body', { ...body, steps: [...body.steps, step] }, `Step ${body.steps.length + 1} added.`);
    onClose();
  };
  return (
    <Sheet title={body.steps.length === 0 ? 'Begin with' : 'Add a step'} onClose={onClose}>
      {kinds.map((kind) => (
        <Pressable
          key={kind}
          accessibilityRole="button"
          accessibilityLabel={`${STEP_VERBS[kind].verb} ${STEP_VERBS[kind].what}`}
          onPress={() => add(kind)}
          className="min-h-[48px] flex-row items-center rounded border border-line bg-card px-4 py-2 active:bg-green-soft"
        >
          <Text className="flex-1 font-sans text-[16.5px] text-ink">
            <Text className="font-semibold">{STEP_VERBS[kind].verb}</Text>
            {` ${STEP_VERBS[kind].what}`}
          </Text>
        </Pressable>
      ))}
    </Sheet>
  );
}
