import { judge, madeOf, type TrialSetting } from '@core/fitting/trial';
import type { Trial, TrialResult } from '@core/record/model';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { placeId } from '../../jobs/askedSizes';

/** One fit of a trial, what is judged of it, and how it is changed. */
export function useResult(trial: Trial, index: number, setting: TrialSetting) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const result = trial.results[index]!;
  const changeTo = (next: TrialResult, undo?: string) =>
    put(
      'trial',
      { ...trial, results: trial.results.map((one, other) => (other === index ? next : one)) },
      undo,
    );
  const change = (fields: Partial<TrialResult>) => changeTo({ ...result, ...fields });
  const leaveOut = () => {
    const { leftOut, ...rest } = result;
    const next = leftOut === undefined ? { ...rest, leftOut: 'you left it out' } : rest;
    changeTo(
      next,
      leftOut === undefined ? `${result.fitName} is left out.` : `${result.fitName} counts again.`,
    );
  };
  const judged = judge(trial, result, setting);
  const sizeId = result.ofSize
    ? result.fitId
    : repair.fits.find(({ id }) => id === result.fitId)?.counterpartSizeId;
  const tag = (sizeId && numbers.sizes.get(sizeId)?.size.tag) ?? null;
  const made = madeOf(result);
  const isRow = trial.of === 'gaugeRow';
  const practice = trial.madePartId
    ? `${trial.madePartId}/${isRow ? placeId(result.fitId, result.looserMm ?? 0) : result.fitId}`
    : null;
  const move = (misplaced: TrialResult['misplaced']) => {
    const { misplaced: _before, ...rest } = result;
    changeTo(misplaced === undefined ? rest : { ...rest, misplaced });
  };
  return { result, judged, tag, made, isRow, practice, change, leaveOut, move };
}
