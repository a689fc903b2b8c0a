import { Text, View } from 'react-native';

import { Button } from '../shared/Button';
import { usePartTool, type Pointing } from './partTool';

/** Over the part while something on it is pointed at: what it is, in words. */
export function PointingBar({ pointing }: { pointing: Pointing }) {
  const { end } = usePartTool();
  return (
    <View
      role="group"
      aria-label="Pointed at"
      className="absolute inset-x-2 top-2 flex-row items-center gap-3 rounded border border-green bg-card px-3 py-2"
    >
      <Text role="status" className="min-w-0 flex-1 font-medium text-[14px] leading-5 text-ink">
        {pointing.words}
      </Text>
      <Button label="Done" onPress={end} />
    </View>
  );
}
