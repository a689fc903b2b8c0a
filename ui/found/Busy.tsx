import { Text, View } from 'react-native';

import { Button } from '../shared/Button';

/** What is under way, and the way to stop it. */
export function Busy({ words, onStop }: { words: string; onStop(): void }) {
  return (
    <View className="flex-row items-center justify-between gap-3">
      <Text role="status" className="flex-1 font-sans text-[15px] leading-6 text-ink">
        {words}
      </Text>
      <Button label="Stop" onPress={onStop} />
    </View>
  );
}
