import { format } from 'date-fns';
import { Text, View } from 'react-native';

import { branchesOf, type Branch, type Outcome } from '@core/reporting/revision';
import type { Revision } from '@core/record/model';

import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { useBenchStatus } from '../solid/useSolid';

const OUTCOME_WORDS: Record<Outcome, { word: string; tone: string }> = {
  fitted: { word: 'It fitted', tone: 'text-moss' },
  didNotFit: { word: 'It did not fit', tone: 'text-rust' },
  untried: { word: 'Not tried', tone: 'text-muted' },
};

/** All revisions, newest first: why each was made, how it went, and which one it came from where that is not the one before. */
export function RevisionTree({ onGoBack }: { onGoBack(revision: Revision): void }) {
  const { repair } = useRepairContext();
  // What stands may have to be frozen first, with the figures of the part as it is.
  const { kind } = useBenchStatus();
  const building = kind === 'building' || kind === 'loading';
  const newest = repair.revisions.at(-1)?.letter;
  const standsOn = repair.head.standsOn ?? newest;
  return (
    <View role="list" aria-label="Revisions">
      {branchesOf(repair)
        .reverse()
        .map((branch) => (
          <Row
            key={branch.revision.id}
            branch={branch}
            stands={branch.revision.letter === standsOn}
            building={building}
            onGoBack={() => onGoBack(branch.revision)}
          />
        ))}
    </View>
  );
}

function Row({
  branch,
  stands,
  building,
  onGoBack,
}: {
  branch: Branch;
  stands: boolean;
  building: boolean;
  onGoBack(): void;
}) {
  const { revision, from, branched, outcome } = branch;
  const { word, tone } = OUTCOME_WORDS[outcome];
  return (
    <View role="listitem" className={`flex-row gap-3 ${branched ? 'pl-5' : ''}`}>
      {/* Its letter on a line that runs down to the one it came from. */}
      <View className="items-center">
        <View
          className={`h-9 w-9 items-center justify-center rounded-sm border border-ink ${stands ? 'bg-ink' : 'bg-card'}`}
        >
          <Text className={`font-number text-[16px] ${stands ? 'text-card' : 'text-ink'}`}>
            {revision.letter}
          </Text>
        </View>
        {from === null ? null : <View className="w-px flex-1 bg-rule" />}
      </View>
      <View className="min-w-0 flex-1 gap-0.5 pb-4">
        <Text className="font-label text-[14px] leading-5 text-muted">
          <Text className={`font-semibold ${tone}`}>{word}</Text>
          {`   ${format(new Date(revision.frozenAt), 'd MMM yyyy, HH:mm')}${branched ? `   from ${from}` : ''}`}
        </Text>
        {revision.note ? (
          <Text className="font-sans text-[15.5px] leading-6 text-ink">{revision.note}</Text>
        ) : null}
        {stands ? (
          <Text className="font-label text-[14px] text-green">The current state goes on from here</Text>
        ) : (
          <View className="-ml-4 items-start">
            <Button
              tone="quiet"
              label={`Go back to ${revision.letter}`}
              disabled={building}
              onPress={onGoBack}
            />
          </View>
        )}
      </View>
    </View>
  );
}
