import {
  scoped,
  tagFresh,
  type Kernel,
  type Scope,
  type Shape,
  type TaggedSolid,
} from '@core/shaping/kernel';
import { coordinatesOf, type FaceTag } from '@core/shaping/part';
import type { Ridge } from '@core/foundations/standards';

import { ThreadFaces, type EndOf, type Helix, type ThreadEnd, type UpOrDown } from './threadFaces';

/** Where a threaded rod stands. */
export interface ThreadAt {
  x: number;
  y: number;
  z: number;
  low: ThreadEnd;
  high: ThreadEnd;
}

export type ThreadRole = 'thread' | 'root' | 'bottom' | 'top' | 'lead';

/** Turns of a face: a longer one takes the mesher more than as much longer. And how far from an end one is divided at least, radians. */
const TURNS_PER_FACE = 2;
const FROM_END = 0.5;
/** A mouth is wider than the crest by this much of the pitch, on each side. */
const MOUTH_BEYOND = 0.05;
const mouthRadius = ({ crestRadius }: Ridge, pitch: number) => crestRadius + MOUTH_BEYOND * pitch;

/** What a mouth takes of a thread's length, mm. */
export const mouthDepth = (ridge: Ridge, pitch: number): number =>
  mouthRadius(ridge, pitch) - ridge.coreRadius;

/**
 * A threaded rod about an upright axis, right-handed, as one closed skin: two flanks, crest and root, by faces of some turns each, and its ends. Where an end cuts a helix
 * is known, and along a flank radius and height of a level or a conical end are both linear in the angle: so its edges are straight in the parameters of all its faces, and
 * nothing is intersected. Some hundredths of the time that fusing a swept ridge to a core takes.
 */
export function threadBody(
  kernel: Kernel,
  ridge: Ridge,
  pitch: number,
  { x, y, z, low, high }: ThreadAt,
  nameFace: (role: ThreadRole) => FaceTag,
): TaggedSolid {
  return scoped((scope) => {
    const made = new ThreadFaces(kernel, scope, [x, y, z], pitch);
    const { coreRadius, crestRadius, coreHalf, crestHalf } = ridge;
    const wide = mouthRadius(ridge, pitch);
    const heightAt = (end: ThreadEnd, way: UpOrDown, radius: number): number => {
      if (end.is === 'mouth') return end.mouth - way * (wide - radius);
      return end.is === 'eased' ? end.up - way * (radius - coreRadius) : end.up;
    };
    const helix = (radius: number, up: number): Helix => {
      const angle = (height: number) => (2 * Math.PI * (height - up)) / pitch;
      return {
        radius,
        up,
        from: angle(heightAt(low, -1, radius)),
        to: angle(heightAt(high, 1, radius)),
        splits: [],
      };
    };
    const turn = 2 * Math.PI;
    const first = helix(coreRadius, -coreHalf);
    const others = [
      helix(crestRadius, -crestHalf),
      helix(crestRadius, crestHalf),
      helix(coreRadius, coreHalf),
    ] as const;
    // A turn later it is there again, from its other side.
    const again = { ...first, up: first.up + pitch, from: first.from - turn, to: first.to - turn };
    const breaks = breaksOf([first, ...others, again]);
    const onFirst = [...breaks, ...breaks.map((angle) => angle + turn)].sort((a, b) => a - b);
    const all = [
      { ...first, splits: onFirst },
      ...others,
      { ...again, splits: onFirst.map((angle) => angle - turn) },
    ];
    const helices = all.slice(0, -1);
    const strips = all.slice(1).map((upper, index) => made.strip(all[index]!, upper, breaks));
    const radii = { core: coreRadius, crest: crestRadius, wide };
    made.end(low, -1, {
      strips: strips.map(({ begin }) => begin),
      angles: helices.map(({ from }) => from),
      radii,
    });
    made.end(high, 1, { strips: strips.map(({ end }) => end), angles: helices.map(({ to }) => to), radii });
    const middle = z + (low.up + high.up) / 2;
    return tagFresh(kernel, made.sewn(middle), (face) =>
      nameFace(roleOf(kernel, scope, face, { radii, axis: [x, y], middle })),
    );
  });
}

/** Angles at which a thread is divided into faces, within all of its helices. */
function breaksOf(helices: readonly Helix[]): number[] {
  const [from, to] = [Math.max(...helices.map((one) => one.from)), Math.min(...helices.map((one) => one.to))];
  const step = 2 * Math.PI * TURNS_PER_FACE;
  const count = Math.max(0, Math.ceil((to - from - 2 * FROM_END) / step));
  return Array.from({ length: count }, (_, index) => from + FROM_END + index * step);
}

function roleOf(
  kernel: Kernel,
  scope: Scope,
  face: Shape,
  { radii, axis, middle }: { radii: EndOf['radii']; axis: readonly [number, number]; middle: number },
): ThreadRole {
  const surface = scope.keep(new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), true));
  switch (surface.GetType()) {
    case 'GeomAbs_Plane':
      return scope.keep(scope.keep(surface.Plane()).Location()).Z() < middle ? 'bottom' : 'top';
    case 'GeomAbs_Cone':
    case 'GeomAbs_Cylinder':
      return 'lead';
    default: {
      const [x, y] = coordinatesOf(
        scope.keep(
          surface.Value(
            (surface.FirstUParameter() + surface.LastUParameter()) / 2,
            (surface.FirstVParameter() + surface.LastVParameter()) / 2,
          ),
        ),
      );
      const radius = Math.hypot(x - axis[0], y - axis[1]);
      return radius < (3 * radii.core + radii.crest) / 4 ? 'root' : 'thread';
    }
  }
}
