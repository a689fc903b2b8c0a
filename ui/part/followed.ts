import { create } from 'zustand';

import type { SolidMesh } from '@core/shaping/part';

import type { Morph, MorphEnd } from '../solid/protocol';

/** A number that is moved, as the part follows it: from -1 at the low end of its range by 0, where it was, to 1. */
interface Followed {
  bodyId: string;
  morph: Morph;
  share: number;
}

/** The part as it follows the thumb; null while it is shown as it was built. */
export const useFollowed = create<{ followed: Followed | null }>(() => ({ followed: null }));

export const follow = (followed: Followed | null): void => {
  if (followed || useFollowed.getState().followed) useFollowed.setState({ followed });
};

/** Points of a mesh that lies between two builds, and the mesh whose faces and edges they are. */
export interface Between extends Pick<SolidMesh, 'positions' | 'edges'> {
  mesh: SolidMesh;
}

/** Where a part is that is on its way to an end: in between where its faces are the same there, otherwise as the nearer of both. */
export function between({ morph, share }: Pick<Followed, 'morph' | 'share'>): Between {
  const end: MorphEnd | null = share < 0 ? morph.low : morph.high;
  const along = Math.min(Math.abs(share), 1);
  if (end?.target && along > 0) {
    return {
      mesh: morph.mesh,
      positions: lerp(morph.mesh.positions, end.target.positions, along),
      edges: lerp(morph.mesh.edges, end.target.edges, along),
    };
  }
  const mesh = end && along > 0.5 ? end.mesh : morph.mesh;
  return { mesh, positions: mesh.positions, edges: mesh.edges };
}

function lerp(from: Float32Array, to: Float32Array, share: number): Float32Array {
  const out = new Float32Array(from.length);
  for (let at = 0; at < out.length; at += 1) out[at] = from[at]! + share * (to[at]! - from[at]!);
  return out;
}
