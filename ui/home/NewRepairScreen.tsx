import { zodResolver } from '@hookform/resolvers/zod';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { router } from 'expo-router';
import { Controller, useForm } from 'react-hook-form';
import { useEffect, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';
import { z } from 'zod';

import type { Starter } from '@core/shaping/starters';

import { Unreachable } from '../api/client';
import { newId } from '../api/newId';
import { useNewRepair } from '../api/useRepairs';
import { Button, IconButton } from '../shared/Button';
import { Field, Wrong } from '../shared/Field';
import { GroupHeading, Heading } from '../shared/Heading';
import { nameField } from '../shared/nameField';
import { workbench } from '../solid/useSolid';
import { StarterTiles } from '../starters/StarterTiles';
import { colours } from '../theme/colours';

const Form = z.object({
  name: nameField('the repair'),
  place: z.string().max(120, 'Where it belongs: use at most 120 characters.'),
});

/** Begins a repair: with its name, or with a common spare that it is like. */
export function NewRepairScreen() {
  const create = useNewRepair();
  // One id however often it is sent: if an answer was lost, sending again makes no second repair.
  const [id] = useState(newId);
  useEffect(() => workbench.begin(), []);
  const form = useForm({ resolver: zodResolver(Form), defaultValues: { name: '', place: '' } });
  const begin = form.handleSubmit((given) =>
    create.mutate({ id, ...given }, { onSuccess: () => router.replace(`/repair/${id}/sizes`) }),
  );
  const beginLike = (starter: Starter) => {
    // What has no name yet goes by that of the starter.
    if (form.getValues('name').trim() === '') form.setValue('name', starter.name);
    void form.handleSubmit((given) =>
      create.mutate(
        { id, ...given },
        { onSuccess: () => router.replace(`/repair/${id}/shape?starter=${starter.id}`) },
      ),
    )();
  };
  return (
    <ScrollView className="flex-1 bg-paper" contentContainerClassName="items-center">
      <View role="main" className="w-full max-w-[720px] gap-5 p-4">
        <View className="-ml-2 flex-row items-center gap-1">
          <IconButton label="Back to the list of repairs" onPress={() => router.navigate('/')}>
            <ChevronLeft size={26} color={colours.ink} />
          </IconButton>
          <Heading level={1}>New repair</Heading>
        </View>
        <Controller
          control={form.control}
          name="name"
          render={({ field, fieldState }) => (
            <Field
              label="What is it?"
              placeholder="Rack wheel"
              autoFocus
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              onSubmitEditing={() => void begin()}
              wrong={fieldState.error?.message}
            />
          )}
        />
        <Controller
          control={form.control}
          name="place"
          render={({ field, fieldState }) => (
            <Field
              label="Where does it belong? You may leave this out."
              placeholder="Dish rack, lower basket"
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              onSubmitEditing={() => void begin()}
              wrong={fieldState.error?.message}
            />
          )}
        />
        {create.error ? (
          <Wrong
            text={
              create.error instanceof Unreachable
                ? 'The server can’t be reached, so the repair can’t be started yet. What you typed stays here; try again in a moment.'
                : create.error.message
            }
          />
        ) : null}
        <Button tone="primary" label="Begin" busy={create.isPending} onPress={() => void begin()} />
        <View className="gap-2">
          <GroupHeading>Or start from a common part</GroupHeading>
          <Text className="font-sans text-[15px] leading-6 text-muted">
            Each asks for a few numbers and makes a recipe that you can change.
          </Text>
          <StarterTiles onChoose={beginLike} />
        </View>
      </View>
    </ScrollView>
  );
}
