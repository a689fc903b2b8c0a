import type { Brief } from '@core/foundations/fields';
import type { FitClass, FitFeature, Material, Workshop } from '@core/record/model';
import { materialIn } from '@core/record/workshop';

/** A first proposal and why, in a code that has words. */
export interface FirstFit {
  fitClass: FitClass;
  why: 'rubs' | 'springs' | 'still' | 'knocks' | 'lock' | 'lies' | 'unknown';
}

/** Features that something only lies in or between, and is to come out of again. */
const LIES: readonly FitFeature[] = ['recess', 'between', 'nut', 'spacing'];

/** How freely a place is likely to go, from what the brief says of the part: what rubs has to turn, what stands still is held. */
export function firstFit({ movement, load, breaks }: Brief, feature: FitFeature): FirstFit {
  if (LIES.includes(feature)) return { fitClass: 'slides', why: 'lies' };
  if (movement === 'rubs') return { fitClass: 'turns', why: 'rubs' };
  if (movement === 'springs') return { fitClass: 'slides', why: 'springs' };
  if (breaks.includes('noLock')) return { fitClass: 'pressed', why: 'lock' };
  if (movement === 'still') {
    return load === 'knocks' ? { fitClass: 'pressed', why: 'knocks' } : { fitClass: 'snug', why: 'still' };
  }
  return { fitClass: 'turns', why: 'unknown' };
}

/** Prints most easily and costs least, and what it has to bend instead. */
const [PLAIN, SPRINGY] = ['pla', 'petg'];

/**
 * What to make a trial of, where that is simpler than the material that was chosen for good: of the same family, so that the machine's corrections
 * are the same. Null where the chosen one is as simple.
 */
export function trialMaterial(materialId: string, { movement }: Brief, workshop: Workshop): Material | null {
  const chosen = materialIn(workshop, materialId);
  if (chosen.family !== 'plastic') return null;
  const plain = movement === 'springs' ? SPRINGY : PLAIN;
  return chosen.id === plain || chosen.id === PLAIN ? null : materialIn(workshop, plain);
}
