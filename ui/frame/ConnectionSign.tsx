import { onlineManager } from '@tanstack/react-query';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import { useSyncExternalStore } from 'react';
import { Text, View } from 'react-native';

import { useQueueLength } from '../api/useRepair';
import { colours } from '../theme/colours';

/** Says that the server is away and how much waits on this device; nothing when all is well. */
export function ConnectionSign() {
  const online = useSyncExternalStore(
    (listener) => onlineManager.subscribe(listener),
    () => onlineManager.isOnline(),
  );
  const waiting = useQueueLength();
  if (online) return null;
  const kept =
    waiting === 0
      ? 'What you do is kept on this device.'
      : `${waiting} ${waiting === 1 ? 'change is' : 'changes are'} kept on this device and will be sent when it returns.`;
  return (
    <View role="status" className="flex-row items-center gap-2 bg-rust-soft px-4 py-2">
      <CloudOff size={18} color={colours.rust.DEFAULT} />
      <Text className="flex-1 font-medium text-[14px] text-rust">{`The server is away. ${kept}`}</Text>
    </View>
  );
}
