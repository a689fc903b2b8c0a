import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Text, View } from 'react-native';

import { rowBefore, workshopRowBefore, type Repair, type Workshop } from '@core/record/model';
import { ROW_WORDS } from '@core/reporting/wording';

import { newId } from '../api/newId';
import { useNotices } from '../api/notices';
import { CHANGE_KEY, CHANGE_SCOPE, repairKey, workshopKey } from '../api/queryClient';
import type { QueuedChange } from '../api/queuedChange';
import { useUnsettled, type Unsettled } from '../api/unsettled';
import { Button } from '../shared/Button';
import { Sheet } from '../shared/Sheet';
import { describeRow } from '../inRepair/describeRow';

/** Asks what becomes of a change that the server did not take. It is kept until that is chosen. */
export function UnsettledSheet() {
  const first = useUnsettled(({ waiting }) => waiting[0]);
  if (!first) return null;
  const { changeId } = first.queued.change;
  return first.stale ? (
    <Choice key={changeId} unsettled={first} />
  ) : (
    <NotTaken key={changeId} unsettled={first} />
  );
}

function useSend() {
  const { mutate } = useMutation<unknown, Error, QueuedChange>({
    mutationKey: CHANGE_KEY,
    scope: CHANGE_SCOPE,
  });
  return mutate;
}

/** Changed in two places at once: offers both versions. */
function Choice({ unsettled }: { unsettled: Unsettled }) {
  const { settle, setOpen } = useUnsettled();
  const send = useSend();
  const { queued, theirs } = unsettled;
  const mine = queued.change;
  const useMine = () => {
    const change = { ...mine, changeId: newId(), baseVersion: theirs?.version ?? 0 };
    send({ ...queued, change } as QueuedChange);
    settle(unsettled);
  };
  const differences = describeRow(mine.value, theirs);
  return (
    <Sheet title="Changed in two places" onClose={() => setOpen(false)}>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`While you were changing ${ROW_WORDS[mine.row].changed}, it was changed somewhere else. Which one should stay?`}
      </Text>
      <View className="flex-row gap-3">
        <Version title="From elsewhere" lines={differences.map((line) => [line.what, line.theirs])} />
        <Version title="Yours" lines={differences.map((line) => [line.what, line.mine])} />
      </View>
      <View className="flex-row gap-3">
        <Button className="flex-1" label="Keep the other" onPress={() => settle(unsettled)} />
        <Button className="flex-1" tone="primary" label="Use mine" onPress={useMine} />
      </View>
    </Sheet>
  );
}

/** Refused for another reason, or set aside: shows what was wanted, to be sent again or left out. */
function NotTaken({ unsettled }: { unsettled: Unsettled }) {
  const { settle, setOpen, add } = useUnsettled();
  const send = useSend();
  const client = useQueryClient();
  const { say } = useNotices();
  const { queued, sentence } = unsettled;
  const { change } = queued;
  const sendAgain = () => {
    // From the row as it is now: it may have moved on, or been brought back.
    const baseVersion = versionNow(client.getQueryData.bind(client), queued);
    send({ ...queued, change: { ...change, changeId: newId(), baseVersion } } as QueuedChange);
    settle(unsettled);
  };
  const leaveOut = () => {
    settle(unsettled);
    say({ tone: 'plain', text: 'It is left out.', undo: () => void add(unsettled) });
  };
  const lines = describeRow(change.value, null);
  return (
    <Sheet title="Not taken by the server" onClose={() => setOpen(false)}>
      <Text className="font-sans text-[16px] leading-6 text-ink">{sentence}</Text>
      <Version
        title={`What you did to ${ROW_WORDS[change.row].changed}`}
        lines={lines
          .filter(({ mine }) => mine !== 'nothing' && mine !== 'no')
          .map((line) => [line.what, line.mine])}
      />
      <View className="flex-row gap-3">
        <Button className="flex-1" label="Leave it out" onPress={leaveOut} />
        <Button className="flex-1" tone="primary" label="Send it again" onPress={sendAgain} />
      </View>
    </Sheet>
  );
}

function versionNow(known: (key: readonly unknown[]) => unknown, { repairId, change }: QueuedChange): number {
  if (repairId === null) {
    const workshop = known(workshopKey) as Workshop | undefined;
    const row = workshop && workshopRowBefore(workshop, change.row, change.value.id);
    return row?.version ?? change.baseVersion;
  }
  const repair = known(repairKey(repairId)) as Repair | undefined;
  if (!repair) return change.baseVersion;
  return rowBefore(repair, change.row, change.value.id)?.version ?? 0;
}

function Version({ title, lines }: { title: string; lines: [string, string][] }) {
  return (
    <View className="flex-1 gap-2 rounded border border-line bg-card p-3">
      <Text className="font-semibold text-ink">{title}</Text>
      {lines.map(([what, value]) => (
        <View key={what}>
          <Text className="font-label text-[13px] text-muted">{what}</Text>
          <Text className="font-medium text-[15px] text-ink">{value}</Text>
        </View>
      ))}
    </View>
  );
}
