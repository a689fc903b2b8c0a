import Layers from 'lucide-react-native/icons/layers';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import type { Body } from '@core/record/model';
import { STARTERS } from '@core/shaping/starters';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useSolidView } from '../../inRepair/useSolidView';
import { Button, IconButton } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { Switch } from '../../shared/Switch';
import { colours } from '../../theme/colours';
import { AddStepSheet } from './AddStepSheet';
import { BodyMenu } from './BodyMenu';
import { FindingsBar } from './FindingsBar';
import { HistoryButtons } from './HistoryButtons';
import { StarterSheet } from './StarterSheet';
import { StepList } from './StepList';

const NO_STEPS: Body['steps'] = [];

/** The recipe of each body, as sentences whose numbers can be tapped. */
export function ShapeStage() {
  const { repair } = useRepairContext();
  const solid = useSolidView();
  const { put } = useChangeRepair(repair);
  const bodies = repair.bodies.filter((body) => !body.removed);
  const [chosen, setChosen] = useState<string | null>(null);
  const [sheet, setSheet] = useState<'step' | 'body' | null>(null);
  const body =
    bodies.find(({ id }) => id === chosen) ?? bodies.find(({ role }) => role === 'spare') ?? bodies[0];
  const outcomes = solid.bodies.find(({ bodyId }) => bodyId === body?.id)?.steps ?? [];

  const addBody = (role: Body['role']) => {
    const id = newId();
    const name =
      role === 'spare' ? (bodies.length === 0 ? 'Spare' : `Spare ${bodies.length + 1}`) : 'Counterpart';
    put('body', { id, version: 0, name, role, steps: NO_STEPS, removed: false });
    setChosen(id);
    setSheet('step');
  };
  // A repair that was begun with a starter: its numbers are taken first.
  const asked = useLocalSearchParams<{ starter?: string }>().starter;
  const starterSheet =
    asked !== undefined && repair.bodies.length === 0 ? (
      <StarterSheet
        // What is none of them leaves the choice.
        first={STARTERS.find(({ id }) => id === asked) ?? null}
        onClose={() => router.setParams({ starter: undefined })}
      />
    ) : null;
  if (!body) {
    return (
      <View className="p-4">
        {starterSheet}
        <EmptyState
          text="A recipe is a short list of sentences: turn a wheel, drill a hole, ease its edges. Begin with the first."
          action={{ label: 'Add the first step', onPress: () => addBody('spare') }}
        />
      </View>
    );
  }
  return (
    <View className="flex-1">
      <View className="flex-row items-center gap-2 px-3 pt-2">
        <View className="min-w-0 flex-1">
          {bodies.length === 1 ? (
            // There is nothing to choose.
            <Text numberOfLines={1} className="px-1 font-semibold text-[17px] text-ink">
              {wordOf(body, bodies.length)}
            </Text>
          ) : (
            <Switch
              label="Body"
              options={bodies.map((one) => ({
                id: one.id,
                word: wordOf(one, bodies.length),
                spoken: wordOf(one, 1),
              }))}
              value={body.id}
              onChange={setChosen}
            />
          )}
        </View>
        <HistoryButtons body={body} />
        <IconButton label="Bodies" onPress={() => setSheet('body')}>
          <Layers size={20} color={colours.ink} />
        </IconButton>
      </View>
      <ScrollView
        className="flex-1"
        contentContainerClassName="pb-24 pt-2"
        role="list"
        aria-label={`Recipe of ${body.name}`}
      >
        {body.steps.length === 0 ? (
          <View className="p-4">
            <EmptyState
              text={`${body.name} has no steps yet.`}
              action={{ label: 'Add the first step', onPress: () => setSheet('step') }}
            />
          </View>
        ) : (
          <StepList body={body} outcomes={outcomes} />
        )}
      </ScrollView>
      <FindingsBar
        bodyId={body.id}
        action={
          body.steps.length > 0 ? (
            <Button tone="primary" label="Add a step" onPress={() => setSheet('step')} />
          ) : null
        }
      />
      {sheet === 'step' ? <AddStepSheet body={body} onClose={() => setSheet(null)} /> : null}
      {sheet === 'body' ? <BodyMenu body={body} onAdd={addBody} onClose={() => setSheet(null)} /> : null}
    </View>
  );
}

/** What a body is called; with several, there is no room on a phone to say of each what it is. */
const wordOf = ({ name, role }: Body, count: number): string =>
  role === 'counterpart' && count < 3 ? `${name} (counterpart)` : name;
