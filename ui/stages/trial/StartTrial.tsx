import { router } from 'expo-router';
import { Text, View } from 'react-native';

import { testPieceOf } from '@core/fitting/fit';
import { gaugePlaces } from '@core/shaping/recipe';
import { newTrial, triedRevision, type Tried } from '@core/fitting/trial';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { EmptyState } from '../../shared/EmptyState';
import { GroupHeading } from '../../shared/Heading';

/** What can be tried that was made elsewhere: revisions, what stands now, gauge rows and test pieces. */
export function StartTrial({ onStarted }: { onStarted(id: string): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const now: Tried = { state: repair, numbers, letter: null };
  const begin = (source: Tried, more: Partial<Parameters<typeof newTrial>[1]> = {}) => {
    const trial = newTrial(source, {
      id: newId(),
      of: 'part',
      triedAt: new Date().toISOString(),
      madePartId: null,
      ...more,
    });
    put('trial', trial, `${trial.name}: the trial has begun.`);
    onStarted(trial.id);
  };
  const rows = repair.bodies.flatMap((body) => {
    const row = body.removed ? null : gaugePlaces(body, repair.fits);
    const middle = row?.places.find(({ looserMm }) => looserMm === 0);
    return row && middle ? [{ body, fit: row.fit, middleMm: middle.mm }] : [];
  });
  const pieces = repair.bodies.filter((body) => !body.removed && testPieceOf(body, repair.fits));
  if (numbers.fits.size === 0) {
    return (
      <EmptyState
        text="A trial asks how each fit went. There is none yet: say first how freely the spare is to go on."
        action={{ label: 'Go to Fits', onPress: () => router.replace(`/repair/${repair.head.id}/fits`) }}
      />
    );
  }
  return (
    <View className="gap-3">
      <GroupHeading>What was made</GroupHeading>
      {[...repair.revisions]
        .reverse()
        .slice(0, 3)
        .map((revision) => (
          <ChoiceRow
            key={revision.id}
            title={`Try revision ${revision.letter}`}
            note={revision.note || undefined}
            onPress={() => begin(triedRevision(revision))}
          />
        ))}
      <ChoiceRow
        title="Try the current state"
        note="Not frozen: its numbers are kept with the trial."
        onPress={() => begin(now)}
      />
      {rows.map(({ body, fit, middleMm }) => (
        <ChoiceRow
          key={body.id}
          title={`Try the gauge row: ${fit.name}`}
          note="Nine places from tight to loose: say which felt right."
          onPress={() => begin(now, { of: 'gaugeRow', row: { fitId: fit.id, middleMm } })}
        />
      ))}
      {pieces.map((body) => (
        <ChoiceRow
          key={body.id}
          title={`Try “${body.name}”`}
          note="A piece of the part round one fit: say how it went together."
          onPress={() => begin(now, { of: 'testPiece', bodyId: body.id })}
        />
      ))}
      {repair.revisions.length === 0 ? (
        <View className="items-start">
          <Text className="font-label text-[13.5px] leading-5 text-muted">
            No revision is frozen yet. Freeze one under Make, so that what was made can be found again.
          </Text>
          <Button
            tone="quiet"
            label="Go to Make"
            onPress={() => router.replace(`/repair/${repair.head.id}/make`)}
          />
        </View>
      ) : null}
    </View>
  );
}
