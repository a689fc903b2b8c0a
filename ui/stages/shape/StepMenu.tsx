import { useState } from 'react';
import { View } from 'react-native';

import type { Body, Step } from '@core/record/model';
import {
  withoutStep,
  withPatch,
  withStepCopied,
  withStepMoved,
  withStepSwitched,
} from '@core/shaping/recipe';

import { moreOptions } from '@core/shaping/steps';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { Sheet } from '../../shared/Sheet';
import { AddStepSheet } from './AddStepSheet';
import { HardwareSheet } from './HardwareSheet';

/** What can be done with a step: its order, and taking it out. */
export function StepMenu({
  body,
  step,
  index,
  onClose,
}: {
  body: Body;
  step: Step;
  index: number;
  onClose(): void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [choosing, setChoosing] = useState(false);
  const [adding, setAdding] = useState(false);
  const [note, setNote] = useState(step.note ?? '');
  const [section, setSection] = useState(step.heading ?? '');
  const set = (steps: Step[], said: string) => {
    put('body', { ...body, steps }, said);
    onClose();
  };
  const keepNote = () =>
    set(
      withPatch(body.steps, step.id, { note: note.trim() === '' ? undefined : note.trim() }),
      `Step ${index + 1} has ${note.trim() === '' ? 'no note any more' : 'a note'}.`,
    );
  const keepSection = () => {
    const name = section.trim();
    set(
      withPatch(body.steps, step.id, { heading: name === '' ? undefined : name }),
      name === ''
        ? `No section begins with step ${index + 1} any more.`
        : `“${name}” begins with step ${index + 1}.`,
    );
  };
  if (choosing) {
    return (
      <HardwareSheet
        onTake={(patch, name) =>
          set(withPatch(body.steps, step.id, patch), `Step ${index + 1} is the hole for: ${name}.`)
        }
        onClose={onClose}
      />
    );
  }
  if (adding) return <AddStepSheet body={body} after={step.id} onClose={onClose} />;
  return (
    <Sheet title={`Step ${index + 1}`} onClose={onClose}>
      <View className="flex-row gap-3">
        <Button
          className="flex-1"
          label="Earlier"
          disabled={index === 0}
          onPress={() => set(withStepMoved(body.steps, step.id, -1), 'The step comes earlier.')}
        />
        <Button
          className="flex-1"
          label="Later"
          disabled={index === body.steps.length - 1}
          onPress={() => set(withStepMoved(body.steps, step.id, 1), 'The step comes later.')}
        />
      </View>
      <View className="flex-row gap-3">
        <Button
          className="flex-1"
          label={step.off ? 'Switch it on' : 'Switch it off'}
          onPress={() =>
            set(
              withStepSwitched(body.steps, step.id),
              `Step ${index + 1} is switched ${step.off ? 'on' : 'off'}.`,
            )
          }
        />
        <Button
          className="flex-1"
          label="Copy it"
          onPress={() => set(withStepCopied(body.steps, step.id, newId()), `Step ${index + 1} is copied.`)}
        />
      </View>
      {step.kind === 'hole' ? (
        <Button label="For a screw, a nut or a bearing" onPress={() => setChoosing(true)} />
      ) : null}
      {moreOptions(step).map(({ word, patch }) => (
        <Button
          key={word}
          label={word}
          onPress={() => set(withPatch(body.steps, step.id, patch), `Step ${index + 1} is changed.`)}
        />
      ))}
      <Button label="Put a step after it" onPress={() => setAdding(true)} />
      <Field
        label="A note of your own"
        value={note}
        onChangeText={setNote}
        onSubmitEditing={keepNote}
        placeholder="What it is for"
      />
      <Button label="Keep the note" disabled={note.trim() === (step.note ?? '')} onPress={keepNote} />
      <Field
        label="A section begins here, called"
        value={section}
        onChangeText={setSection}
        onSubmitEditing={keepSection}
        placeholder="Holes, rim, snap hooks…"
      />
      <Button
        label={section.trim() === '' && step.heading ? 'Begin no section here' : 'Begin the section here'}
        disabled={section.trim() === (step.heading ?? '')}
        onPress={keepSection}
      />
      <Button
        tone="danger"
        label={`Take out step ${index + 1}`}
        onPress={() => set(withoutStep(body.steps, step.id), `Step ${index + 1} is taken out.`)}
      />
    </Sheet>
  );
}
