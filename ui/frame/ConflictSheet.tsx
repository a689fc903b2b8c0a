import { useMutation } from '@tanstack/react-query';
import { Text, View } from 'react-native';

import { useConflicts, type Conflict } from '../api/conflicts';
import { newId } from '../api/newId';
import { CHANGE_KEY, CHANGE_SCOPE, type QueuedChange } from '../api/queryClient';
import { Button } from '../shared/Button';
import { Sheet } from '../shared/Sheet';
import { describeRow } from './describeRow';

/** Offers both versions of a row that was changed in two places at once. */
export function ConflictSheet() {
  const { waiting } = useConflicts();
  const conflict = waiting[0];
  return conflict ? <Choice key={conflict.queued.change.changeId} conflict={conflict} /> : null;
}

function Choice({ conflict }: { conflict: Conflict }) {
  const { settle } = useConflicts();
  const { mutate } = useMutation<unknown, Error, QueuedChange>({
    mutationKey: CHANGE_KEY,
    scope: CHANGE_SCOPE,
  });
  const { queued, theirs } = conflict;
  const mine = queued.change;
  const keepTheirs = () => settle(conflict);
  const useMine = () => {
    const change = { ...mine, changeId: newId(), baseVersion: theirs?.version ?? 0 };
    mutate({ ...queued, change } as QueuedChange);
    settle(conflict);
  };
  const differences = describeRow(mine.value, theirs);
  return (
    <Sheet title="Changed in two places" onClose={keepTheirs}>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`While you were changing ${ROW_NAMES[mine.row]}, it was changed somewhere else. Which one should stay?`}
      </Text>
      <View className="flex-row gap-3">
        <Version title="From elsewhere" lines={differences.map((line) => [line.what, line.theirs])} />
        <Version title="Yours" lines={differences.map((line) => [line.what, line.mine])} />
      </View>
      <View className="flex-row gap-3">
        <Button className="flex-1" label="Keep the other" onPress={keepTheirs} />
        <Button className="flex-1" tone="primary" label="Use mine" onPress={useMine} />
      </View>
    </Sheet>
  );
}

const ROW_NAMES: Record<QueuedChange['change']['row'], string> = {
  head: 'the brief',
  size: 'this size',
  reading: 'this reading',
  layout: 'this layout',
  fit: 'this fit',
  chain: 'this chain',
  photo: 'this photo',
  instrument: 'this instrument',
  machine: 'this machine',
  fitTable: 'these fits',
  body: 'this recipe',
  revision: 'this revision',
};

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
