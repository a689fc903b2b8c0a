import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';

import type { Body } from '@core/record/model';
import { withStepTo } from '@core/shaping/recipe';
import type { StepOutcome } from '@core/shaping/part';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { SortableStep } from './SortableStep';
import { StepSentence } from './StepSentence';

/** A touch that moves less than this is a tap, px. */
const DRAG_FROM_PX = 4;

/** The steps of a recipe, to be read, tapped and dragged into another order. */
export function StepList({ body, outcomes }: { body: Body; outcomes: readonly StepOutcome[] }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }));
  const placeOf = (id: unknown) => body.steps.findIndex((step) => step.id === id);
  const moveTo = (id: string, to: number) => {
    const from = placeOf(id);
    if (from < 0 || to < 0 || to >= body.steps.length || from === to) return;
    const steps = withStepTo(body.steps, id, to);
    put('body', { ...body, steps }, `Step ${from + 1} is now step ${to + 1}.`);
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
        {body.steps.map((step, index) => (
          <SortableStep key={step.id} id={step.id} index={index} onMove={(by) => moveTo(step.id, index + by)}>
            <StepSentence
              body={body}
              step={step}
              index={index}
              outcome={outcomes.find(({ stepId }) => stepId === step.id)}
            />
          </SortableStep>
        ))}
      </SortableContext>
    </DndContext>
  );
}
