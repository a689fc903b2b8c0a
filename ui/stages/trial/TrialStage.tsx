import { format } from 'date-fns';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import type { TrialSetting } from '@core/fitting/trial';

import { useChangeRepair } from '../../api/useRepair';
import { DeletedRows } from '../../inRepair/DeletedRows';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { Columns } from '../../shared/Columns';
import { Picker } from '../../shared/Picker';
import { NextRevision } from './NextRevision';
import { RepairJobs } from './RepairJobs';
import { ResultCard } from './ResultCard';
import { StartTrial } from './StartTrial';
import { TrialAfterwork } from './TrialAfterwork';
import { TrialPhotos } from './TrialPhotos';
import { useTrials } from './useTrials';

const ANOTHER = 'another';

/** What came out: a card for each fit, from which the next numbers follow. */
export function TrialStage() {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { trials: all, complete, failed } = useTrials(repair);
  const trials = repair.trials.filter(({ removed }) => !removed);
  const [chosen, setChosen] = useState<string | null>(null);
  const trial = chosen === ANOTHER ? undefined : (trials.find(({ id }) => id === chosen) ?? trials.at(-1));
  const setting: TrialSetting = { state: repair, numbers, workshop: numbers.workshop, trials: all, complete };
  return (
    <ScrollView contentContainerClassName="gap-4 p-4 pb-8">
      <RepairJobs onStarted={setChosen} />
      {trials.length > 0 ? (
        <Picker
          label="Trial"
          options={[
            ...[...trials].reverse().map(({ id, name, triedAt }) => ({
              id,
              word: `${name}, ${format(new Date(triedAt), 'd MMM HH:mm')}`,
            })),
            { id: ANOTHER, word: 'Begin another trial' },
          ]}
          value={trial?.id ?? ANOTHER}
          onChange={setChosen}
        />
      ) : null}
      {trial ? (
        <Columns
          first={
            <>
              {trial.results.length === 0 ? (
                <Text className="font-sans text-[16px] leading-6 text-ink">
                  What was made here has no fit, so there is nothing to try. Delete this trial, or begin
                  another.
                </Text>
              ) : null}
              <TrialAfterwork trial={trial} />
              {trial.results.map((result, index) => (
                <ResultCard
                  key={`${trial.id}/${result.fitId}`}
                  trial={trial}
                  index={index}
                  setting={setting}
                />
              ))}
              {failed ? (
                <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
                  The trials of other repairs can’t be fetched, so nothing is proposed for the machine yet.
                  Start the server, then reload the page.
                </Text>
              ) : null}
            </>
          }
          second={
            <>
              <NextRevision trial={trial} />
              <TrialPhotos key={`${trial.id} photos`} trial={trial} />
              <View className="items-start gap-1">
                {trial.leftOut === null ? null : (
                  <Text className="font-medium text-[15px] leading-6 text-rust">
                    {`Nothing is learned from this trial: ${trial.leftOut}.`}
                  </Text>
                )}
                <Button
                  tone="quiet"
                  label={
                    trial.leftOut === null ? 'Do not learn from this trial' : 'Learn from this trial again'
                  }
                  onPress={() =>
                    put(
                      'trial',
                      { ...trial, leftOut: trial.leftOut === null ? 'you left it out' : null },
                      trial.leftOut === null ? 'This trial is left out.' : 'This trial counts again.',
                    )
                  }
                />
                <Button
                  tone="quiet"
                  label="Delete this trial"
                  onPress={() =>
                    put('trial', { ...trial, removed: true }, `${trial.name}: the trial is deleted.`)
                  }
                />
              </View>
            </>
          }
        />
      ) : (
        <StartTrial onStarted={setChosen} />
      )}
      <DeletedRows kinds={['trial']} />
    </ScrollView>
  );
}
