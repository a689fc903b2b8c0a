import { useCallback, useEffect, useMemo, useState } from 'react';

import type { Repair } from '@core/record/model';
import { withPatch } from '@core/shaping/recipe';
import type { SolidMesh } from '@core/shaping/part';

import { useChangeRepair } from '../api/useRepair';
import type { PickedOn } from '../solid/protocol';
import { workbench, type ShownBody } from '../solid/useSolid';
import type { SceneMarks } from './partScene';
import { patchOfPicks, pickableFor, samePick, usePartTool } from './partTool';
import { rimOf, segmentsOf } from './pickOnMesh';

/** What is picked, measured or stepped through on the part, for the view and the bar over it. */
export function usePartWork(
  repair: Repair,
  shown: readonly ShownBody[],
  /** Something is offered where a face is tapped. */
  { canTouch }: { canTouch: boolean },
) {
  const tool = usePartTool();
  const {
    job,
    picked,
    measuring,
    stage,
    shown: segments,
    points,
    pointing,
    touched,
    setPicked,
    touch,
    end,
  } = tool;
  const isIdle = !job && !measuring && !stage && !pointing;
  const { put } = useChangeRepair(repair);
  const stageMesh = useStageMesh(stage, shown);

  const meshOf = useCallback(
    (bodyId: string): SolidMesh | null =>
      stage?.bodyId === bodyId ? stageMesh : (shown.find((body) => body.bodyId === bodyId)?.mesh ?? null),
    [shown, stage, stageMesh],
  );
  const marks = useMemo((): SceneMarks => {
    const picks = [...picked, ...(touched ? [touched] : [])].flatMap(({ bodyId, picked: one }) => {
      const mesh = meshOf(bodyId);
      if (!mesh) return [];
      return one.kind === 'corner' ? [] : [one.kind === 'face' ? rimOf(mesh, one) : segmentsOf(mesh, one)];
    });
    const corners = picked.flatMap(({ picked: one }) => (one.kind === 'corner' ? [one.near] : []));
    const pointedAt = pointing && meshOf(pointing.bodyId);
    const faces = pointedAt
      ? (pointing.where.faces ?? []).map((face) => rimOf(pointedAt, { kind: 'face', ...face }))
      : [];
    const { where } = pointing ?? {};
    return {
      segments: [...picks, ...faces, ...[segments, where?.segments].flatMap((one) => one ?? [])],
      points: [...corners, ...points, ...(where?.points ?? [])],
    };
  }, [picked, touched, segments, points, pointing, meshOf]);
  const pickable = useMemo(
    () =>
      job
        ? pickableFor(job.want)
        : measuring
          ? (['corner', 'edge', 'face'] as const)
          : canTouch && isIdle
            ? (['face'] as const)
            : [],
    [job, measuring, canTouch, isIdle],
  );
  const onPick = useCallback(
    (found: PickedOn) => {
      if (measuring) {
        setPicked(picked.length === 1 ? [...picked, found] : [found]);
        return;
      }
      if (canTouch && isIdle) {
        // A second tap on the same face lets go of it.
        touch(touched && samePick(touched, found) ? null : found);
        return;
      }
      if (!job || found.bodyId !== job.bodyId) return;
      const isThere = picked.some((one) => samePick(one, found));
      const many = job.want.picks === 'edges' || job.want.picks === 'faces';
      // A second tap on the same thing lets go of it.
      if (!many) setPicked([found]);
      else setPicked(isThere ? picked.filter((one) => !samePick(one, found)) : [...picked, found]);
    },
    [job, measuring, picked, setPicked, canTouch, isIdle, touch, touched],
  );
  const take = () => {
    const body = repair.bodies.find(({ id }) => id === job?.forBody);
    const patch = job && patchOfPicks(job, picked);
    if (job && body && patch) {
      const place = body.steps.findIndex(({ id }) => id === job.stepId) + 1;
      put('body', { ...body, steps: withPatch(body.steps, job.stepId, patch) }, `Step ${place} is changed.`);
    }
    end();
  };
  return { job, measuring, pointing, stage, stageMesh, marks, pickable, onPick, take, meshOf };
}

/** The part as it was after a number of steps; null until it has come. */
function useStageMesh(stage: { bodyId: string; steps: number } | null, shown: readonly ShownBody[]) {
  const [mesh, setMesh] = useState<SolidMesh | null>(null);
  const build = shown.find(({ bodyId }) => bodyId === stage?.bodyId)?.build;
  useEffect(() => {
    if (!stage) {
      setMesh(null);
      return;
    }
    let current = true;
    void workbench.ask
      .stage(stage.bodyId, stage.steps)
      .then((found) => {
        if (current) setMesh(found);
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [stage, build]);
  return mesh;
}
