import { classClearanceMm, settingOf, stepOf } from '@core/fitting/fit';
import { FIT_CLASSES } from '@core/reporting/wording';
import type { Fit, FitClass } from '@core/record/model';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { DrawnChoice } from '../../shared/DrawnChoice';
import { DEEPEST, DrawnFit } from '../../shared/DrawnFit';

/** The widest gap is drawn so wide, px; the others to the same scale. */
const WIDEST_PX = 7;
/** What goes in with force stands out a little, so that it is seen to be pressed. */
const PRESSED_DEEP = 18;

/** How freely a fit goes: each class drawn with the clearance that it has at this size, to one scale. */
export function FitClassChoice({
  fit,
  diameterMm,
  onChange,
}: {
  fit: Fit;
  /** Of the mating part; null where it is not taken yet: then no clearance can be said. */
  diameterMm: number | null;
  onChange(fitClass: FitClass): void;
}) {
  const { repair, numbers } = useRepairContext();
  const show = useShow();
  const { table } = settingOf(repair, numbers.workshop);
  const decimals = stepOf(table) < 0.01 ? 3 : undefined;
  const clearances = FIT_CLASSES.map(({ id }) => classClearanceMm(table, id, diameterMm ?? 0));
  const widestMm = Math.max(...clearances.map(Math.abs));
  return (
    <DrawnChoice
      label={`How freely: ${fit.name}`}
      options={FIT_CLASSES.map(({ id, word }, index) => {
        const mm = clearances[index]!;
        return {
          id,
          word,
          note: diameterMm === null ? undefined : `${show.signed(mm, decimals)} ${show.word}`,
          drawing: <DrawnFit gap={(WIDEST_PX * mm) / widestMm} deep={mm < 0 ? PRESSED_DEEP : DEEPEST} />,
        };
      })}
      value={fit.ownClearanceMm === null && fit.iso === null ? fit.fitClass : null}
      onChange={onChange}
    />
  );
}
