import { format } from 'date-fns';
import { Text, View } from 'react-native';

import type { Drift } from '@core/fitting/learn';
import type { Machine, Trial } from '@core/record/model';
import { driftSentence } from '@core/reporting/numberWords';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';

const dayOf = (instant: string) => format(new Date(instant), 'd MMM yyyy');

/** A machine that makes otherwise since some trial: told, and what was before may be left aside. */
export function DriftNotice({
  machine,
  drift,
  trials,
  onSave,
}: {
  machine: Machine;
  drift: Drift | null;
  trials: readonly Trial[];
  onSave: ReturnType<typeof useChangeWorkshop>;
}) {
  const show = useShow();
  const since = drift && trials.find(({ id }) => id === drift.sinceTrialId)?.triedAt;
  if (!drift || !since) return null;
  return (
    <View role="alert" className="gap-2 rounded border border-brass bg-card p-3">
      <Text className="font-sans text-[15px] leading-[22px] text-ink">
        {driftSentence(drift, machine.name, dayOf(since), show)}
      </Text>
      <View className="items-start">
        <Button
          label="Learn only from what came since"
          onPress={() =>
            onSave(
              'machine',
              { ...machine, learnsSince: since },
              `${machine.name} is learned from trials since ${dayOf(since)}.`,
            )
          }
        />
      </View>
    </View>
  );
}

/** That earlier trials are left aside, and the way back. */
export function LearnsSince({
  machine,
  onSave,
}: {
  machine: Machine;
  onSave: ReturnType<typeof useChangeWorkshop>;
}) {
  const { learnsSince, ...rest } = machine;
  if (learnsSince === undefined) return null;
  return (
    <View className="items-start gap-1">
      <Text className="font-label text-[14px] leading-5 text-muted">
        {`Trials before ${dayOf(learnsSince)} are left aside.`}
      </Text>
      <Button
        tone="quiet"
        label="Learn from all trials again"
        onPress={() => onSave('machine', rest, `${machine.name} is learned from all its trials.`)}
      />
    </View>
  );
}
