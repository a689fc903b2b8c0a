import { useMemo } from 'react';
import { Text, View } from 'react-native';

import type { Body } from '@core/record/model';
import type { Picked, SolidMesh } from '@core/shaping/part';
import { tagWords } from '@core/reporting/wording';

import { Button } from '../shared/Button';
import { usePartTool, type PickJob } from './partTool';
import { pickables } from './pickOnMesh';
import { useStepThrough } from './useStepThrough';

/** What a picked thing is called, by the steps of its body. */
export function pickWords(picked: Picked, body: Body | undefined): string {
  const placeOf = (id: string) => {
    const place = body?.steps.findIndex((step) => step.id === id) ?? -1;
    return place < 0 ? undefined : place + 1;
  };
  if (picked.kind === 'corner') return 'a corner';
  if (picked.kind === 'face') return tagWords(picked.tag, placeOf);
  const [a, b] = picked.tags.map((tag) => tagWords(tag, placeOf));
  return `the edge where ${a} meets ${b}`;
}

/** Over the part while something is picked: what to tap, what has been, and a way through all of it with keys. */
export function PickBar({
  job,
  body,
  mesh,
  onDone,
}: {
  job: PickJob;
  body: Body | undefined;
  mesh: SolidMesh | null;
  onDone(): void;
}) {
  const { picked, end } = usePartTool();
  const kind = job.want.picks === 'edges' ? 'edge' : 'face';
  const { bodyId } = job;
  const all = useMemo(
    () => (mesh ? pickables(mesh, kind).map((one) => ({ bodyId, picked: one })) : []),
    [mesh, kind, bodyId],
  );
  const many = job.want.picks === 'edges' || job.want.picks === 'faces';
  const last = picked.at(-1);
  const { next, hold, isStepping } = useStepThrough(all, many ? Infinity : 1);
  const said =
    picked.length === 0
      ? kind === 'edge'
        ? 'Tap the edges, one by one.'
        : many
          ? 'Tap the faces, one by one.'
          : 'Tap a face.'
      : `${picked.length > 1 ? `${picked.length}, the last of them ` : ''}${last ? pickWords(last.picked, body) : ''}`;
  return (
    <View
      role="group"
      aria-label={`Picking ${job.what}`}
      className="absolute inset-x-2 top-2 gap-1.5 rounded border border-green bg-card px-3 py-2"
    >
      <Text role="status" className="font-medium text-[14.5px] text-ink">
        {said}
      </Text>
      <View className="flex-row gap-2">
        <Button label={kind === 'edge' ? 'Next edge' : 'Next face'} onPress={next} />
        {many && isStepping ? <Button label="And another" onPress={hold} /> : null}
        <View className="flex-1" />
        <Button label="Cancel" onPress={end} />
        <Button tone="primary" label="Take it" disabled={picked.length === 0} onPress={onDone} />
      </View>
    </View>
  );
}
