import { router, Slot, useLocalSearchParams, useSegments } from 'expo-router';
import { useEffect, useMemo } from 'react';
import { View } from 'react-native';

import { evaluateRepair } from '@core/fitting/fit';
import { progressOf } from '@core/reporting/progress';
import type { Repair } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

import { useRepair } from '../api/useRepair';
import { useWorkshop } from '../api/useWorkshop';
import { Unreachable } from '../api/client';
import { ScreenBoundary } from '../report/ScreenBoundary';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { Loading } from '../shared/Loading';
import { useWide } from '../shared/useWide';
import { BuiltRepair } from './BuiltRepair';
import { ConnectionSign } from './ConnectionSign';
import { PartPane } from './PartPane';
import { RepairHeader } from './RepairHeader';
import { StageRule } from './StageRule';
import { TrailPanel } from './TrailPanel';
import { closeAll, useOpened } from '../inRepair/opened';
import { usePartShare } from '../inRepair/partRoom';
import { useTwoColumns } from '../shared/Columns';
import { RepairContext } from '../inRepair/useRepairContext';
import { workbench } from '../solid/useSolid';

/** Screens that need the room of the part for a drawing of their own, or for words. */
const WITHOUT_PART = new Set([
  'brief',
  'revisions',
  'layouts',
  'outline',
  'photos',
  'sheet',
  'layers',
  'job',
  'job-file',
]);

/** Screens whose own view takes the large pane of a wide screen. */
const WITH_LARGE_VIEW = new Set(['outline', 'layers', 'job', 'job-file']);

/** Stages of many panels, which stand in two columns where there is room. */
const IN_COLUMNS = new Set(['brief', 'fits', 'trial']);

/** Screens that belong to a stage without being it. */
const STAGE_OF: Record<string, string> = {
  layouts: 'sizes',
  photos: 'sizes',
  outline: 'shape',
  sheet: 'sizes',
  layers: 'make',
  job: 'trial',
  'job-file': 'make',
};

/** What a fault of the program is said to be in. */
const SCREEN_WORDS: Record<string, string> = {
  brief: 'the brief',
  sizes: 'the sizes',
  fits: 'the fits',
  shape: 'the recipe',
  make: 'what is made',
  trial: 'the trial',
  layouts: 'the layouts',
  outline: 'the drawing of an outline',
  photos: 'the photos',
  sheet: 'the sheet',
  layers: 'the layers',
  job: 'the kept job',
  'job-file': 'the job’s file',
  revisions: 'the revisions',
};

/** Everything round a stage: title, part, the stage itself, the stage rule. */
export function RepairLayout() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { repair, error, isPending, refetch } = useRepair(id);
  // What takes longest to come is begun before the repair has come.
  useEffect(() => workbench.begin(), []);
  if (repair) return <Frame repair={repair} />;
  return (
    <View className="flex-1 gap-4 bg-paper p-4">
      {isPending && !error ? (
        <Loading what="Fetching the repair…" />
      ) : (
        <>
          <EmptyState
            text={
              error instanceof Unreachable
                ? 'The server can’t be reached, and this repair is not kept on this device. Start the server, then try again.'
                : (error?.message ?? 'This repair is not here.')
            }
            action={{ label: 'Try again', onPress: () => void refetch() }}
          />
          <Button label="Back to the list" onPress={() => router.replace('/')} />
        </>
      )}
    </View>
  );
}

function Frame({ repair }: { repair: Repair }) {
  const wide = useWide();
  const segments = useSegments() as string[];
  const stage = segments.at(-1) ?? 'sizes';
  const isSizeOpen = useOpened(({ size }) => size !== null);
  const isTrailOpen = useOpened(({ trail }) => trail !== null);
  useEffect(() => closeAll, [repair.head.id]);
  const { workshop } = useWorkshop();
  const numbers = useMemo(() => evaluateRepair(repair, workshop), [repair, workshop]);
  const progress = useMemo(() => progressOf(repair, numbers.sizes), [repair, numbers]);
  const context = useMemo(() => ({ repair, numbers }), [repair, numbers]);
  const withPart = !WITHOUT_PART.has(stage);
  const hasLargeView = WITH_LARGE_VIEW.has(stage);
  const hasColumns = useTwoColumns() && IN_COLUMNS.has(stage);
  const partShare = usePartShare(stage, stage === 'sizes' && isSizeOpen);
  const part = (
    <View className="flex-1 flex-row">
      <View className="flex-1">
        <ScreenBoundary where="the picture of the part" repair={repair}>
          <PartPane stage={stage} />
        </ScreenBoundary>
      </View>
      {wide ? <TrailPanel /> : null}
    </View>
  );
  const screen = (
    // Another screen begins anew.
    <ScreenBoundary key={stage} where={ownValue(SCREEN_WORDS, stage) ?? 'this screen'} repair={repair}>
      <Slot />
    </ScreenBoundary>
  );
  const rule = (
    <StageRule
      repairId={repair.head.id}
      current={ownValue(STAGE_OF, stage) ?? stage}
      missing={progress.missing}
      upright={wide}
    />
  );

  return (
    <RepairContext.Provider value={context}>
      <BuiltRepair repair={repair} workshop={workshop}>
        {wide ? (
          <View className="flex-1 flex-row bg-paper">
            {rule}
            <View
              className={
                hasLargeView
                  ? 'flex-1'
                  : `${hasColumns ? 'w-[840px]' : 'w-[450px]'} border-r border-line bg-paper`
              }
            >
              <RepairHeader />
              <ConnectionSign />
              <View role="main" className="flex-1">
                {screen}
              </View>
            </View>
            {hasLargeView ? <TrailPanel /> : part}
          </View>
        ) : (
          <View className="flex-1 bg-paper">
            <RepairHeader />
            <ConnectionSign />
            {withPart ? <View style={{ height: `${100 * partShare}%` }}>{part}</View> : null}
            <View role="main" className="flex-1">
              {screen}
            </View>
            {rule}
            {isTrailOpen ? <TrailPanel /> : null}
          </View>
        )}
      </BuiltRepair>
    </RepairContext.Provider>
  );
}
