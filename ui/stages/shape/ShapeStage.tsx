import ShortSteps from 'lucide-react-native/icons/list-chevrons-down-up';
import Layers from 'lucide-react-native/icons/layers';
import WholeSteps from 'lucide-react-native/icons/list-chevrons-up-down';
import { router, useLocalSearchParams } from 'expo-router';
import { createElement, useEffect, useRef, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import type { Body } from '@core/record/model';
import { STARTERS } from '@core/shaping/starters';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { takeInHand } from '../../inRepair/atHand';
import { useFolded } from '../../inRepair/folded';
import { useShrinksPart } from '../../inRepair/partRoom';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useSolidView } from '../../inRepair/useSolidView';
import { usePartTool } from '../../part/partTool';
import { Button, IconButton } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { FirstHint } from '../../shared/FirstHint';
import { Switch } from '../../shared/Switch';
import { colours } from '../../theme/colours';
import { AddStepSheet } from './AddStepSheet';
import { BodyMenu } from './BodyMenu';
import { FaceOffers } from './FaceOffers';
import { FindingsBar } from './FindingsBar';
import { HistoryButtons } from '../../inRepair/HistoryButtons';
import { StarterSheet } from './StarterSheet';
import { StepList } from './StepList';
import { useSwipedSteps } from './useSwipedSteps';

/** Below the last step, so that it is no effort to reach, px. */
const BELOW_PX = 96;

/** From so many steps on a recipe can be read on short lines. */
const LONG_RECIPE = 5;

const NO_STEPS: Body['steps'] = [];

/** The recipe of each body, as sentences whose numbers can be tapped. */
export function ShapeStage() {
  const { repair } = useRepairContext();
  const solid = useSolidView();
  const { put } = useChangeRepair(repair);
  const bodies = repair.bodies.filter((body) => !body.removed);
  const [chosen, setChosen] = useState<string | null>(null);
  const { isShort, toggleShort } = useFolded();
  const reading = useShrinksPart();
  const touchedBody = usePartTool(({ touched }) => touched?.bodyId);
  // What is tapped on the part is the body that is worked on.
  useEffect(() => {
    if (touchedBody !== undefined) setChosen(touchedBody);
  }, [touchedBody]);
  const [sheet, setSheet] = useState<'step' | 'body' | null>(null);
  const body =
    bodies.find(({ id }) => id === chosen) ?? bodies.find(({ role }) => role === 'spare') ?? bodies[0];
  const swipe = useSwipedSteps(body?.steps.map(({ id }) => id) ?? []);
  const list = useRef<ScrollView>(null);
  const { id: bodyId, steps: { length: count } = NO_STEPS } = body ?? {};
  const before = useRef({ bodyId, count });
  const lastId = body?.steps.at(-1)?.id;
  // Another body, or another stage: nothing of it is worked on yet.
  useEffect(() => () => takeInHand(null), [bodyId]);
  useEffect(() => {
    // A step that was just added is seen.
    if (before.current.bodyId === bodyId && count === before.current.count + 1) {
      takeInHand(lastId ?? null);
      list.current?.scrollToEnd({ animated: false });
    }
    before.current = { bodyId, count };
  }, [bodyId, count, lastId]);
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
  const isLong = body.steps.length >= LONG_RECIPE;
  return (
    <View className="flex-1">
      <View className="flex-row items-center gap-2 px-3 pt-1">
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
                // Beside four signs there is room for its name alone.
                word: isLong ? one.name : wordOf(one, bodies.length),
                spoken: wordOf(one, 1),
              }))}
              value={body.id}
              onChange={setChosen}
            />
          )}
        </View>
        <HistoryButtons body={body} />
        {isLong ? (
          <IconButton label={isShort ? 'Steps in full' : 'Steps on one line each'} onPress={toggleShort}>
            {isShort ? (
              <WholeSteps size={20} color={colours.ink} />
            ) : (
              <ShortSteps size={20} color={colours.ink} />
            )}
          </IconButton>
        ) : null}
        <IconButton label="Bodies" onPress={() => setSheet('body')}>
          <Layers size={20} color={colours.ink} />
        </IconButton>
      </View>
      {touchedBody === body.id ? <FaceOffers body={body} /> : null}
      <ScrollView
        ref={list}
        className="flex-1"
        contentContainerClassName="pt-1"
        contentContainerStyle={{ paddingBottom: BELOW_PX + reading.below }}
        onScroll={reading.onScroll}
        scrollEventThrottle={32}
      >
        {body.steps.length === 0 ? (
          <View className="p-4">
            <EmptyState
              text={`${body.name} has no steps yet.`}
              action={{ label: 'Add the first step', onPress: () => setSheet('step') }}
            />
          </View>
        ) : (
          <>
            <FirstHint of="shape" />
            {createElement(
              'div',
              { ...swipe, role: 'list', 'aria-label': `Recipe of ${body.name}` },
              <StepList body={body} outcomes={outcomes} />,
            )}
          </>
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
