import type { TrialResult } from '@core/record/model';

import { clearanceMeasured } from './asked';
import { FEEL_HALVES, type Evidence } from './causes';

/** What was measured and what was felt cannot both be so: it measures loose and felt tight, or the other way round. */
export type Contradiction = 'looseYetTight' | 'tightYetLoose';

/** How many deviations past what is wished, on the wrong side, are no matter of feel any more. */
const SURELY = 3;

/** Whether a verdict and a measured clearance contradict each other; null where they go together or one of them is not there. */
export function contradictionOf(result: TrialResult, { wish, handMm }: Evidence): Contradiction | null {
  const clearance = clearanceMeasured(result);
  if (clearance === null || result.verdict === null || result.feature === 'spacing') return null;
  const halfMm = (wish.toMm - wish.fromMm) / 2;
  const doubt = Math.hypot(handMm, result.counterpartStandardMm, FEEL_HALVES * halfMm);
  const tight = result.verdict === 'stiff' || result.verdict === 'willNotGo';
  const loose = result.verdict === 'loose' || result.verdict === 'rattles';
  if (tight && clearance > wish.toMm + SURELY * doubt) return 'looseYetTight';
  return loose && clearance < wish.fromMm - SURELY * doubt ? 'tightYetLoose' : null;
}
