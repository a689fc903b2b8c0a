import type { Body, Material } from '@core/model';

import type { HeldLoad, Made } from './weakest';

/** The load on a spare, if it was said how strong it is, where it acts and where the spare is held against it. */
export function heldLoadOf({ laying }: Pick<Body, 'laying'>): HeldLoad | null {
  if (!laying?.load || !laying.held) return null;
  const { forceN, at, heldAt } = laying.held;
  return { forceN, way: laying.load, at, heldAt };
}

/** What a material bears again and again, and how its layers lie. @param down null of what is not laid in layers. */
export const madeOfMaterial = ({ modulusMpa, strain, across }: Material, down: Made['down']): Made => ({
  alongMpa: modulusMpa * strain,
  across: down === null ? 1 : across,
  down,
});
