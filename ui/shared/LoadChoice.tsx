import type { Vec3 } from '@core/part';

import { Switch } from './Switch';

type Load = 'unknown' | 'x' | 'y' | 'z';
const ALONG: Record<Exclude<Load, 'unknown'>, Vec3> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** Along which way of the part, as it stands under Shape, it is pulled or bent. */
export function LoadChoice({ load, onChange }: { load: Vec3 | null; onChange(load: Vec3 | null): void }) {
  const value = load ? (['x', 'y', 'z'] as const).find((way) => isAlong(load, ALONG[way])) : 'unknown';
  return (
    <Switch<Load>
      label="Where the load pulls, as the part stands under Shape"
      options={[
        { id: 'unknown', word: 'Not said' },
        { id: 'x', word: 'Left, right' },
        { id: 'y', word: 'Front, back' },
        { id: 'z', word: 'Up, down' },
      ]}
      value={value ?? null}
      onChange={(way) => onChange(way === 'unknown' ? null : ALONG[way])}
    />
  );
}

const isAlong = (a: Vec3, b: Vec3) => Math.abs(a[0] * b[0] + a[1] * b[1] + a[2] * b[2]) > 0.999;
