import { useMemo, useState } from 'react';
import { Text } from 'react-native';

import type { TrialResult } from '@core/record/model';
import { eachAxis, type Vec3 } from '@core/foundations/vectors';
import { stepOfTag, type SolidMesh } from '@core/shaping/part';
import { misplacedBy, type PlaceMaker } from '@core/fitting/trial';
import { wayWords } from '@core/reporting/wording';

import { useSolidView } from '../../inRepair/useSolidView';
import { rimOf } from '../../part/pickOnMesh';
import { PointedPart } from '../../part/PointedPart';
import type { Stance } from '../../part/stances';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { Sheet } from '../../shared/Sheet';

type Misplaced = NonNullable<TrialResult['misplaced']>;

/** From where each side of a part is seen. */
const STANCE_OF: Record<string, Stance> = { front: 'front', back: 'front', left: 'side', right: 'side' };

/** Where something should be that came out in the wrong place, pointed at on the part. */
export function PointPlaceSheet({
  maker,
  name,
  onTake,
  onClose,
}: {
  maker: PlaceMaker;
  /** Of the fit whose place it is. */
  name: string;
  onTake(misplaced: Misplaced): void;
  onClose(): void;
}) {
  const mesh = useSolidView().bodies.find(({ bodyId }) => bodyId === maker.body.id)?.mesh ?? null;
  const middle = useMemo(() => mesh && middleOf(mesh, maker.step.id), [mesh, maker.step.id]);
  return (
    <Sheet title="Point at where it should be" onClose={onClose}>
      {mesh && middle ? (
        <Pointing {...{ mesh, middle, maker, name, onTake }} />
      ) : (
        <EmptyState
          text={`${maker.body.name} is not built yet. Open Shape and wait until it is, then point at the place.`}
        />
      )}
    </Sheet>
  );
}

function Pointing({
  mesh,
  middle,
  maker,
  name,
  onTake,
}: {
  mesh: SolidMesh;
  middle: Vec3;
  maker: PlaceMaker;
  name: string;
  onTake(misplaced: Misplaced): void;
}) {
  const show = useShow();
  const [place, setPlace] = useState<Vec3 | null>(null);
  const off = place && misplacedBy(maker, middle, place);
  const marks = useMemo(() => {
    const own = mesh.faces.filter(({ tag }) => stepOfTag(tag) === maker.step.id);
    const rims = own.map(({ tag }) => rimOf(mesh, { kind: 'face', tag, near: middle }));
    return {
      segments: place ? [...rims, Float32Array.of(...middle, ...place)] : rims,
      points: place ? [place] : [],
    };
  }, [mesh, middle, place, maker.step.id]);
  const words = wayWords(maker.on);
  const told = (mm: number, [less, more]: readonly [string, string]) =>
    mm === 0 ? null : `${show.length(Math.abs(mm))} ${mm < 0 ? less : more}`;
  const ways = off ? [told(off.firstMm, words.x), told(off.secondMm, words.y)].filter(Boolean) : [];
  return (
    <>
      <Text className="font-sans text-[15px] leading-[22px] text-ink">
        {`${name} is marked. Tap where its middle should be.`}
      </Text>
      <PointedPart
        body={maker.body}
        mesh={mesh}
        from={typeof maker.on === 'string' ? (STANCE_OF[maker.on] ?? 'plan') : 'plan'}
        marks={marks}
        pickable={PICKABLE}
        onPoint={({ near }) => setPlace(near)}
      />
      <Text role="status" className="font-medium text-[14px] leading-5 text-muted">
        {ways.length > 0
          ? `About ${ways.join(' and ')}. A finger is not exact: type what you measured, if you have.`
          : off
            ? 'It is there already.'
            : 'No place tapped yet.'}
      </Text>
      <Button
        tone="primary"
        label="Take it"
        disabled={ways.length === 0}
        onPress={() => off && onTake(off)}
      />
    </>
  );
}

const PICKABLE = ['face'] as const;

/** The middle of the box round all faces that a step made; null where it has none. */
function middleOf({ faces, indices, positions }: SolidMesh, stepId: string): Vec3 | null {
  const corners = faces
    .filter(({ tag }) => stepOfTag(tag) === stepId)
    .flatMap(({ start, count }) => [...indices.subarray(start, start + count)]);
  if (corners.length === 0) return null;
  return eachAxis((axis) => {
    const along = corners.map((corner) => positions[3 * corner + axis]!);
    const least = along.reduce((one, other) => Math.min(one, other));
    const most = along.reduce((one, other) => Math.max(one, other));
    return (least + most) / 2;
  });
}
