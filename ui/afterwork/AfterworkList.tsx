import Check from 'lucide-react-native/icons/check';
import { Pressable, Text, View } from 'react-native';

import { isFinished, type AfterworkTask } from '@core/making/afterwork';
import type { FinishedWork } from '@core/record/model';
import { afterworkSentence, afterworkTotal } from '@core/reporting/wording';

import { useShow } from '../preferences/useShow';
import { GroupHeading } from '../shared/Heading';
import { colours } from '../theme/colours';

/** What is to be done once a spare is made: with its times, and to be ticked off where something was made. */
export function AfterworkList({
  tasks,
  finished,
  onTick,
}: {
  tasks: readonly AfterworkTask[];
  finished?: readonly FinishedWork[];
  /** Without it nothing can be ticked off: it is a look ahead. */
  onTick?: (task: AfterworkTask, isDone: boolean) => void;
}) {
  const show = useShow();
  const done = finished ?? [];
  const left = tasks.filter((task) => !isFinished(done, task));
  return (
    <View className="gap-1.5">
      <GroupHeading>{onTick ? 'Before you try it' : 'Finishing'}</GroupHeading>
      <View role="list" aria-label="Finishing, after it is made" className="gap-1">
        {tasks.map((task) => {
          const sentence = afterworkSentence(task, show);
          const isDone = isFinished(done, task);
          return (
            <View key={`${task.what} ${task.fit?.id ?? ''}`} role="listitem">
              {onTick ? (
                <Pressable
                  accessibilityRole="checkbox"
                  accessibilityLabel={sentence}
                  accessibilityState={{ checked: isDone }}
                  aria-checked={isDone}
                  onPress={() => onTick(task, !isDone)}
                  className="min-h-[44px] flex-row items-center gap-3 active:bg-green-soft"
                >
                  <View
                    className={`h-6 w-6 items-center justify-center rounded-sm border ${isDone ? 'border-green bg-green' : 'border-rule bg-card'}`}
                  >
                    {isDone ? <Check size={18} color={colours.card} /> : null}
                  </View>
                  <Text
                    className={`flex-1 font-sans text-[16px] leading-6 ${isDone ? 'text-muted line-through' : 'text-ink'}`}
                  >
                    {sentence}
                  </Text>
                </Pressable>
              ) : (
                <Text className="font-sans text-[15px] leading-[22px] text-ink">{sentence}</Text>
              )}
            </View>
          );
        })}
      </View>
      <Text role="status" className="font-label text-[14px] leading-5 text-muted">
        {left.length === 0 ? 'All done.' : afterworkTotal(left)}
      </Text>
    </View>
  );
}
