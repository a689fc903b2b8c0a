import { useMemo, useState } from 'react';
import { Text } from 'react-native';
import { z } from 'zod';

import { directionAt } from '@core/checking/inspect';
import type { Body, PrintSetup } from '@core/record/model';
import { along, type Vec3 } from '@core/foundations/vectors';
import type { Picked, SolidMesh } from '@core/shaping/part';
import { serviceOf, type Service } from '@core/checking/strength';

import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';
import { PointedPart } from '../part/PointedPart';
import { rimOf, segmentsOf } from '../part/pickOnMesh';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { Field } from '../shared/Field';
import { readNumber } from '../shared/numberFields';
import { Sheet } from '../shared/Sheet';
import { ServiceChoice } from './ServiceChoice';

/** The line that shows the way is so long, as a share of the part's reach. */
const LINE_SHARE = 0.3;
const FORCE = z.number().min(0.1).max(100_000);

/** What was pointed at: the way of the load, and how strong it is and what it is held against, if that was said. */
export interface PointedLoad {
  load: Vec3;
  held: PrintSetup['held'];
}

/** Where a load acts on a body, pointed at: a tap on the face that is pushed or pulled, or on an edge along which it pulls; then where it is held. */
export function PointLoadSheet({
  body,
  onTake,
  onClose,
}: {
  body: Body;
  onTake(pointed: PointedLoad): void;
  onClose(): void;
}) {
  const mesh = useSolidView().bodies.find(({ bodyId }) => bodyId === body.id)?.mesh ?? null;
  const [acting, setActing] = useState<Acting | null>(null);
  return (
    <Sheet title={acting ? 'Point at where it is held' : 'Point at the load'} onClose={onClose}>
      {!mesh ? (
        <EmptyState
          text={`${body.name} is not built yet. Open Shape and wait until it is, then point at it.`}
        />
      ) : acting ? (
        <Holding body={body} mesh={mesh} acting={acting} onTake={onTake} onBack={() => setActing(null)} />
      ) : (
        <Pointing body={body} mesh={mesh} onNext={setActing} onTake={onTake} />
      )}
    </Sheet>
  );
}

/** A load that was pointed at. */
interface Acting {
  load: Vec3;
  at: Vec3;
}

function Pointing({
  body,
  mesh,
  onNext,
  onTake,
}: {
  body: Body;
  mesh: SolidMesh;
  onNext(acting: Acting): void;
  onTake(pointed: PointedLoad): void;
}) {
  const [picked, setPicked] = useState<Picked | null>(null);
  const load = useMemo(() => picked && directionAt(mesh, picked), [mesh, picked]);
  const marks = useMemo(() => {
    if (!picked || !load || picked.kind === 'corner') return NO_MARKS;
    const taken = picked.kind === 'face' ? rimOf(mesh, picked) : segmentsOf(mesh, picked);
    return { segments: [taken, lineThrough(mesh, { load, at: picked.near })], points: [picked.near] };
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
        {load ? 'It pulls or pushes along the line.' : 'No place tapped yet.'}
      </Text>
      <Button
        tone="primary"
        label="Type the load"
        disabled={!load}
        onPress={() => load && picked && onNext({ load, at: picked.near })}
      />
      <Button
        label="Use only its direction"
        disabled={!load}
        onPress={() => load && onTake({ load, held: undefined })}
      />
    </>
  );
}

function Holding({
  body,
  mesh,
  acting,
  onTake,
  onBack,
}: {
  body: Body;
  mesh: SolidMesh;
  acting: Acting;
  onTake(pointed: PointedLoad): void;
  onBack(): void;
}) {
  const [picked, setPicked] = useState<Picked | null>(null);
  const [force, setForce] = useState('');
  const { head } = useRepairContext().repair;
  const [service, setService] = useState<Pick<Service, 'lasts' | 'safety'>>(() => serviceOf(body, head));
  const forceN = readNumber(force, 'load', FORCE, { unit: 'N' });
  const marks = useMemo(() => {
    const held = picked
      ? [
          picked.kind === 'face'
            ? rimOf(mesh, picked)
            : picked.kind === 'edge'
              ? segmentsOf(mesh, picked)
              : null,
        ]
      : [];
    return {
      segments: [lineThrough(mesh, acting), ...held.filter((one) => one !== null)],
      points: picked ? [acting.at, picked.near] : [acting.at],
    };
  }, [mesh, acting, picked]);
  return (
    <>
      <Text className="font-sans text-[15px] leading-[22px] text-ink">
        Tap the face or edge that holds it against the load, where the hold begins.
      </Text>
      <PointedPart
        body={body}
        mesh={mesh}
        from="corner"
        marks={marks}
        pickable={PICKABLE}
        onPoint={setPicked}
      />
      <Field
        label="Load (1 kg weighs 10 N)"
        unit="N"
        inputMode="decimal"
        pad="plain"
        value={force}
        onChangeText={setForce}
        wrong={force === '' || forceN.ok ? undefined : forceN.sentence}
      />
      <ServiceChoice service={service} onChange={setService} />
      <Text role="status" className="font-medium text-[14px] leading-5 text-muted">
        {picked ? 'The part is checked between the two crosses.' : 'Nothing is picked yet.'}
      </Text>
      <Button
        tone="primary"
        label="Take it"
        disabled={!picked || !forceN.ok}
        onPress={() => {
          if (!picked || !forceN.ok) return;
          const { load, at } = acting;
          onTake({
            load,
            held: {
              forceN: forceN.value,
              at: [...at],
              heldAt: [...picked.near],
              lasts: service.lasts,
              safety: service.safety,
            },
          });
        }}
      />
      <Button tone="quiet" label="Point at the load again" onPress={onBack} />
    </>
  );
}

const PICKABLE = ['face', 'edge'] as const;
const NO_MARKS = { segments: [], points: [] };

/** The line that a load acts along. */
function lineThrough(mesh: SolidMesh, { load, at }: Acting): Float32Array {
  const reach = LINE_SHARE * reachOf(mesh);
  return Float32Array.of(...along(at, load, -reach), ...along(at, load, reach));
}

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
