import { useMemo, useState } from 'react';
import { Text } from 'react-native';

import { drainAt, DRAIN_MM } from '@core/checking/inspect';
import type { Body } from '@core/record/model';
import type { Picked, SolidMesh } from '@core/shaping/part';
import { sentenceOf } from '@core/reporting/wording';

import { newId } from '../api/newId';
import { useSolidView } from '../inRepair/useSolidView';
import { PointedPart } from '../part/PointedPart';
import { rimOf } from '../part/pickOnMesh';
import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { Sheet } from '../shared/Sheet';

/** A drain hole for resin, drilled where the wall of a room is tapped: a step of the recipe like any other. */
export function DrainSheet({
  body,
  onTake,
  onClose,
}: {
  body: Body;
  onTake(body: Body): void;
  onClose(): void;
}) {
  const mesh = useSolidView().bodies.find(({ bodyId }) => bodyId === body.id)?.mesh ?? null;
  return (
    <Sheet title="Drill a drain hole" onClose={onClose}>
      {mesh ? (
        <Drilling body={body} mesh={mesh} onTake={onTake} />
      ) : (
        <EmptyState text={`${body.name} is not built yet. Wait until it is, then point at it.`} />
      )}
    </Sheet>
  );
}

function Drilling({ body, mesh, onTake }: { body: Body; mesh: SolidMesh; onTake(body: Body): void }) {
  const show = useShow();
  const [picked, setPicked] = useState<Extract<Picked, { kind: 'face' }> | null>(null);
  const drain = useMemo(() => picked && drainAt(mesh, picked, newId), [mesh, picked]);
  const marks = useMemo(
    () =>
      picked ? { segments: [rimOf(mesh, picked)], points: [picked.near] } : { segments: [], points: [] },
    [mesh, picked],
  );
  return (
    <>
      <Text className="font-sans text-[15px] leading-[22px] text-ink">
        Tap the outer wall where resin should run out, at the cavity’s lowest point, and once more where air
        should come in.
      </Text>
      <PointedPart
        body={body}
        mesh={mesh}
        from="corner"
        marks={marks}
        pickable={PICKABLE}
        onPoint={(one) => one.kind === 'face' && setPicked(one)}
      />
      <Text
        role={drain && !drain.ok ? 'alert' : 'status'}
        className={`font-medium text-[15px] leading-[22px] ${drain && !drain.ok ? 'text-rust' : 'text-muted'}`}
      >
        {!drain
          ? 'No place tapped yet.'
          : drain.ok
            ? `${show.length(DRAIN_MM)} wide, through a wall of ${show.length(drain.value.wallMm)}.`
            : sentenceOf(drain.fault)}
      </Text>
      <Button
        tone="primary"
        label="Drill it"
        disabled={!drain?.ok}
        onPress={() => drain?.ok && onTake({ ...body, steps: [...body.steps, drain.value.step] })}
      />
    </>
  );
}

const PICKABLE = ['face'] as const;
