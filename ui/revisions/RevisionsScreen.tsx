import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import type { Revision } from '@core/record/model';
import { backTo, compare, lastThatFitted, isAsIn, type Compared } from '@core/reporting/revision';

import { useNotices } from '../api/notices';
import { useChangeRepair } from '../api/useRepair';
import { DeletedRows } from '../inRepair/DeletedRows';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';
import { FoundComparison } from '../found/FoundComparison';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { GroupHeading, Heading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { currentFigures } from './currentFigures';
import { DifferenceTable } from './DifferenceTable';
import { RevisionTree } from './RevisionTree';
import { ShapeComparison } from './ShapeComparison';
import { useFreeze } from './useFreeze';

/** All revisions, and what differs between any two, or between one and the repair as it stands. */
export function RevisionsScreen() {
  const { repair, numbers } = useRepairContext();
  const solid = useSolidView();
  const { put } = useChangeRepair(repair);
  const { letter, freezeNow } = useFreeze();
  const { say } = useNotices();
  const { revisions } = repair;
  const [fromId, setFromId] = useState(() => revisions.at(-2)?.id ?? revisions.at(-1)?.id ?? NOW);
  const [toId, setToId] = useState(() => (revisions.length > 1 ? revisions.at(-1)!.id : NOW));

  const [from, to, rows] = useMemo(() => {
    const side = (id: string): Compared => {
      const revision = revisions.find((candidate) => candidate.id === id);
      return (
        revision ?? { state: repair, workshop: numbers.workshop, figures: currentFigures(repair, solid) }
      );
    };
    return [side(fromId), side(toId), compare(side(fromId), side(toId))] as const;
  }, [fromId, toId, repair, numbers, revisions, solid]);

  if (revisions.length === 0) {
    return (
      <ScrollView contentContainerClassName="gap-5 p-4 pb-8">
        <EmptyState
          text="No revision yet. Freeze one when you are about to make the spare, so that what was made can be found again."
          action={{ label: 'Go to Make', onPress: () => router.replace(`/repair/${repair.head.id}/make`) }}
        />
        <BesideScans of={to} named="it is now" />
      </ScrollView>
    );
  }
  const fitted = lastThatFitted(repair);
  const goBack = (revision: Revision) => {
    const isKept = revisions.some((one) => isAsIn(repair, one));
    // Nothing is ever overwritten: what stands now can be gone back to as well.
    if (!isKept) freezeNow(`As it was before going back to ${revision.letter}`);
    for (const { row, value } of backTo(repair, revision)) put(row, value);
    say({
      tone: 'plain',
      text: `It is as revision ${revision.letter} again.${isKept ? '' : ` The state before is kept as revision ${letter}.`}`,
    });
  };
  const options = [
    ...revisions.map(({ id, letter }) => ({ id, word: `Rev ${letter}` })),
    { id: NOW, word: 'Now' },
  ];
  return (
    <ScrollView contentContainerClassName="gap-5 p-4 pb-8">
      <View className="flex-row items-center justify-between">
        <Heading>Revisions</Heading>
        <Button label="Freeze another" onPress={() => router.replace(`/repair/${repair.head.id}/make`)} />
      </View>
      <RevisionTree onGoBack={goBack} />
      <View className="gap-2">
        <GroupHeading>What differs</GroupHeading>
        {fitted ? (
          <View className="items-start">
            <Button
              label={`What changed since it fitted (${fitted.letter})`}
              onPress={() => {
                setFromId(fitted.id);
                setToId(NOW);
              }}
            />
          </View>
        ) : null}
        <Switch label="From" options={options} value={fromId} onChange={setFromId} />
        <Text className="font-label text-[14px] text-muted">compared with</Text>
        <Switch label="To" options={options} value={toId} onChange={setToId} />
      </View>
      <DifferenceTable rows={rows} from={wordOf(options, fromId)} to={wordOf(options, toId)} />
      {fromId === toId
        ? null
        : sparesOf(to).map((body) => (
            <ShapeComparison
              key={`${body.id} ${fromId} ${toId} ${body.version}`}
              body={body}
              before={from}
              after={to}
            />
          ))}
      <BesideScans of={to} named={toId === NOW ? 'it is now' : `it was in ${wordOf(options, toId)}`} />
    </ScrollView>
  );
}

const sparesOf = ({ state }: Compared) =>
  state.bodies.filter(({ role, removed }) => role === 'spare' && !removed);

/** Each spare of a state beside what was scanned. @param named of which state, in words that go on from “as”. */
function BesideScans({ of, named }: { of: Compared; named: string }) {
  return (
    <View className="gap-2">
      <GroupHeading>Beside a scanned piece</GroupHeading>
      <Text className="font-label text-[14px] text-muted">
        {`A mesh of the broken piece, or of one that was made (STL, 3MF, OBJ, PLY), aligned with the spare as ${named}. Saved with the repair if you choose.`}
      </Text>
      {sparesOf(of).map((body) => (
        <FoundComparison key={`${body.id} ${body.version} ${named}`} body={body} of={of} />
      ))}
      <DeletedRows kinds={['scan']} />
    </View>
  );
}

/** Stands for the repair as it is now. */
const NOW = 'now';

const wordOf = (options: { id: string; word: string }[], id: string) =>
  options.find((option) => option.id === id)?.word ?? '';
