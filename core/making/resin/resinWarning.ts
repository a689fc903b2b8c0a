/** What is to be watched about a part that is printed in resin. Places in mm from the middle of the bed; `part`: its index. */
export type ResinWarning = { part: number; at: [number, number, number] } & (
  | { code: 'slice.inAir'; areaMm2: number }
  | { code: 'slice.overhang'; areaMm2: number }
  /** Thinner than the printer's smallest wall. */
  | { code: 'resin.tooThin'; areaMm2: number }
  /** A room that resin can't leave, or leaves only when it is taken off the plate. */
  | { code: 'resin.closed'; mm3: number }
  /** Open upwards alone: it sucks at the film. */
  | { code: 'resin.cup'; areaMm2: number }
);
