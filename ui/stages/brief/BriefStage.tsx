import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { Controller, useForm } from 'react-hook-form';
import { ScrollView, View } from 'react-native';
import { z } from 'zod';

import { NO_BRIEF, type Brief } from '@core/foundations/fields';
import { materialIn } from '@core/record/workshop';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { Columns } from '../../shared/Columns';
import { Field } from '../../shared/Field';
import { nameField } from '../../shared/nameField';
import { HowItLies } from './HowItLies';
import { OldPart } from './OldPart';
import { WhatToMakeItOf } from './WhatToMakeItOf';
import { WhereItLives } from './WhereItLives';

const Form = z.object({
  name: nameField('the repair'),
  place: z.string().max(120, 'Where it belongs: use at most 120 characters.'),
  whatBroke: z.string().max(2000, 'What broke: use at most 2000 characters.'),
});

/** What broke, how and why, and where the part lives. */
export function BriefStage() {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { head } = repair;
  const form = useForm({
    resolver: zodResolver(Form),
    values: { name: head.name, place: head.place, whatBroke: head.whatBroke },
    // What the person is typing is never overwritten by what comes from the server.
    resetOptions: { keepDirtyValues: true },
  });
  const save = form.handleSubmit((given) => {
    const clean = { name: given.name.trim(), place: given.place.trim(), whatBroke: given.whatBroke };
    put('head', { ...head, ...clean }, 'The brief is kept.');
    form.reset(clean);
  });
  const brief = head.brief ?? NO_BRIEF;
  const change = (fields: Partial<Brief>) => put('head', { ...head, brief: { ...brief, ...fields } });
  const remove = () => {
    put('head', { ...head, removed: true }, `“${head.name}” is deleted.`);
    router.replace('/');
  };
  const field = (name: 'name' | 'place' | 'whatBroke', label: string, multiline = false) => (
    <Controller
      control={form.control}
      name={name}
      render={({ field: bound, fieldState }) => (
        <Field
          label={label}
          multiline={multiline}
          value={bound.value}
          onChangeText={bound.onChange}
          onBlur={bound.onBlur}
          wrong={fieldState.error?.message}
        />
      )}
    />
  );
  return (
    <ScrollView contentContainerClassName="gap-5 p-4 pb-8">
      <Columns
        first={
          <>
            {field('name', 'Name')}
            {field('place', 'Where it belongs')}
            {field('whatBroke', 'What broke, how and why; what the part must withstand', true)}
            <View className="items-start">
              <Button
                label={
                  repair.photos.some(({ removed }) => !removed)
                    ? 'Mark on a photo where it broke'
                    : 'Add a photo of the break'
                }
                onPress={() => router.push(`/repair/${head.id}/photos`)}
              />
            </View>
            <WhereItLives brief={brief} onChange={change} />
          </>
        }
        second={
          <>
            <HowItLies
              brief={brief}
              spare={repair.bodies.find(({ role, removed }) => role === 'spare' && !removed)}
              onSpare={(body) => put('body', body)}
            />
            <OldPart brief={brief} onChange={change} />
            <WhatToMakeItOf
              brief={brief}
              materialId={head.materialId}
              onMaterial={(materialId) =>
                put(
                  'head',
                  { ...head, materialId },
                  `It is to be made of ${materialIn(numbers.workshop, materialId).name}.`,
                )
              }
              onChange={change}
            />
          </>
        }
      />
      <Button
        tone="primary"
        label={form.formState.isDirty ? 'Keep the brief' : 'Go on to Sizes'}
        onPress={() => (form.formState.isDirty ? void save() : router.replace(`/repair/${head.id}/sizes`))}
      />
      <View className="items-start">
        <Button tone="danger" label="Delete this repair" onPress={remove} />
      </View>
    </ScrollView>
  );
}
