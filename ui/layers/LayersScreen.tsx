import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';

import { afterworkFor } from '@core/making/afterwork';
import type { Body, PrintSetup } from '@core/record/model';
import { BED_ADHESIONS, SUPPORTS } from '@core/foundations/fields';
import { testPieceOf } from '@core/fitting/fit';
import { capital } from '@core/shaping/sentence';
import { resinSetWords, settingsWords } from '@core/reporting/wording';
import { isPrinter, layerSetsIn, machineIn, materialIn, resinSetsIn } from '@core/record/workshop';

import { AfterworkList } from '../afterwork/AfterworkList';
import { useChangeRepair } from '../api/useRepair';
import { LoadChoice } from '../frame/LoadChoice';
import { useRepairContext } from '../inRepair/useRepairContext';
import { SendSheet } from '../jobs/SendSheet';
import { Broken } from '../report/ScreenBoundary';
import { Button } from '../shared/Button';
import { DrawnChoice } from '../shared/DrawnChoice';
import { DrawnSetting } from '../shared/DrawnSetting';
import { EmptyState } from '../shared/EmptyState';
import { FirstHint } from '../shared/FirstHint';
import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { ActingCorrections } from './ActingCorrections';
import { BesideLayers } from './BesideLayers';
import { BesideTheWhole } from './BesideTheWhole';
import { onBedOf, ONE_ALONE, type BedChoice } from './bedChoice';
import { ChooseAPrinter } from './ChooseAPrinter';
import { CompareMakes } from './CompareMakes';
import { DrainSheet } from './DrainSheet';
import { layerWorker } from './layerWorker';
import { PrintRisks } from './PrintRisks';
import { LayerView } from './LayerView';
import { OnTheBed } from './OnTheBed';
import { SliceReport, type Watched } from './SliceReport';
import { useBedJob } from './useBedJob';
import { settingOf, useLayers } from './useLayers';
import { isSameDown, OrientationChoice } from './OrientationChoice';

const SUPPORT_WORDS = { none: 'None', bed: 'From the bed', everywhere: 'Everywhere' } as const;
const FOOT_WORDS = { none: 'None', skirt: 'Skirt', brim: 'Brim', ears: 'Mouse ears' } as const;

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
  const sets = (inResin ? resinSetsIn : layerSetsIn)(numbers.workshop);
  const change = (fields: Partial<PrintSetup>) => put('body', { ...body, laying: { ...laying, ...fields } });
  const reply = state.kind === 'laid' ? state.reply : null;
  const last = reply ? reply.drawing.topMm.length - 1 : 0;
  const shown = Math.min(layer ?? last, last);
  const { settings } = request.parts[0]!;
  const bedMm = (inResin ?? request.machine).printer?.envelopeMm ?? null;
  const [suggested] = ways;
  const cutFrom = testPieceOf(body, repair.fits)?.bodyId;
  const whole = cutFrom === undefined ? undefined : spares.find(({ id }) => id === cutFrom);
  const view = (
    <>
      {state.kind === 'broken' ? (
        <Broken fault={state.fault} repair={repair} onAgain={again} />
      ) : reply ? (
        <LayerView
          drawing={reply.drawing}
          happenings={reply.happenings}
          layer={shown}
          onLayer={(next) => {
            setLayer(next);
            setRinged(null);
          }}
          hasWays={!inResin}
          overhangs={reply.overhangs}
          ringed={ringed}
        />
      ) : (
        <View className="flex-1 items-center justify-center gap-3 bg-bench p-4">
          <Text role="status" className="text-center font-sans text-[16px] leading-6 text-ink">
            {state.kind === 'refused'
              ? state.sentence
              : state.kind === 'stopped'
                ? 'Stopped. Nothing is sliced.'
                : !ready
                  ? 'The part is being built.'
                  : `Slicing ${body.name}: ${(100 * (state.kind === 'working' ? state.share : 0)).toFixed(0)} %`}
          </Text>
          {state.kind === 'working' && ready ? <Button label="Stop" onPress={stop} /> : null}
          {state.kind === 'stopped' ? <Button label="Slice again" onPress={again} /> : null}
        </View>
      )}
    </>
  );
  return (
    <BesideLayers view={view}>
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
        <View className="gap-1.5">
          <GroupHeading>Print settings</GroupHeading>
          <Switch
            label="Settings"
            options={sets.map(({ id, name }) => ({ id, word: name }))}
            value={laying.settings}
            onChange={(settings) => change({ settings })}
          />
          {sets.some(({ id }) => id === laying.settings) ? null : (
            <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
              {`The print settings “${laying.settings}” are not in this Workshop, so “${settingOf(request).name}”. Choose others above.`}
            </Text>
          )}
          <Text className="font-label text-[14px] leading-5 text-muted">{`${capital(inResin ? resinSetWords(inResin.set) : settingsWords(settings, settings.lineMm))}.`}</Text>
          <Button label="Edit print settings in the Workshop" onPress={() => router.push('/workshop')} />
        </View>
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
        <View className="gap-1.5">
          <GroupHeading>Supports</GroupHeading>
          <DrawnChoice
            label="Supports"
            options={SUPPORTS.map((id) => ({
              id,
              word: SUPPORT_WORDS[id],
              drawing: <DrawnSetting setting="supports" choice={id} />,
            }))}
            value={laying.support}
            onChange={(support) => change({ support })}
          />
        </View>
        {inResin ? null : (
          <View className="gap-1.5">
            <GroupHeading>Bed adhesion</GroupHeading>
            <DrawnChoice
              label="Bed adhesion"
              options={BED_ADHESIONS.map((id) => ({
                id,
                word: FOOT_WORDS[id],
                drawing: <DrawnSetting setting="adhesion" choice={id} />,
              }))}
              value={laying.foot}
              onChange={(foot) => change({ foot })}
            />
          </View>
        )}
        {inResin ? (
          <>
            <Text className="font-label text-[14px] leading-5 text-muted">
              {`${request.machine.name} can’t be sent jobs from here: save the layers and carry them to it.`}
            </Text>
            <Button
              tone="primary"
              label={
                job.drawn === null
                  ? 'Save the layers (ZIP of pictures)'
                  : `Drawing the layers, ${(100 * job.drawn).toFixed(0)} %`
              }
              busy={job.drawn !== null}
              disabled={!reply}
              onPress={() => void job.savePictures()}
            />
          </>
        ) : (
          <>
            <Button
              tone="primary"
              label={`Send it to ${request.machine.name}`}
              disabled={!reply}
              onPress={() => setAsking(true)}
            />
            <Button
              label="Save G-code"
              busy={job.writing && !asking}
              disabled={!reply}
              onPress={() => void job.save()}
            />
          </>
        )}
        {job.drawn === null ? null : <Button label="Stop" onPress={() => void layerWorker().cancel()} />}
        <Button
          label="Save the bed (3MF)"
          busy={job.writing && !asking}
          disabled={!reply}
          onPress={() => void job.saveBed(placements)}
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
