import { useMemo, useRef, useState } from 'react';
import { View } from 'react-native';

import type { Body } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import type { Picked, SolidMesh } from '@core/shaping/part';

import type { SceneMarks } from './partScene';
import { PartView } from './PartView';
import type { Pickable } from './pickOnMesh';
import type { Stance } from './stances';

/** A body alone, in a sheet, to be pointed at: no sizes on it, turned and zoomed as elsewhere. */
export function PointedPart({
  body,
  mesh,
  from,
  marks,
  pickable,
  onPoint,
}: {
  body: Body;
  mesh: SolidMesh;
  /** From where it is seen first. */
  from: Stance;
  marks: SceneMarks;
  pickable: readonly Pickable[];
  onPoint(picked: Picked): void;
}) {
  const [stance, setStance] = useState<Stance | null>(from);
  const look = useRef<() => Vec3>(() => [0, -1, 0]);
  const bodies = useMemo(
    () => [{ id: body.id, ghost: false, mesh, opened: null, centreLines: [], failedTool: null }],
    [body.id, mesh],
  );
  return (
    <View className="h-[300px] overflow-hidden rounded border border-line bg-bench">
      <PartView
        bodies={bodies}
        annotations={NO_SIZES}
        textOf={nothingWritten}
        onPressLabel={() => undefined}
        onLongPressLabel={() => undefined}
        stance={stance}
        onStance={setStance}
        marks={marks}
        coveredBelow={0}
        pickable={pickable}
        onPick={({ picked }) => onPoint(picked)}
        look={look}
        description={`${body.name}, to be pointed at.`}
      />
    </View>
  );
}

const NO_SIZES: never[] = [];
const nothingWritten = () => ({ tag: null, number: '', tone: 'typed' as const, spoken: '' });
