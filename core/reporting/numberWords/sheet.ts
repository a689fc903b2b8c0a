import type { EvaluatedFit, EvaluatedRepair, EvaluatedSize } from '@core/fitting/fit';
import type { SheetRow } from '@core/making/formats';
import { isKnown, uncertaintyOf } from '@core/measuring/measure';
import type { RepairState } from '@core/record/model';
import {
  showNumber,
  showQuantity,
  showQuantityUncertainty,
  showSigned,
  unitAfter,
  type DisplayUnit,
} from '@core/foundations/quantity';
import { fitClassOf } from '@core/reporting/wording';

const KINDS = { measured: 'measured', stated: 'stated', derived: 'worked out', chosen: 'chosen' } as const;

/** A plain minus, which programs read as a number. */
const plain = (text: string) => text.replace(/\u2212/g, '-');

/** The sheet of all sizes of a repair; a size with several fits has a line for each. */
export function sheetRows(state: RepairState, numbers: EvaluatedRepair, unit: DisplayUnit): SheetRow[] {
  return [...numbers.sizes.values()].flatMap((entry) => {
    const fits = [...numbers.fits.values()].filter(({ fit }) => fit.counterpartSizeId === entry.size.id);
    const base = sizeColumns(entry, state, unit);
    return fits.length === 0 ? [base] : fits.map((fit) => ({ ...base, ...fitColumns(fit, unit) }));
  });
}

function sizeColumns(
  { size, result, worked }: EvaluatedSize,
  state: RepairState,
  unit: DisplayUnit,
): SheetRow {
  const show = (value: number) => plain(showQuantity(value, size.quantity, unit));
  const readings = state.readings.filter((reading) => reading.sizeId === size.id && !reading.removed);
  const doubt = uncertaintyOf(result);
  return {
    tag: size.tag,
    name: size.name,
    kind: KINDS[size.kind],
    takenOn: size.of === 'piece' ? 'piece' : 'counterpart',
    takenWith:
      size.kind === 'measured'
        ? size.quantity === 'length'
          ? size.jaw
          : 'protractor'
        : size.kind === 'derived' && size.derivation?.by === 'formula'
          ? size.derivation.text
          : size.source,
    readings: readings
      .map(({ value, leftOut }) => `${show(value)}${leftOut === null ? '' : ` (left out: ${leftOut})`}`)
      .join('; '),
    value: isKnown(result) ? show(result.value) : '',
    uncertainty: doubt ? showQuantityUncertainty(doubt.expanded, size.quantity, unit) : '',
    unit: unitAfter(size.quantity, unit).trim(),
    fit: '',
    allowance: '',
    correction: '',
    working: worked.ok ? show(worked.trail.working) : '',
  };
}

function fitColumns({ fit, worked }: EvaluatedFit, unit: DisplayUnit): Partial<SheetRow> {
  const name = `${fit.name}: ${fit.iso ? `${fit.iso.hole}/${fit.iso.shaft}` : fitClassOf(fit.fitClass).word}`;
  if (!worked.ok) return { fit: name, working: '' };
  const { entries, working, decimals } = worked.trail;
  const [allowance, correction] = (['allowance', 'correction'] as const).map((kind) =>
    entries.find((entry) => entry.kind === kind),
  );
  return {
    fit: name,
    allowance: plain(showSigned(allowance!.value, unit, decimals)),
    correction: plain(showSigned(correction!.value, unit, decimals)),
    working: plain(showNumber(working, unit, unit === 'mm' ? decimals : undefined)),
  };
}
