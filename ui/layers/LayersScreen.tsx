import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';

import { afterworkFor } from '@core/making/afterwork';
import type { Body, PrintSetup } from '@core/record/model';
import { testPieceOf } from '@core/fitting/fit';
import { isPrinter, machineIn, materialIn } from '@core/record/workshop';

import { AfterworkList } from '../afterwork/AfterworkList';
import { useChangeRepair } from '../api/useRepair';
import { LoadChoice } from '../frame/LoadChoice';
import { useRepairContext } from '../inRepair/useRepairContext';
import { SendSheet } from '../jobs/SendSheet';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { FirstHint } from '../shared/FirstHint';
import { GroupHeading } from '../shared/Heading';
import { ActingCorrections } from './ActingCorrections';
import { AroundThePart } from './AroundThePart';
import { BesideLayers } from './BesideLayers';
import { BesideTheWhole } from './BesideTheWhole';
import { onBedOf, ONE_ALONE, type BedChoice } from './bedChoice';
import { ChooseAPrinter } from './ChooseAPrinter';
import { CompareMakes } from './CompareMakes';
import { DrainSheet } from './DrainSheet';
import { JobActions } from './JobActions';
import { PrintRisks } from './PrintRisks';
import { PrintSettings } from './PrintSettings';
import { OnTheBed } from './OnTheBed';
import { SlicedView } from './SlicedView';
import { SliceReport, type Watched } from './SliceReport';
import { useBedJob } from './useBedJob';
import { useLayers } from './useLayers';
import { isSameDown, OrientationChoice } from './OrientationChoice';

/** A spare in layers: which way up, how, what it takes, and the layers themselves. */
export function LayersScreen() {
  const { repair, numbers } = useRepairContext();
  const { body: wanted } = useLocalSearchParams<{ body?: string }>();
  const spares = repair.bodies.filter((body) => !body.removed && body.role === 'spare');
  const body = spares.find(({ id }) => id === wanted) ?? spares[0];
  const [choice, setChoice] = useState(ONE_ALONE);
  if (body && !isPrinter(machineIn(numbers.workshop, repair.head.machineId))) {
    return (
      <View className="gap-3 p-4">
        <ChooseAPrinter />
        <Button label="Back to Make" onPress={() => router.replace(`/repair/${repair.head.id}/make`)} />
      </View>
    );
  }
  if (body) return <Layers key={body.id} body={body} spares={spares} choice={choice} onChoice={setChoice} />;
  return (
    <View className="p-4">
      <EmptyState
        text="Nothing to slice yet. Build the part’s shape first."
        action={{ label: 'Go to Shape', onPress: () => router.replace(`/repair/${repair.head.id}/shape`) }}
      />
    </View>
  );
}

function Layers({
  body,
  spares,
  choice,
  onChoice,
}: {
  body: Body;
  spares: readonly Body[];
  choice: BedChoice;
  onChoice(choice: BedChoice): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const onBed = onBedOf(body, spares, choice);
  const { state, ways, laying, request, stop, again, ready, placements } = useLayers(onBed);
  const [layer, setLayer] = useState<number | null>(null);
  const [ringed, setRinged] = useState<Watched['at'] | null>(null);
  const [asking, setAsking] = useState(false);
  const [draining, setDraining] = useState(false);
  const job = useBedJob(onBed, request);
  const inResin = request.resin;
  const change = (fields: Partial<PrintSetup>) => put('body', { ...body, laying: { ...laying, ...fields } });
  const reply = state.kind === 'laid' ? state.reply : null;
  const last = reply ? reply.drawing.topMm.length - 1 : 0;
  const shown = Math.min(layer ?? last, last);
  const bedMm = (inResin ?? request.machine).printer?.envelopeMm ?? null;
  const [suggested] = ways;
  const cutFrom = testPieceOf(body, repair.fits)?.bodyId;
  const whole = cutFrom === undefined ? undefined : spares.find(({ id }) => id === cutFrom);
  return (
    <BesideLayers
      view={
        <SlicedView
          state={state}
          ready={ready}
          name={body.name}
          shown={shown}
          ringed={ringed}
          inResin={inResin !== null}
          onLayer={(next) => {
            setLayer(next);
            setRinged(null);
          }}
          onStop={stop}
          onAgain={again}
        />
      }
    >
      <View className="gap-5 p-4">
        {reply ? <FirstHint of="layers" /> : null}
        {reply ? (
          <SliceReport
            reply={reply}
            layer={shown}
            bedMm={bedMm ?? [0, 0]}
            mends={{
              onDrain: () => setDraining(true),
              onSupports: laying.support === 'none' ? () => change({ support: 'everywhere' }) : null,
              onSuggestedWay:
                suggested && !isSameDown(suggested.way.down, laying.down)
                  ? () => change({ down: [...suggested.way.down] })
                  : null,
            }}
            onShow={(place) => {
              setLayer(place.layer);
              setRinged(place.at);
            }}
          />
        ) : null}
        <View className="gap-1.5">
          <GroupHeading>Orientation</GroupHeading>
          <OrientationChoice
            ways={ways}
            down={laying.down}
            sides={body.sides}
            onChange={({ down }) => change({ down: [...down] })}
          />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Where does the load pull?</GroupHeading>
          <LoadChoice body={body} onChange={(next) => put('body', next)} />
        </View>
        <PrintSettings request={request} laying={laying} onChange={change} />
        {inResin ? null : (
          <PrintRisks
            material={materialIn(numbers.workshop, repair.head.materialId)}
            placements={placements}
            foot={laying.foot}
            onEars={() => change({ foot: 'ears' })}
          />
        )}
        <OnTheBed
          spares={spares}
          leading={body}
          choice={choice}
          bedMm={bedMm}
          onBed={onBed}
          placements={placements}
          refused={state.kind === 'refused' ? state.sentence : null}
          onChange={onChoice}
          onLead={(next) => {
            onChoice({ ...choice, pieces: { ...choice.pieces, [body.id]: onBed[0]!.pieces } });
            router.setParams({ body: next.id });
          }}
        />
        <AroundThePart laying={laying} inResin={inResin !== null} onChange={change} />
        <JobActions
          request={request}
          job={job}
          isSliced={reply !== null}
          isAsking={asking}
          onSend={() => setAsking(true)}
          placements={placements}
        />
        {draining ? (
          <DrainSheet
            body={body}
            onTake={(drilled) => {
              put('body', drilled, `${body.name} has a drain hole, as its last step.`);
              setDraining(false);
            }}
            onClose={() => setDraining(false)}
          />
        ) : null}
        {asking ? (
          <SendSheet
            machineName={request.machine.name}
            busy={job.writing || job.sending}
            onSend={(how) => void job.send(how).finally(() => setAsking(false))}
            onClose={() => setAsking(false)}
          />
        ) : null}
        <ActingCorrections body={body} />
        <AfterworkList tasks={afterworkFor(body, repair, numbers)} />
        {reply && whole ? (
          <BesideTheWhole key={JSON.stringify(request)} whole={whole} figures={reply.summary.figures} />
        ) : null}
        {reply ? <CompareMakes onBed={onBed} request={request} /> : null}
        <Button label="Back to Make" onPress={() => router.replace(`/repair/${repair.head.id}/make`)} />
      </View>
    </BesideLayers>
  );
}
