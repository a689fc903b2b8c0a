import { Text, View } from 'react-native';

import { Button } from './Button';

/** What to do next where there is nothing yet, with the one action that does it. */
export function EmptyState({ text, action }: { text: string; action?: { label: string; onPress(): void } }) {
  return (
    <View className="items-start gap-3 rounded border border-dashed border-rule p-4">
      <Text className="font-sans text-[16px] leading-6 text-ink">{text}</Text>
      {action ? <Button tone="primary" {...action} /> : null}
    </View>
  );
}
