import { THREADS } from '@core/foundations/standards';

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
 * - A screw is pulled out where the cylinder of its thread shears, at the pitch diameter: F = π d₂ L τ, with τ = σ / √3 by the energy of distortion (VDI 2230-1,
 *   5.5.5; d₂ by ISO 724). M3, 8 mm deep, in what bears 30 MPa: π · 2.675 · 8 · 30 / √3 = 1164 N.
 * - A pin presses on its bore's projected area: F = σ d L.
 * - A tooth is bent as a short beam: F = σ b m Y, with Y = π (0.154 − 0.912 / z) for 20° (W. Lewis, 1892).
 *
 * @param borneMpa allowable stress.
 */
export function jointBears(joint: Joint, borneMpa: number): number {
  switch (joint.kind) {
    case 'screw':
      return (Math.PI * pitchDiameterMm(joint.diameterMm) * joint.depthMm * borneMpa) / Math.sqrt(3);
    case 'pin':
      return joint.diameterMm * joint.widthMm * borneMpa;
    case 'tooth':
      return borneMpa * joint.widthMm * joint.moduleMm * Math.PI * (0.154 - 0.912 / joint.teeth);
  }
}

/** Coarse metric threads, by diameter. */
const COARSE = THREADS.filter(({ name }) => /^M\d+(\.\d+)?$/.test(name));

/** Between outside and root of a metric thread (ISO 724: d₂ = d − 3 √3 / 8 P); of a diameter between two coarse ones with a pitch in proportion, mm. */
export function pitchDiameterMm(diameterMm: number): number {
  const nearest = COARSE.reduce((best, one) =>
    Math.abs(one.majorMm - diameterMm) < Math.abs(best.majorMm - diameterMm) ? one : best,
  );
  const pitchMm = (nearest.pitchMm / nearest.majorMm) * diameterMm;
  return diameterMm - ((3 * Math.sqrt(3)) / 8) * pitchMm;
}
