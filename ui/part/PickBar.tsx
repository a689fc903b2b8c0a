import { useMemo, useState } from 'react';
import { Text, View } from 'react-native';

import { tagWords, type Picked, type SolidMesh } from '@core/solid';
import type { Body } from '@core/model';

import { Button } from '../shared/Button';
import { usePartTool, type PickJob } from './partTool';
import { pickables } from './pickOnMesh';

/** What a picked thing is called, by the steps of its body. */
export function pickWords(picked: Picked, body: Body | undefined): string {
  const placeOf = (id: string) => {
    const place = body?.steps.findIndex((step) => step.id === id) ?? -1;
    return place < 0 ? undefined : place + 1;
  };
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
  const { picked, setPicked, end } = usePartTool();
  const kind = job.want.picks === 'edges' ? 'edge' : 'face';
  const all = useMemo(() => (mesh ? pickables(mesh, kind) : []), [mesh, kind]);
  const [at, setAt] = useState(-1);
  const many = job.want.picks === 'edges' || job.want.picks === 'faces';
  const last = picked.at(-1);
  const step = () => {
    const next = (at + 1) % Math.max(1, all.length);
    const found = all[next];
    if (!found) return;
    setAt(next);
    const others = many && at >= 0 ? picked.slice(0, -1) : many ? picked : [];
    setPicked([...others, { bodyId: job.bodyId, picked: found }]);
  };
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
        <Button label={kind === 'edge' ? 'Next edge' : 'Next face'} onPress={step} />
        {many && picked.length > 0 && at >= 0 ? (
          <Button label="And another" onPress={() => setAt(-1)} />
        ) : null}
        <View className="flex-1" />
        <Button label="Cancel" onPress={end} />
        <Button tone="primary" label="Take it" disabled={picked.length === 0} onPress={onDone} />
      </View>
    </View>
  );
}
