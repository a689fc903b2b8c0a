/**
 * Standard tolerance factor i of ISO 286-1:2010, 4.1.2 (formerly A.3.3), in mm, for a size of 3 to 500 mm:
 * i = 0.45 D^(1/3) + 0.001 D micrometres, D in mm. It says how what is easy to hold grows with size.
 */
export function toleranceFactorMm(diameterMm: number): number {
  return (0.45 * Math.cbrt(diameterMm) + 0.001 * diameterMm) / 1000;
}
