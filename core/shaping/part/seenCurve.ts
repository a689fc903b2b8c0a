import type { Followed } from '@core/foundations/fields';

type Place = readonly [x: number, y: number];

/** An edge of a solid as it is seen square to a plane, along the plane's own ways, mm. */
export type SeenCurve =
  /** Seen from its end. */
  | { kind: 'point'; at: Place }
  | { kind: 'line'; from: Place; to: Place }
  | { kind: 'arc'; from: Place; via: Place; to: Place }
  | { kind: 'circle'; middle: Place; radius: number }
  /** Of any other form, by points of it; a closed one comes back to the first. */
  | { kind: 'spline'; points: readonly Place[]; closed: boolean };

/** ... and what of the part it is: something that a drawing can follow. */
export interface SeenPiece {
  of: Followed;
  curve: SeenCurve;
  /** How far it is from the plane at its middle, mm. */
  offMm: number;
}
