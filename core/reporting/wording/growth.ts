import type { Growth } from '@core/record/workshop';

/** "0.81 %", or "0.81 % across, 1.01 % along, 0.5 % in height" where they differ. */
export function growthWords(growth: Growth): string {
  const [x, y, z] = growth.map((by) => `${Number(((by - 1) * 100).toFixed(2))} %`) as [
    string,
    string,
    string,
  ];
  return x === y && y === z ? x : `${x} from left to right, ${y} from front to back, ${z} in height`;
}
