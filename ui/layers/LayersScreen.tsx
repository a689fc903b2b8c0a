import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import { fileStem } from '@core/formats';
import type { Body, Laying, Mishap, NewJob } from '@core/model';
import { FEET, SUPPORTS } from '@core/fields';
import { MOST_PIECES } from '@core/printing';
import { frozenLetter } from '@core/progress';
import { materialOf } from '@core/standards';
import { capital } from '@core/sentence';
import {
  HAPPENING_WORDS,
  jobSentence,
  layerWarningSentence,
  MOVE_WORDS,
  sentenceOf,
  settingsWords,
} from '@core/wording';
import { layerSetsIn } from '@core/workshop';

import { newId } from '../api/newId';
import { useNotices } from '../api/notices';
import { useChangeRepair } from '../api/useRepair';
import { LoadChoice } from '../frame/LoadChoice';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Broken } from '../report/ScreenBoundary';
import { Button } from '../shared/Button';
import { CountSteps } from '../shared/CountSteps';
import { EmptyState } from '../shared/EmptyState';
import { askedSizes, trialOf } from '../jobs/askedSizes';
import { SendSheet } from '../jobs/SendSheet';
import { useSendJob } from '../jobs/useJobs';
import { GroupHeading } from '../shared/Heading';
import { saveFile } from '../shared/saveFile';
import { Switch } from '../shared/Switch';
import { useWide } from '../shared/useWide';
import { ActingCorrections } from './ActingCorrections';
import { CompareMakes } from './CompareMakes';
import { layerWorker } from './layerWorker';
import { LayerView } from './LayerView';
import type { LaidReply } from './protocol';
import { useLayers } from './useLayers';
import { WayChoice } from './WayChoice';

const SUPPORT_WORDS = { none: 'None', bed: 'From the bed', everywhere: 'Everywhere' } as const;
const FOOT_WORDS = { none: 'Nothing', skirt: 'Loop', brim: 'Rim', ears: 'Ears' } as const;

/** A spare laid in layers: which way up, how, what it takes, and the layers themselves. */
export function LayersScreen() {
  const { repair } = useRepairContext();
  const { body: wanted } = useLocalSearchParams<{ body?: string }>();
  const spares = repair.bodies.filter((body) => !body.removed && body.role === 'spare');
  const body = spares.find(({ id }) => id === wanted) ?? spares[0];
  if (body) return <Layers key={body.id} body={body} />;
  return (
    <View className="p-4">
      <EmptyState
        text="There is no spare to lay in layers yet. Build its shape first."
        action={{ label: 'Go to Shape', onPress: () => router.replace(`/repair/${repair.head.id}/shape`) }}
      />
    </View>
  );
}

function Layers({ body }: { body: Body }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { say } = useNotices();
  const wide = useWide();
  const [pieces, setPieces] = useState(1);
  const { state, ways, laying, wish, stop, again, ready } = useLayers(body, pieces);
  const [layer, setLayer] = useState<number | null>(null);
  const sets = layerSetsIn(numbers.workshop);
  const change = (fields: Partial<Laying>) => put('body', { ...body, laying: { ...laying, ...fields } });
  const reply = state.kind === 'laid' ? state.reply : null;
  const last = reply ? reply.drawing.topMm.length - 1 : 0;
  const shown = Math.min(layer ?? last, last);

  /** What the job makes. */
  const made = pieces === 1 ? body.name : `${body.name.slice(0, 60)}, ${pieces} pieces`;
  const [writing, setWriting] = useState(false);
  const [sending, setSending] = useState(false);
  const sendJob = useSendJob();
  /** The checked job as G-code; what stands in its way is said. */
  const written = async (): Promise<string | null> => {
    setWriting(true);
    const gcode = await layerWorker()
      .gcode(`${repair.head.name}, ${made}`, new Date().toISOString())
      .catch(() => null)
      .finally(() => setWriting(false));
    if (gcode?.ok) return gcode.value;
    say({
      tone: 'wrong',
      text: gcode ? sentenceOf(gcode.fault) : 'The job could not be written. Lay it again, then save it.',
    });
    return null;
  };
  const save = async () => {
    const gcode = await written();
    if (gcode === null) return;
    saveFile({
      name: `${fileStem(repair.head.name, made)}.gcode`,
      mime: 'text/x-gcode',
      bytes: new TextEncoder().encode(gcode),
    });
  };
  const send = async (how: { speedUp: number; mishap: Mishap }) => {
    const gcode = await written();
    if (gcode === null) return;
    const { head } = repair;
    const job: NewJob = {
      id: newId(),
      repairId: head.id,
      bodyId: body.id,
      name: made,
      repairName: head.name,
      letter: frozenLetter(repair, numbers.workshop),
      machineId: wish.machine.id,
      machineName: wish.machine.name,
      materialId: head.materialId,
      family: materialOf(head.materialId).family,
      asked: askedSizes(body, repair, numbers),
      trial: trialOf(body, repair, numbers),
      ...how,
    };
    await sendJob.mutateAsync({ job, gcode }).then(
      () => router.replace(`/repair/${head.id}/trial`),
      // It was said already.
      () => undefined,
    );
    setSending(false);
  };
  return (
    <ScrollView contentContainerClassName="pb-8">
      <View className={wide ? 'h-[520px]' : 'h-[330px]'}>
        {state.kind === 'broken' ? (
          <Broken fault={state.fault} repair={repair} onAgain={again} />
        ) : reply ? (
          <LayerView drawing={reply.drawing} happenings={reply.happenings} layer={shown} onLayer={setLayer} />
        ) : (
          <View className="flex-1 items-center justify-center gap-3 bg-bench p-4">
            <Text role="status" className="text-center font-sans text-[16px] leading-6 text-ink">
              {state.kind === 'refused'
                ? state.sentence
                : state.kind === 'stopped'
                  ? 'Stopped. Nothing is laid.'
                  : !ready
                    ? 'The part is being built.'
                    : `Laying ${body.name} in layers: ${(100 * (state.kind === 'working' ? state.share : 0)).toFixed(0)} %`}
            </Text>
            {state.kind === 'working' && ready ? <Button label="Stop" onPress={stop} /> : null}
            {state.kind === 'stopped' ? <Button label="Lay it again" onPress={again} /> : null}
          </View>
        )}
      </View>
      <View className="gap-5 p-4">
        {reply ? <Told reply={reply} layer={shown} pieces={pieces} /> : null}
        <View className="gap-1.5">
          <GroupHeading>Way up</GroupHeading>
          <WayChoice ways={ways} down={laying.down} onChange={({ down }) => change({ down: [...down] })} />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Where does the load pull?</GroupHeading>
          <LoadChoice body={body} onChange={(next) => put('body', next)} />
        </View>
        <View className="gap-1.5">
          <GroupHeading>How it is laid</GroupHeading>
          <Switch
            label="Settings"
            options={sets.map(({ id, name }) => ({ id, word: name }))}
            value={laying.settings}
            onChange={(settings) => change({ settings })}
          />
          {sets.some(({ id }) => id === laying.settings) ? null : (
            <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
              {`The settings “${laying.settings}” are not known here, so it is laid as “${wish.settings.name}”. Choose others above.`}
            </Text>
          )}
          <Text className="font-label text-[14px] leading-5 text-muted">{`${capital(settingsWords(wish.settings, wish.settings.lineMm))}.`}</Text>
          <Button label="Change these in the Workshop" onPress={() => router.push('/workshop')} />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Pieces at once</GroupHeading>
          <CountSteps what="piece" least={1} most={MOST_PIECES} value={pieces} onChange={setPieces} />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Supports</GroupHeading>
          <Switch
            label="Supports"
            options={SUPPORTS.map((id) => ({ id, word: SUPPORT_WORDS[id] }))}
            value={laying.support}
            onChange={(support) => change({ support })}
          />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Round its foot</GroupHeading>
          <Switch
            label="Round its foot"
            options={FEET.map((id) => ({ id, word: FOOT_WORDS[id] }))}
            value={laying.foot}
            onChange={(foot) => change({ foot })}
          />
        </View>
        <Button
          tone="primary"
          label={`Send it to ${wish.machine.name}`}
          disabled={!reply}
          onPress={() => setSending(true)}
        />
        <Button
          label="Save the job (G-code)"
          busy={writing && !sending}
          disabled={!reply}
          onPress={() => void save()}
        />
        {sending ? (
          <SendSheet
            machineName={wish.machine.name}
            busy={writing || sendJob.isPending}
            onSend={(how) => void send(how)}
            onClose={() => setSending(false)}
          />
        ) : null}
        <ActingCorrections body={body} />
        {reply ? <CompareMakes body={body} laying={laying} wish={wish} /> : null}
        <Button label="Back to Make" onPress={() => router.replace(`/repair/${repair.head.id}/make`)} />
      </View>
    </ScrollView>
  );
}

/** The same of several pieces is told once. */
function countedSentences(sentences: readonly string[]): Map<string, number> {
  const counted = new Map<string, number>();
  for (const sentence of sentences) counted.set(sentence, (counted.get(sentence) ?? 0) + 1);
  return counted;
}

/** What it takes, what is in the layer that is shown, and what is to be watched. */
function Told({ reply, layer, pieces }: { reply: LaidReply; layer: number; pieces: number }) {
  const { drawing, figures, warnings, happenings } = reply;
  const here = happenings.filter((one) => one.layer === layer).map(({ what }) => HAPPENING_WORDS[what]);
  return (
    <View className="gap-2">
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`Layer ${layer + 1} of ${drawing.topMm.length}, up to ${drawing.topMm[layer]!.toFixed(2)} mm. ${here.join(' ')}`}
      </Text>
      <Text className="font-sans text-[16px] leading-6 text-ink">{jobSentence(figures, pieces)}</Text>
      {[...countedSentences(warnings.map(layerWarningSentence))].map(([sentence, times]) => (
        <Text key={sentence} role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {times === 1 ? sentence : `${sentence} (${times} times.)`}
        </Text>
      ))}
      <View role="table" aria-label="What each kind of line takes">
        {figures.kinds.map(({ kind, seconds, metres }) => (
          <View key={kind} role="row" className="flex-row justify-between">
            <Text role="cell" className="flex-1 font-label text-[14.5px] text-muted">
              {MOVE_WORDS[kind]}
            </Text>
            <Text role="cell" className="w-[90px] text-right font-number text-[14.5px] tabular-nums text-ink">
              {`${(seconds / 60).toFixed(1)} min`}
            </Text>
            <Text role="cell" className="w-[90px] text-right font-number text-[14.5px] tabular-nums text-ink">
              {`${metres.toFixed(1)} m`}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}
