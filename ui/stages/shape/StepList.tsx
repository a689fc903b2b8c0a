import { Fragment } from 'react';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';

import type { Body, Step } from '@core/record/model';
import { sectionsOf, withStepTo } from '@core/shaping/recipe';
import type { StepOutcome } from '@core/shaping/part';

import { useChangeRepair } from '../../api/useRepair';
import { takeInHand, useAtHand } from '../../inRepair/atHand';
import { useFolded } from '../../inRepair/folded';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { SectionHeading } from './SectionHeading';
import { ShortStep } from './ShortStep';
import { SortableStep } from './SortableStep';
import { StepSentence } from './StepSentence';

/** A touch that moves less than this is a tap, px. */
const DRAG_FROM_PX = 4;

/** The steps of a recipe, to be read, tapped and dragged into another order. */
export function StepList({ body, outcomes }: { body: Body; outcomes: readonly StepOutcome[] }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { sections, isShort, toggleSection } = useFolded();
  const atHand = useAtHand(({ stepId }) => stepId);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }));
  const placeOf = (id: unknown) => body.steps.findIndex((step) => step.id === id);
  const moveTo = (id: string, to: number) => {
    const from = placeOf(id);
    if (from < 0 || to < 0 || to >= body.steps.length || from === to) return;
    const steps = withStepTo(body.steps, id, to);
    put('body', { ...body, steps }, `Step ${from + 1} is now step ${to + 1}.`);
  };
  const outcomeOf = (id: string) => outcomes.find(({ stepId }) => stepId === id);
  const rowOf = (step: Step) => {
    const index = placeOf(step.id);
    const outcome = outcomeOf(step.id);
    const choose = () => takeInHand(step.id);
    // What is worked on, or goes wrong, is shown whole.
    const isWhole = !isShort || step.id === atHand || outcome?.state === 'failed';
    return (
      <SortableStep
        key={step.id}
        id={step.id}
        index={index}
        isAtHand={step.id === atHand}
        onMove={(by) => moveTo(step.id, index + by)}
        onChoose={choose}
      >
        {isWhole ? (
          <StepSentence body={body} step={step} index={index} outcome={outcome} />
        ) : (
          <ShortStep body={body} step={step} index={index} onPress={choose} />
        )}
      </SortableStep>
    );
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        // What is read out stands outside the list, which holds nothing but steps.
        container: document.body,
        screenReaderInstructions: { draggable: 'The arrow keys move this step up or down by one place.' },
        announcements: {
          onDragStart: ({ active }) => `Step ${placeOf(active.id) + 1} is taken up.`,
          onDragOver: ({ over }) => (over ? `It is over place ${placeOf(over.id) + 1}.` : undefined),
          onDragEnd: ({ over }) => (over ? `It is put at place ${placeOf(over.id) + 1}.` : 'It is put back.'),
          onDragCancel: () => 'It is put back.',
        },
      }}
      onDragEnd={({ active, over }) => moveTo(String(active.id), placeOf(over?.id))}
    >
      <SortableContext items={body.steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        {sectionsOf(body.steps).map(({ name, steps }) => {
          const [{ id: first }] = steps as [Step];
          // What is worked on is seen: a step that was just added, too.
          const hasHand = steps.some(({ id }) => id === atHand);
          const isFolded = name !== null && sections.includes(first) && !hasHand;
          const fold = () => {
            if (hasHand) takeInHand(null);
            if (isFolded === sections.includes(first)) toggleSection(first);
          };
          return (
            <Fragment key={first}>
              {name === null ? null : (
                <SectionHeading
                  name={name}
                  count={steps.length}
                  failing={steps.filter(({ id }) => outcomeOf(id)?.state === 'failed').length}
                  isFolded={isFolded}
                  onPress={fold}
                />
              )}
              {isFolded ? null : steps.map(rowOf)}
            </Fragment>
          );
        })}
      </SortableContext>
    </DndContext>
  );
}
