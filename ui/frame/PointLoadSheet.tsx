import { useMemo, useRef, useState } from 'react';
import { Text, View } from 'react-native';

import { directionAt } from '@core/inspect';
import type { Body } from '@core/model';
import { along, type Picked, type SolidMesh, type Vec3 } from '@core/part';

import { useSolidView } from '../inRepair/useSolidView';
import { PartView } from '../part/PartView';
import { rimOf, segmentsOf } from '../part/pickOnMesh';
import type { Stance } from '../part/stances';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { Sheet } from '../shared/Sheet';

/** The line that shows the way is so long, as a share of the part's reach. */
const LINE_SHARE = 0.3;

/** Where a load acts on a body, pointed at: a tap on the face that is pushed or pulled, or on an edge along which it pulls. */
export function PointLoadSheet({
  body,
  onTake,
  onClose,
}: {
  body: Body;
  onTake(load: Vec3): void;
  onClose(): void;
}) {
  const mesh = useSolidView().bodies.find(({ bodyId }) => bodyId === body.id)?.mesh ?? null;
  return (
    <Sheet title="Point at the load" onClose={onClose}>
      {mesh ? (
        <Pointing body={body} mesh={mesh} onTake={onTake} />
      ) : (
        <EmptyState
          text={`${body.name} is not built yet. Look at it under Shape until it is, then point at it.`}
        />
      )}
    </Sheet>
  );
}

function Pointing({ body, mesh, onTake }: { body: Body; mesh: SolidMesh; onTake(load: Vec3): void }) {
  const [stance, setStance] = useState<Stance | null>('corner');
  const [picked, setPicked] = useState<Picked | null>(null);
  const look = useRef<() => Vec3>(() => [0, -1, 0]);
  const load = useMemo(() => picked && directionAt(mesh, picked), [mesh, picked]);
  const bodies = useMemo(
    () => [{ id: body.id, ghost: false, mesh, opened: null, centreLines: [], failedTool: null }],
    [body.id, mesh],
  );
  const marks = useMemo(() => {
    if (!picked || !load || picked.kind === 'corner') return { segments: [], points: [] };
    const taken = picked.kind === 'face' ? rimOf(mesh, picked) : segmentsOf(mesh, picked);
    const reach = LINE_SHARE * reachOf(mesh);
    const line = Float32Array.of(...along(picked.near, load, -reach), ...along(picked.near, load, reach));
    return { segments: [taken, line], points: [picked.near] };
  }, [mesh, picked, load]);
  return (
    <>
      <Text className="font-sans text-[15px] leading-[22px] text-ink">
        Tap the face that is pushed or pulled, or an edge that the load runs along.
      </Text>
      <View className="h-[300px] overflow-hidden rounded border border-line bg-bench">
        <PartView
          bodies={bodies}
          annotations={NONE}
          textOf={nothingWritten}
          onPressLabel={() => undefined}
          onLongPressLabel={() => undefined}
          stance={stance}
          onStance={setStance}
          marks={marks}
          coveredBelow={0}
          pickable={PICKABLE}
          onPick={({ picked: found }) => setPicked(found)}
          look={look}
          description={`${body.name}, to be pointed at.`}
        />
      </View>
      <Text role="status" className="font-medium text-[14px] leading-5 text-muted">
        {load ? 'It pulls or pushes along the line.' : 'Nothing is pointed at yet.'}
      </Text>
      <Button tone="primary" label="Take it" disabled={!load} onPress={() => load && onTake(load)} />
    </>
  );
}

const NONE: never[] = [];
const nothingWritten = () => ({ tag: null, number: '', tone: 'typed' as const, spoken: '' });
const PICKABLE = ['face', 'edge'] as const;

/** The longest way across the box round a mesh, mm. */
function reachOf({ positions }: SolidMesh): number {
  const range = [0, 1, 2].map((axis) => {
    let [least, most] = [Infinity, -Infinity];
    for (let at = axis; at < positions.length; at += 3) {
      least = Math.min(least, positions[at]!);
      most = Math.max(most, positions[at]!);
    }
    return most - least;
  });
  return Math.hypot(...range);
}
