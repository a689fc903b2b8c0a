import { Controller } from 'react-hook-form';

import { QUANTITIES, type Quantity } from '@core/foundations/quantity';
import { Jaw, SizeKind, type Size } from '@core/record/model';

import { Button } from '../shared/Button';
import { Field } from '../shared/Field';
import { Sheet } from '../shared/Sheet';
import { DeriveSheet } from './derive/DeriveSheet';
import { JAW_WORDS, KIND_WORDS, QUANTITY_WORDS } from './jaws';
import { Choice, GivenNumber } from './SizeFields';
import { useSizeForm } from './useSizeForm';

/** A count is told or worked out; nothing measures it. */
const kindsOf = (quantity: Quantity) =>
  SizeKind.options.filter((kind) => quantity !== 'count' || kind !== 'measured');

/** Adds a size, or changes what one is. */
export function SizeForm({
  size,
  name = '',
  onClose,
  onSaved = () => {},
}: {
  size: Size | null;
  /** What a new size may be called. */
  name?: string;
  onClose(): void;
  onSaved?: (id: string) => void;
}) {
  const { form, unit, deriving, save } = useSizeForm(size, name, { onSaved, onClose });
  const [kind, quantity] = [form.watch('kind'), form.watch('quantity')];
  if (deriving) {
    return (
      <DeriveSheet
        size={deriving}
        onClose={onClose}
        onSaved={() => {
          onSaved(deriving.id);
          onClose();
        }}
      />
    );
  }
  return (
    <Sheet title={size ? `Size ${size.tag}` : 'Add a size'} onClose={onClose}>
      <Controller
        control={form.control}
        name="name"
        render={({ field, fieldState }) => (
          <Field
            label="Name"
            placeholder="Rim, outside"
            autoFocus={!size}
            value={field.value}
            onChangeText={field.onChange}
            onSubmitEditing={save}
            wrong={fieldState.error?.message}
          />
        )}
      />
      <Choice
        form={form}
        name="of"
        label="Taken on"
        options={[
          { id: 'piece', word: 'The broken piece' },
          { id: 'counterpart', word: 'The mating part' },
        ]}
      />
      <Choice
        form={form}
        name="kind"
        label="How it is known"
        options={kindsOf(quantity).map((id) => ({ id, word: KIND_WORDS[id] }))}
      />
      {kind === 'measured' && quantity === 'length' ? (
        <Choice
          form={form}
          name="jaw"
          label="Taken with"
          options={Jaw.options.map((id) => ({ id, word: JAW_WORDS[id] }))}
        />
      ) : null}
      {kind === 'stated' || kind === 'chosen' ? (
        <>
          <GivenNumber form={form} name="given" label="Number" unit={unit} onSubmit={save} />
          {kind === 'stated' ? (
            <GivenNumber
              form={form}
              name="givenPlusMinus"
              label="Plus or minus, if limits are stated"
              unit={unit}
              onSubmit={save}
            />
          ) : null}
          <Controller
            control={form.control}
            name="source"
            render={({ field, fieldState }) => (
              <Field
                label={kind === 'stated' ? 'Where is it stated?' : 'Why this number? You may leave this out.'}
                value={field.value}
                onChangeText={field.onChange}
                wrong={fieldState.error?.message}
              />
            )}
          />
        </>
      ) : null}
      <Choice
        form={form}
        name="quantity"
        label="What kind of number"
        options={QUANTITIES.map((id) => ({ id, word: QUANTITY_WORDS[id] }))}
        onChange={(next) => {
          if (next === 'count' && form.getValues('kind') === 'measured') form.setValue('kind', 'stated');
        }}
      />
      <Choice
        form={form}
        name="importance"
        label="How important it is"
        options={[
          { id: 'critical', word: 'Critical' },
          { id: 'plain', word: 'Usual' },
          { id: 'free', word: 'Does not matter' },
        ]}
      />
      <Button
        tone="primary"
        label={size ? 'Keep' : kind === 'measured' ? 'Add and measure' : kind === 'derived' ? 'Next' : 'Add'}
        onPress={save}
      />
    </Sheet>
  );
}
