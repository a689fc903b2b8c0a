import { useState } from 'react';
import { Text, View } from 'react-native';

import { evaluateRepair } from '@core/fitting/fit';
import type { Body, Repair, Step } from '@core/record/model';
import { liftedBody, liftedSteps } from '@core/shaping/recipe';
import { spokenSentence } from '@core/shaping/sentence';
import { stepSentence } from '@core/shaping/steps';

import { newId } from '../../api/newId';
import { useChangeRepair, useRepair } from '../../api/useRepair';
import { useRepairs } from '../../api/useRepairs';
import { useWorkshop } from '../../api/useWorkshop';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShownNumber } from '../../inRepair/useShownNumber';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { EmptyState } from '../../shared/EmptyState';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Loading } from '../../shared/Loading';
import { Sheet } from '../../shared/Sheet';

/** Brings a body, or a step, from another repair: with its numbers as they are there. */
export function LiftSheet({ body, onClose }: { body: Body; onClose(): void }) {
  const { repair } = useRepairContext();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<string | null>(null);
  const list = useRepairs(typed.trim());
  const others = (list.data?.pages ?? [])
    .flatMap((page) => page.repairs)
    .filter(({ id }) => id !== repair.head.id);
  if (chosen) return <BodiesOf id={chosen} into={body} onClose={onClose} />;
  return (
    <Sheet title="From which repair?" onClose={onClose}>
      <Field label="Find" value={typed} onChangeText={setTyped} autoCorrect={false} />
      {list.isPending ? <Loading what="Fetching the repairs…" /> : null}
      {list.isError ? (
        <EmptyState
          text="The other repairs can’t be fetched: the server does not answer. Try again when it does."
          action={{ label: 'Try again', onPress: () => void list.refetch() }}
        />
      ) : null}
      {list.data && others.length === 0 ? (
        <EmptyState text="There is no other repair of that name. Clear the search, or begin one first." />
      ) : null}
      <View className="gap-1.5">
        {others.map(({ id, name, place }) => (
          <ChoiceRow key={id} title={name} note={place || undefined} onPress={() => setChosen(id)} />
        ))}
      </View>
      {list.hasNextPage ? <Button label="More" onPress={() => void list.fetchNextPage()} /> : null}
    </Sheet>
  );
}

function BodiesOf({ id, into, onClose }: { id: string; into: Body; onClose(): void }) {
  const { repair: from, error } = useRepair(id);
  return (
    <Sheet title={from ? `From ${from.head.name}` : 'From another repair'} onClose={onClose}>
      {from ? (
        <Bodies from={from} into={into} onClose={onClose} />
      ) : error ? (
        <EmptyState text="This repair can’t be fetched. Choose another, or try again later." />
      ) : (
        <Loading what="Fetching the repair…" />
      )}
    </Sheet>
  );
}

function Bodies({ from, into, onClose }: { from: Repair; into: Body; onClose(): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { workshop } = useWorkshop();
  const numbers = evaluateRepair(from, workshop);
  const bodies = from.bodies.filter(({ removed, steps }) => !removed && steps.length > 0);
  const shown = useShownNumber(numbers);
  const bringBody = (body: Body) => {
    put('body', liftedBody(body, numbers, newId), `${body.name} has come from ${from.head.name}.`);
    onClose();
  };
  const bringStep = (step: Step) => {
    const steps = [...into.steps, ...liftedSteps([step], numbers, newId)];
    put('body', { ...into, steps }, `Step ${steps.length} has come from ${from.head.name}.`);
    onClose();
  };
  if (bodies.length === 0)
    return <EmptyState text="Nothing has been shaped in this repair yet. Choose another." />;
  return (
    <>
      <Text className="font-sans text-[15px] leading-6 text-muted">
        Numbers are copied as they are, without their sizes and fits. A single step goes to the end of{' '}
        {into.name}.
      </Text>
      {bodies.map((body) => (
        <View key={body.id} className="gap-1.5">
          <GroupHeading>{body.name}</GroupHeading>
          <Button tone="primary" label={`Bring ${body.name} as a body`} onPress={() => bringBody(body)} />
          {body.steps.map((step) => (
            <ChoiceRow
              key={step.id}
              title={spokenSentence(
                stepSentence(step, body.steps, { layouts: from.layouts, bodies: from.bodies }),
                shown,
              )}
              onPress={() => bringStep(step)}
            />
          ))}
        </View>
      ))}
    </>
  );
}
