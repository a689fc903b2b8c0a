import { router } from 'expo-router';
import { View } from 'react-native';

import { EmptyState } from '../shared/EmptyState';

export function NotFoundScreen() {
  return (
    <View className="flex-1 bg-paper p-4">
      <EmptyState
        text="There is no page at this address."
        action={{ label: 'Go to the list of repairs', onPress: () => router.replace('/') }}
      />
    </View>
  );
}
