import { useMemo } from 'react';

import { settledStep } from '@core/fitting/fit';
import { isTaken, type Body, type Step } from '@core/record/model';
import type { StepFault } from '@core/foundations/fault';
import type { DrawnOutline } from '@core/foundations/fields';
import {
  drawnInput,
  isMet,
  solveDrawn,
  studyDrawn,
  type DrawnData,
  type DrawnInput,
  type StudiedDrawing,
} from '@core/shaping/drawn';
import { withPlaces, withSeenPlaces } from '@core/shaping/drawnEdits';
import { eachOutlineNumber, type FollowedPlaces } from '@core/shaping/part';
import { dataAt, withPatch } from '@core/shaping/recipe';
import { ownValue } from '@core/foundations/own';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';

/** A drawn outline of a step as it stands, and how it is changed. */
export interface Drawing {
  outline: DrawnOutline;
  input: DrawnInput;
  studied: StudiedDrawing;
  /** What keeps a point or a diameter from having its place, such as a size that is not taken: nothing is drawn then. */
  unknown: StepFault | null;
  /** What keeps sizes of it from being known: these hold nothing yet. */
  waiting: readonly StepFault[];
  /** How another outline would come out in its place. */
  tried(outline: DrawnOutline): StudiedDrawing;
  /** Keeps another outline, with everything written down where it came out. */
  keep(outline: DrawnOutline, undo: string): void;
}

/** The drawn outline at a field of a step; null where there is none. @param seen where that is now which it follows. */
export function useDrawing(
  body: Body | undefined,
  step: Step | undefined,
  field: string,
  seen: FollowedPlaces | undefined,
): Drawing | null {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  return useMemo(() => {
    const stored = step && (dataAt(step, field) as DrawnOutline | undefined);
    if (!body || !step || stored?.shape !== 'drawn') return null;
    const found = seen ? withSeenPlaces(stored, seen) : stored;
    const inputOf = (outline: DrawnOutline): DrawnInput => {
      const [withIt] = withPatch([step], step.id, { [field]: outline });
      const settled = settledStep(withIt!, numbers);
      // An angle that can't be told yet holds nothing.
      const data = (settled.ok ? dataAt(settled.value as Step, field) : withoutTaken(outline)) as DrawnData;
      const lengths = eachOutlineNumber(outline, numbers);
      return drawnInput(data, (path) => {
        const length = ownValue(lengths, path);
        return length?.ok ? length.value : undefined;
      });
    };
    const input = inputOf(found);
    const faults = Object.entries(eachOutlineNumber(found, numbers)).flatMap(([path, length]) =>
      length.ok ? [] : [{ path, fault: length.fault }],
    );
    const ofDimension = (path: string) => path.startsWith('dimensions.');
    return {
      unknown: faults.find(({ path }) => !ofDimension(path))?.fault ?? null,
      waiting: faults.filter(({ path }) => ofDimension(path)).map(({ fault }) => fault),
      outline: found,
      input,
      studied: studyDrawn(input),
      tried: (outline) => studyDrawn(inputOf(outline)),
      keep: (outline, undo) => {
        const solved = solveDrawn(inputOf(outline));
        const placed = isMet(solved) ? withPlaces(outline, solved) : outline;
        put('body', { ...body, steps: withPatch(body.steps, step.id, { [field]: placed }) }, undo);
      },
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `put` is made anew at each drawing and does the same
  }, [body, step, field, numbers, seen]);
}

/** Taken angles only report. They keep their places in the list, by which lengths are found. */
const withoutTaken = (outline: DrawnOutline): DrawnOutline => ({
  ...outline,
  dimensions: (outline.dimensions ?? []).map((one) =>
    one.kind === 'angle' && isTaken(one.angle) ? { ...one, angle: 0, reference: true as const } : one,
  ),
});
