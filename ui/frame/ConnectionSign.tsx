import { onlineManager } from '@tanstack/react-query';
import CircleAlert from 'lucide-react-native/icons/circle-alert';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import { useSyncExternalStore } from 'react';
import { Text, View } from 'react-native';

import { lookNow, useConnection } from '../api/connection';
import { useKeeping } from '../api/device/deviceStore';
import { useSetAside } from '../api/useSetAside';
import { useUnsettled } from '../api/unsettled';
import { useQueueLength } from '../api/useRepair';
import { Button } from '../shared/Button';
import { colours } from '../theme/colours';

/** As often in a row a change may fail before it can be set aside, so that those behind it go out. */
const FAILS_BEFORE_ASIDE = 2;

/** Says when what is done does not reach the server, what becomes of it, and what can be done; nothing when all is well. */
export function ConnectionSign() {
  const online = useSyncExternalStore(
    (listener) => onlineManager.subscribe(listener),
    () => onlineManager.isOnline(),
  );
  const waiting = useQueueLength();
  const { trouble, relapses } = useConnection();
  const keepingFailed = useKeeping(({ failed }) => failed);
  const { waiting: unsettled, open, setOpen } = useUnsettled();
  const setAside = useSetAside();
  return (
    <>
      {online ? null : (
        <Sign
          icon="away"
          text={`${trouble ?? 'The server can’t be reached.'} ${keptWords(waiting, keepingFailed, trouble === null ? 'returns' : 'recovers')}`}
        >
          <Button label="Try again" onPress={lookNow} />
          {relapses > FAILS_BEFORE_ASIDE && waiting > 0 ? (
            <Button label="Set the first aside" onPress={() => void setAside(trouble)} />
          ) : null}
        </Sign>
      )}
      {online && keepingFailed ? <Sign icon="care" text={CANNOT_KEEP} /> : null}
      {unsettled.length > 0 && !open ? (
        <Sign
          icon="care"
          text={
            unsettled.length === 1
              ? 'One change needs your decision.'
              : `${unsettled.length} changes need your decision.`
          }
        >
          <Button label="Choose" onPress={() => setOpen(true)} />
        </Sign>
      ) : null}
    </>
  );
}

const CANNOT_KEEP =
  'This device can’t save anything: its storage is full, or blocked for this page. Leave the page open until all is sent.';

function keptWords(waiting: number, keepingFailed: boolean, when: string): string {
  const changes = `${waiting} ${waiting === 1 ? 'change' : 'changes'}`;
  if (keepingFailed) return waiting === 0 ? CANNOT_KEEP : `${changes} not sent yet. ${CANNOT_KEEP}`;
  if (waiting === 0) return 'What you do is kept on this device.';
  return `${changes} ${waiting === 1 ? 'is' : 'are'} kept on this device and will be sent when it ${when}.`;
}

function Sign({ icon, text, children }: { icon: 'away' | 'care'; text: string; children?: React.ReactNode }) {
  const Icon = icon === 'away' ? CloudOff : CircleAlert;
  return (
    <View role="status" className="flex-row flex-wrap items-center gap-2 bg-rust-soft px-4 py-1.5">
      <Icon size={18} color={colours.rust.DEFAULT} />
      <Text className="min-w-[180px] flex-1 font-medium text-[14px] text-rust">{text}</Text>
      <View className="flex-row gap-2">{children}</View>
    </View>
  );
}
