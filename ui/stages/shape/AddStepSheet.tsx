import { useState } from 'react';
import { View } from 'react-native';

import { factsOfKind, STEP_KINDS, type Body, type StepGroup, type StepKind } from '@core/record/model';
import { findSteps, likelyNext } from '@core/shaping/steps';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShownDraft } from '../../inRepair/draft';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import { StarterSheet } from './StarterSheet';
import { StepTile } from './StepTile';
import { useNewStep } from './useNewStep';

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
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [starters, setStarters] = useState(false);
  const [typed, setTyped] = useState('');
  const place = after === undefined ? body.steps.length : body.steps.findIndex(({ id }) => id === after) + 1;
  const before = body.steps.slice(0, place);
  const hasOther = repair.bodies.some(({ id, removed }) => !removed && id !== body.id);
  const isPossible = (kind: StepKind) => {
    const { needs } = factsOfKind(kind);
    if (needs === undefined) return true;
    return needs === 'otherBody' ? hasOther : before.some((step) => step.kind === needs);
  };
  const withNew = useNewStep(body);
  const [tried, setTried] = useState<StepKind | null>(null);
  useShownDraft(tried && withNew(tried, 'tried', before));
  const add = (kind: StepKind) => {
    put('body', withNew(kind, newId(), before), `Step ${place + 1} added.`);
    onClose();
  };
  if (starters) return <StarterSheet body={body} onClose={onClose} />;
  const tiles = (kinds: readonly StepKind[]) => (
    <View className="flex-row flex-wrap gap-2">
      {kinds.filter(isPossible).map((kind) => (
        <StepTile
          key={kind}
          kind={kind}
          onPress={() => add(kind)}
          onLook={(isOn) => setTried(isOn ? kind : null)}
        />
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
  const shown = findSteps(typed, STEP_KINDS.filter(isPossible));
  const likely = likelyNext(before).filter((kind) => shown.includes(kind));
  const groups = [
    { name: 'Likely next', kinds: likely },
    ...Object.entries(GROUPS).map(([group, name]) => ({
      name,
      kinds: shown.filter((kind) => factsOfKind(kind).group === group && !likely.includes(kind)),
    })),
  ];
  return (
    <Sheet
      showsPart
      title={after === undefined ? 'Add a step' : `Add a step after step ${place}`}
      onClose={onClose}
    >
      <Field
        label="Find a step"
        placeholder="bearing, snap, handle, slot…"
        value={typed}
        onChangeText={setTyped}
        autoCorrect={false}
        onSubmitEditing={() => {
          if (typed.trim() !== '' && shown.length === 1) add(shown[0]!);
        }}
      />
      {shown.length === 0 ? (
        <EmptyState
          text={`Nothing here is called “${typed.trim()}”. Try another word for it, or clear the search.`}
          action={{ label: 'Clear the search', onPress: () => setTyped('') }}
        />
      ) : null}
      {groups.map(({ name, kinds }) =>
        kinds.length === 0 ? null : (
          <View key={name} className="gap-1.5">
            <GroupHeading>{name}</GroupHeading>
            {tiles(kinds)}
          </View>
        ),
      )}
    </Sheet>
  );
}
