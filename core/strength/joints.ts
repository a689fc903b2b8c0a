/** What bears a load besides a cut: a screw in its hole, a pin in a bore, a tooth of a gear. Lengths mm, stresses MPa. */
export type Joint =
  | { kind: 'screw'; diameterMm: number; depthMm: number }
  | { kind: 'pin'; diameterMm: number; widthMm: number }
  | { kind: 'tooth'; moduleMm: number; teeth: number; widthMm: number };

/** Fewer teeth than this are undercut, and the form factor is no longer right. */
export const LEAST_TEETH = 12;

/**
 * The force that a joint bears, N; guidance.
 *
 * - A screw is pulled out where the cylinder of its thread shears: F = π d L τ, with τ = σ / √3 by the energy of distortion.
 * - A pin presses on its bore's projected area: F = σ d L.
 * - A tooth is bent as a short beam: F = σ b m Y, with Y = π (0.154 − 0.912 / z) for 20° (W. Lewis, 1892).
 *
 * @param borneMpa stress that the material bears again and again.
 */
export function jointBears(joint: Joint, borneMpa: number): number {
  switch (joint.kind) {
    case 'screw':
      return (Math.PI * joint.diameterMm * joint.depthMm * borneMpa) / Math.sqrt(3);
    case 'pin':
      return joint.diameterMm * joint.widthMm * borneMpa;
    case 'tooth':
      return borneMpa * joint.widthMm * joint.moduleMm * Math.PI * (0.154 - 0.912 / joint.teeth);
  }
}
