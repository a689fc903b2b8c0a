import { router } from 'expo-router';
import { View } from 'react-native';

import { useRepairContext } from '../inRepair/useRepairContext';
import { EmptyState } from '../shared/EmptyState';
import { useOpenedJob } from './openedJob';
import { ReadJob } from './ReadJob';

/** The layers of a job's file that was chosen from this device. */
export function OpenedJobScreen() {
  const { repair } = useRepairContext();
  const file = useOpenedJob((state) => state.file);
  if (file) {
    return (
      <ReadJob
        // Another file may have the same name.
        keyOfFile={['opened-job', file.name, file.text.length, file.text.slice(-200)]}
        textOf={() => file.text}
        title={file.name}
        stage="make"
      />
    );
  }
  return (
    <View className="p-4">
      <EmptyState
        text="The file is no longer open. Choose it again under Make."
        action={{ label: 'Go to Make', onPress: () => router.replace(`/repair/${repair.head.id}/make`) }}
      />
    </View>
  );
}
