import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';

import { useWide } from '../shared/useWide';

/** The layers with what is said of them: above it on a phone, in the large pane beside it on a wide screen. */
export function BesideLayers({ view, children }: { view: ReactNode; children: ReactNode }) {
  const wide = useWide();
  if (wide) {
    return (
      <View className="flex-1 flex-row">
        <ScrollView
          className="w-[450px] shrink-0 grow-0 border-r border-line"
          contentContainerClassName="pb-8"
        >
          {children}
        </ScrollView>
        <View className="flex-1">{view}</View>
      </View>
    );
  }
  return (
    <ScrollView contentContainerClassName="pb-8">
      <View className="h-[380px]">{view}</View>
      {children}
    </ScrollView>
  );
}
