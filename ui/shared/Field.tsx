import { forwardRef, useImperativeHandle, useRef } from 'react';
import { Text, TextInput, View, type TextInputProps } from 'react-native';

import type { PadQuantity } from './pad/keys';
import { usePadField, type PadOfField } from './pad/usePadField';
import { TermMark } from './TermMark';
import { termOfLabel } from './termLabels';
import { colours } from '../theme/colours';
import { Button } from './Button';
import type { Problem } from './problem';

/** A labelled line of text, with what is wrong with it under it. */
export const Field = forwardRef<
  TextInput,
  TextInputProps & {
    label: string;
    wrong?: string | Problem | undefined;
    unit?: string;
    /** What was typed comes to this, where that is not what stands there: shown before it is kept. */
    worth?: string | null;
    /** It is for a number: our own keys stand at the foot of the screen while it is typed into. */
    pad?: PadQuantity | PadOfField;
  }
>(function Field({ label, wrong, unit, worth, multiline, pad, ...input }, ref) {
  const own = useRef<TextInput>(null);
  useImperativeHandle(ref, () => own.current!);
  const padField = usePadField(own, typeof pad === 'string' ? { quantity: pad } : pad, {
    value: input.value ?? '',
    onChangeText: input.onChangeText,
    onSubmit: input.onSubmitEditing as (() => void) | undefined,
  });
  return (
    <View className="min-w-0 gap-1">
      <FieldLabel>{label}</FieldLabel>
      <View
        className={`flex-row items-center rounded border bg-card focus-within:outline focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-green ${wrong ? 'border-rust' : 'border-rule'}`}
      >
        <TextInput
          ref={own}
          accessibilityLabel={label}
          aria-invalid={wrong ? true : undefined}
          multiline={multiline}
          placeholderTextColor={colours.muted}
          className={`min-w-0 flex-1 px-3 font-sans text-[16px] text-ink ${multiline ? 'min-h-[96px] py-2.5' : 'h-11'}`}
          {...input}
          {...(padField && {
            inputMode: padField.inputMode,
            onFocus: (event) => {
              padField.onFocus();
              input.onFocus?.(event);
            },
            onBlur: (event) => {
              padField.onBlur(event);
              input.onBlur?.(event);
            },
          })}
        />
        {worth ? (
          <Text role="status" className="shrink-0 pr-3 font-number text-[15px] tabular-nums text-brass">
            {`= ${worth}`}
          </Text>
        ) : unit ? (
          <Text className="pr-3 font-label text-muted">{unit}</Text>
        ) : null}
      </View>
      {wrong ? (
        <Wrong text={wrong} {...(input.onChangeText ? { onChoose: input.onChangeText } : {})} />
      ) : null}
    </View>
  );
});

/** What a field is called. A word of the trade has its mark, which says what it is. */
export function FieldLabel({ children }: { children: string }) {
  const term = termOfLabel(children);
  const label = <Text className="shrink font-label text-[14px] text-muted">{children}</Text>;
  if (!term) return label;
  return (
    <View className="flex-row items-center">
      {label}
      <TermMark term={term} word={children} />
    </View>
  );
}

/** What is wrong, in rust and with the word for those who do not see rust; two readings are chosen from by a tap. */
export function Wrong({ text, onChoose }: { text: string | Problem; onChoose?: (reading: string) => void }) {
  const { sentence, readings } = typeof text === 'string' ? { sentence: text, readings: [] } : text;
  return (
    <View className="gap-1.5">
      <Text role="alert" className="font-medium text-[14px] leading-5 text-rust">
        <Text className="font-semibold">Check: </Text>
        {sentence}
      </Text>
      {onChoose && readings.length > 0 ? (
        <View className="flex-row flex-wrap gap-2">
          {readings.map((reading) => (
            <Button
              key={reading}
              label={reading}
              name={`It is ${reading}`}
              onPress={() => onChoose(reading)}
            />
          ))}
        </View>
      ) : null}
    </View>
  );
}
