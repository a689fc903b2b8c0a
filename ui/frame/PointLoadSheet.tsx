import { useMemo, useState } from 'react';
import { Text } from 'react-native';

import { directionAt } from '@core/inspect';
import type { Body } from '@core/model';
import { along, type Picked, type SolidMesh, type Vec3 } from '@core/part';

import { useSolidView } from '../inRepair/useSolidView';
import { PointedPart } from '../part/PointedPart';
import { rimOf, segmentsOf } from '../part/pickOnMesh';
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
  const [picked, setPicked] = useState<Picked | null>(null);
  const load = useMemo(() => picked && directionAt(mesh, picked), [mesh, picked]);
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
      <PointedPart
        body={body}
        mesh={mesh}
        from="corner"
        marks={marks}
        pickable={PICKABLE}
        onPoint={setPicked}
      />
      <Text role="status" className="font-medium text-[14px] leading-5 text-muted">
        {load ? 'It pulls or pushes along the line.' : 'Nothing is pointed at yet.'}
      </Text>
      <Button tone="primary" label="Take it" disabled={!load} onPress={() => load && onTake(load)} />
    </>
  );
}

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
