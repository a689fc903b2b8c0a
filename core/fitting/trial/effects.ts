import { evaluateRepair } from '@core/fitting/fit';
import type { CorrectionEffect, Machine, RepairState, Workshop } from '@core/record/model';

/** Working sizes that move by less are not worth a line, mm. */
const WORTH_MM = 0.005;

/** What a machine's new corrections would change in a repair that is made on it: fits whose working size moves. */
export function effectsOf(state: RepairState, workshop: Workshop, machine: Machine): CorrectionEffect[] {
  if (state.head.removed || state.head.machineId !== machine.id) return [];
  const machines = workshop.machines.map((one) => (one.id === machine.id ? machine : one));
  const [now, then] = [evaluateRepair(state, workshop), evaluateRepair(state, { ...workshop, machines })];
  return [...now.fits].flatMap(([id, { fit, worked, chance }]): CorrectionEffect[] => {
    const next = then.fits.get(id)!;
    if (!worked.ok || !next.worked.ok || !chance || !next.chance) return [];
    const working = { fromMm: worked.trail.working, toMm: next.worked.trail.working };
    if (Math.abs(working.toMm - working.fromMm) < WORTH_MM) return [];
    return [
      {
        repairId: state.head.id,
        repairName: state.head.name,
        fitName: fit.name,
        working,
        chance: { from: chance.probability, to: next.chance.probability },
      },
    ];
  });
}
