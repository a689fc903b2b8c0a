import type { ReactNode } from 'react';
import { useWindowDimensions, View } from 'react-native';

/** From this width a stage of many panels has two columns, and the part what is left, px. */
const TWO_FROM = 1240;

export const useTwoColumns = (): boolean => useWindowDimensions().width >= TWO_FROM;

/** Panels below each other; on a wide screen in two columns, each as high as its own panels. They are read the first column first. */
export function Columns({ first, second }: { first: ReactNode; second: ReactNode }) {
  const hasTwo = useTwoColumns();
  return (
    <View className={hasTwo ? 'flex-row items-start gap-5' : 'gap-5'}>
      <View className={`gap-5 ${hasTwo ? 'min-w-0 flex-1' : ''}`}>{first}</View>
      <View className={`gap-5 ${hasTwo ? 'min-w-0 flex-1' : ''}`}>{second}</View>
    </View>
  );
}
