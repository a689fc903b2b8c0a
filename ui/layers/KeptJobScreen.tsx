import { useQuery } from '@tanstack/react-query';
import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import { MOVE_KINDS, type KeptJob } from '@core/printing';
import { MOVE_WORDS } from '@core/wording';

import { askText, Refused, Unreachable } from '../api/client';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useJobs } from '../jobs/useJobs';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { Heading } from '../shared/Heading';
import { Loading } from '../shared/Loading';
import { useWide } from '../shared/useWide';
import { layerWorker } from './layerWorker';
import { LayerView } from './LayerView';

/** The layers of a job that was sent, read back from its very file. */
export function KeptJobScreen() {
  const { repair } = useRepairContext();
  const { job: id = '' } = useLocalSearchParams<{ job?: string }>();
  const job = useJobs().find((one) => one.id === id);
  const query = useQuery({
    queryKey: ['kept-job', id],
    queryFn: async ({ signal }) => layerWorker().read(await askText(`/jobs/${id}/gcode`, signal)),
    staleTime: Infinity,
  });
  const back = () => router.replace(`/repair/${repair.head.id}/trial`);
  if (query.isPending) return <Loading what="Reading the job’s file…" />;
  if (query.isError || !query.data) {
    return (
      <View className="p-4">
        <EmptyState
          text={
            query.isError
              ? query.error instanceof Refused
                ? query.error.message
                : query.error instanceof Unreachable
                  ? 'The job’s file can’t be fetched: the server is away. Try again in a moment.'
                  : `The job’s file can’t be read (${query.error.message}). Try again, or make the spare again from its recipe.`
              : 'Nothing is laid in this file.'
          }
          action={
            query.isError
              ? { label: 'Try again', onPress: () => void query.refetch() }
              : { label: 'Back to Trial', onPress: back }
          }
        />
      </View>
    );
  }
  return <Kept kept={query.data} title={job ? titleOf(job) : 'A kept job'} onBack={back} />;
}

const titleOf = ({ name, letter }: { name: string; letter: string | null }): string =>
  letter ? `${name}, revision ${letter}` : name;

function Kept({ kept, title, onBack }: { kept: KeptJob; title: string; onBack(): void }) {
  const wide = useWide();
  const { drawing, laidMetres, filamentMetres, unsaid, unknown } = kept;
  const last = drawing.topMm.length - 1;
  const [layer, setLayer] = useState(last);
  return (
    <ScrollView contentContainerClassName="pb-8">
      <View className={wide ? 'h-[520px]' : 'h-[400px]'}>
        <LayerView drawing={drawing} happenings={NO_HAPPENINGS} layer={layer} onLayer={setLayer} />
      </View>
      <View className="gap-3 p-4">
        <Heading>{title}</Heading>
        <Text className="font-sans text-[16px] leading-6 text-ink">
          {`Layer ${layer + 1} of ${last + 1}, up to ${drawing.topMm[layer]!.toFixed(2)} mm: ${wordsOf(kept, layer)}.`}
        </Text>
        <Text className="font-sans text-[16px] leading-6 text-ink">
          {`${laidMetres.toFixed(1)} m of lines, of ${filamentMetres.toFixed(2)} m of filament.`}
        </Text>
        {unsaid > 0 ? (
          <Text className="font-label text-[14px] leading-5 text-muted">
            {`The file does not say what ${unsaid} of its lines are for; they are drawn as walls of 0.4 mm.`}
          </Text>
        ) : null}
        {unknown.map(({ command, times, line }) => (
          <Text key={command} role="alert" className="font-medium text-[15px] leading-6 text-rust">
            {`${command} is not understood (${times === 1 ? 'once' : `${times} times`}, first in line ${line}), and not drawn.`}
          </Text>
        ))}
        <Button label="Back to Trial" onPress={onBack} />
      </View>
    </ScrollView>
  );
}

const NO_HAPPENINGS: readonly never[] = [];

/** What a layer is made of: "outer walls, skin". */
function wordsOf({ drawing }: KeptJob, layer: number): string {
  const kinds = new Set(drawing.kind.subarray(drawing.begins[layer]! + 1, drawing.begins[layer + 1]));
  return MOVE_KINDS.filter((_, index) => kinds.has(index))
    .map((kind) => MOVE_WORDS[kind].toLowerCase())
    .join(', ');
}
