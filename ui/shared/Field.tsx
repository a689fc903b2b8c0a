import { forwardRef } from 'react';
import { Text, TextInput, View, type TextInputProps } from 'react-native';

import { colours } from '../theme/colours';

/** A labelled line of text, with what is wrong with it under it. */
export const Field = forwardRef<
  TextInput,
  TextInputProps & { label: string; wrong?: string | undefined; unit?: string }
>(function Field({ label, wrong, unit, multiline, ...input }, ref) {
  return (
    <View className="min-w-0 gap-1">
      <Text className="font-label text-[14px] text-muted">{label}</Text>
      <View
        className={`flex-row items-center rounded border bg-card ${wrong ? 'border-rust' : 'border-rule'}`}
      >
        <TextInput
          ref={ref}
          accessibilityLabel={label}
          aria-invalid={wrong ? true : undefined}
          multiline={multiline}
          placeholderTextColor={colours.muted}
          className={`min-w-0 flex-1 px-3 font-sans text-[16px] text-ink ${multiline ? 'min-h-[96px] py-2.5' : 'h-11'}`}
          {...input}
        />
        {unit ? <Text className="pr-3 font-label text-muted">{unit}</Text> : null}
      </View>
      {wrong ? <Wrong text={wrong} /> : null}
    </View>
  );
});

/** What is wrong, in rust and with the word for those who do not see rust. */
export function Wrong({ text }: { text: string }) {
  return (
    <Text role="alert" className="font-medium text-[14px] leading-5 text-rust">
      <Text className="font-semibold">Check: </Text>
      {text}
    </Text>
  );
}
