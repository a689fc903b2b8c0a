import { useState } from 'react';
import { View } from 'react-native';

import { withStepAfter } from '@core/shaping/recipe';
import {
  factsOfKind,
  nextLetter,
  STEP_KINDS,
  type Body,
  type StepGroup,
  type StepKind,
} from '@core/record/model';
import { newStep } from '@core/shaping/steps';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import { StarterSheet } from './StarterSheet';
import { StepTile } from './StepTile';

/** Verbs by what one is about to do. */
const GROUPS: Record<StepGroup, string> = {
  holes: 'Holes and hardware',
  form: 'Add or take away',
  again: 'Repeat',
  edges: 'Edges and faces',
  whole: 'Whole part',
};

/** Chooses the verb of a new step; its numbers come from sizes that no step uses yet. */
export function AddStepSheet({
  body,
  after,
  onClose,
}: {
  body: Body;
  /** The step that it comes after; the last one if left out. */
  after?: string;
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [starters, setStarters] = useState(false);
  const place = after === undefined ? body.steps.length : body.steps.findIndex(({ id }) => id === after) + 1;
  const before = body.steps.slice(0, place);
  const hasOther = repair.bodies.some(({ id, removed }) => !removed && id !== body.id);
  const isPossible = (kind: StepKind) => {
    const { needs } = factsOfKind(kind);
    if (needs === undefined) return true;
    return needs === 'otherBody' ? hasOther : before.some((step) => step.kind === needs);
  };
  const add = (kind: StepKind) => {
    const step = newStep(
      kind,
      {
        body: { ...body, steps: before },
        state: repair,
        numbers,
        nextRevision: nextLetter(repair.revisions.map(({ letter }) => letter)),
      },
      newId(),
    );
    const steps = withStepAfter(body.steps, before.at(-1)?.id ?? null, step);
    put('body', { ...body, steps }, `Step ${place + 1} added.`);
    onClose();
  };
  if (starters) return <StarterSheet body={body} onClose={onClose} />;
  const tiles = (kinds: readonly StepKind[]) => (
    <View className="flex-row flex-wrap gap-2">
      {kinds.filter(isPossible).map((kind) => (
        <StepTile key={kind} kind={kind} onPress={() => add(kind)} />
      ))}
    </View>
  );
  if (before.length === 0) {
    return (
      <Sheet title="Begin with" onClose={onClose}>
        {body.steps.length === 0 ? (
          <Button
            tone="primary"
            label="A starter: a whole recipe to change"
            onPress={() => setStarters(true)}
          />
        ) : null}
        {tiles(STEP_KINDS.filter((kind) => factsOfKind(kind).begins))}
      </Sheet>
    );
  }
  return (
    <Sheet title={after === undefined ? 'Add a step' : `Add a step after step ${place}`} onClose={onClose}>
      {Object.entries(GROUPS).map(([group, name]) => (
        <View key={group} className="gap-1.5">
          <GroupHeading>{name}</GroupHeading>
          {tiles(STEP_KINDS.filter((kind) => factsOfKind(kind).group === group))}
        </View>
      ))}
    </Sheet>
  );
}
