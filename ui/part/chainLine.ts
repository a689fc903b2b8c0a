import type { Vec3 } from '@core/foundations/vectors';
import type { CentreLine } from '@core/shaping/part';

type Segment = readonly [Vec3, Vec3];

const add = (a: Vec3, b: Vec3, k: number): Vec3 => [a[0] + k * b[0], a[1] + k * b[1], a[2] + k * b[2]];

/**
 * A long-dashed short-dashed chain (ISO 128-2, line type 04) from end to end, as segments. Begins and ends with
 * a long dash; `unit` is the length of a short dash, mm.
 */
export function chainLine(from: Vec3, to: Vec3, unit: number): Segment[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
  if (length === 0) return [];
  const direction: Vec3 = [
    (to[0] - from[0]) / length,
    (to[1] - from[1]) / length,
    (to[2] - from[2]) / length,
  ];
  const [long, short, gap] = [8 * unit, unit, 1.5 * unit];
  const period = long + gap + short + gap;
  // Stretches the pattern so that a whole number of periods and a closing long dash fill the line.
  const periods = Math.max(0, Math.round((length - long) / period));
  const stretch = length / (periods * period + long);
  const segments: Segment[] = [];
  for (let index = 0; index <= periods; index += 1) {
    const start = index * period;
    segments.push([add(from, direction, start * stretch), add(from, direction, (start + long) * stretch)]);
    if (index === periods) break;
    const dash = start + long + gap;
    segments.push([add(from, direction, dash * stretch), add(from, direction, (dash + short) * stretch)]);
  }
  return segments;
}

/** Chain lines for something round: its axis, and a cross square to it at its upper end. */
export function centreMarks(line: CentreLine, overhang: number): Segment[] {
  const unit = Math.max(overhang / 6, 0.05);
  const reach = line.radius + overhang;
  const length =
    Math.hypot(line.to[0] - line.from[0], line.to[1] - line.from[1], line.to[2] - line.from[2]) || 1;
  const direction: Vec3 = [
    (line.to[0] - line.from[0]) / length,
    (line.to[1] - line.from[1]) / length,
    (line.to[2] - line.from[2]) / length,
  ];
  // Any axis that the line does not run along serves to span the plane of the cross.
  const across: Vec3 = Math.abs(direction[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0];
  const second: Vec3 = [
    direction[1] * across[2] - direction[2] * across[1],
    direction[2] * across[0] - direction[0] * across[2],
    direction[0] * across[1] - direction[1] * across[0],
  ];
  return [
    ...chainLine(add(line.from, direction, -overhang), add(line.to, direction, overhang), unit),
    ...chainLine(add(line.to, across, -reach), add(line.to, across, reach), unit),
    ...chainLine(add(line.to, second, -reach), add(line.to, second, reach), unit),
  ];
}
