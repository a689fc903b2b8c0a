import type { EvaluatedRepair } from '@core/fitting/fit';
import { valuesIn, type Body, type Material } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import type { FaceTag, SharpRoot, SolidMesh, StepNote, StepOutcome } from '@core/shaping/part';
import type { PrintedMaterial } from '@core/checking/strength';

import { pointContacts } from './contacts';
import { leversOf } from './levers';
import { ringTroubles, type RingTrouble } from './gearPairs';
import { holesNearEdges, type UprightHole } from './nearEdges';
import { overhangOf } from './overhang';
import { sliversOf } from './slivers';
import { thinnestWall } from './thinnest';
import { tongueStrains } from './tongues';
import { weakSectionOf, type WeakSection } from './weakSection';

/** Where on the part something is: faces, edges as segments, points. */
export interface CautionPlace {
  faces?: { tag: FaceTag; near: Vec3 }[];
  segments?: Float32Array;
  points?: Vec3[];
}

/** Something that does not keep a body from being made, and is worth a look before it is. */
export type Caution = { where?: CautionPlace } & (
  | { code: 'wall.thin'; mm: number; leastMm: number; tag: FaceTag; behind: FaceTag }
  | { code: 'hole.nearEdge'; stepId: string; mm: number; leastMm: number; hole: UprightHole | null }
  | { code: 'contact.point'; count: number }
  | { code: 'face.sliver'; count: number; breadthMm: number }
  | { code: 'root.sharp'; of: string; on: string; radiusMm: number }
  | ({ code: 'section.weak' } & Omit<WeakSection, 'segments'>)
  /** `turnedMm2`: overhanging area if it were turned over. */
  | { code: 'slope.unsupported'; areaMm2: number; turnedMm2: number }
  | {
      code: 'tongue.strained';
      stepId: string;
      strain: number;
      limit: number;
      lengthMm: number;
      thicknessMm: number;
    }
  | ({ stepId: string } & StepNote)
  | ({ code: 'gears.collide'; otherId: string; other: string } & RingTrouble)
  | { code: 'bodies.overlap'; otherId: string; other: string; mm3: number }
  | { code: 'fit.unlike'; otherId: string; other: string; mm: number; wantedMm: number }
);

/** Walls thinner than this are hard to make, mm: two lines of a fused print; less for what cures or is cut. */
const LEAST_WALL_MM: Record<Material['family'], number> = {
  plastic: 0.8,
  soft: 0.8,
  resin: 0.5,
  metal: 0.5,
  wood: 1.5,
};
/** Families that are laid or cured layer on layer, and can't be laid in air. */
const LAYERED: readonly Material['family'][] = ['plastic', 'soft', 'resin'];
/** Families that give before they break at a sharp corner. */
const YIELDING: readonly Material['family'][] = ['soft', 'wood'];
/** Less than this in the air is bridged, mm². */
const BRIDGED_MM2 = 25;

/**
 * What is to be said of a body by itself, gravest first.
 *
 * @param strength what its material bears as it is made, with the safety factor in it; null where that is not looked at.
 * @param rootsOf the sharp hollow corners at which steps stand on others; @param outcomes what its steps noted.
 */
export function cautionsOf(
  body: Body,
  mesh: SolidMesh | null,
  numbers: EvaluatedRepair,
  material: Material,
  rootsOf: (steps: ReadonlySet<string>) => SharpRoot[] = () => [],
  outcomes: readonly StepOutcome[] = [],
  strength: { made: PrintedMaterial; safety: number } | null = null,
): Caution[] {
  if (body.role !== 'spare') return [];
  const noted = outcomes.flatMap((outcome): Caution[] =>
    outcome.state === 'built'
      ? (outcome.notes ?? []).map((note) => ({ stepId: outcome.stepId, ...note }))
      : [],
  );
  const tongues = tongueStrains(body, numbers, material).flatMap((one): Caution[] =>
    one.strain > one.limit ? [{ code: 'tongue.strained', ...one }] : [],
  );
  if (!mesh) return [...noted, ...tongues];
  return [
    ...noted,
    ...contacts(mesh),
    ...walls(body, mesh, numbers, LEAST_WALL_MM[material.family]),
    ...(strength ? weak(body, mesh, strength) : []),
    ...tongues,
    ...(YIELDING.includes(material.family) ? [] : roots(body, numbers, rootsOf)),
    ...slivers(mesh),
    ...(LAYERED.includes(material.family) ? overhangs(mesh) : []),
  ];
}

function contacts(mesh: SolidMesh): Caution[] {
  const points = pointContacts(mesh);
  return points.length > 0 ? [{ code: 'contact.point', count: points.length, where: { points } }] : [];
}

function walls(body: Body, mesh: SolidMesh, numbers: EvaluatedRepair, leastMm: number): Caution[] {
  const thin = thinnestWall(mesh);
  const place = ({ tag, at }: { tag: FaceTag; at: Vec3 }): CautionPlace => ({
    faces: [{ tag, near: at }],
    points: [at],
  });
  return [
    ...(thin && thin.mm < leastMm - 1e-3
      ? [
          {
            code: 'wall.thin' as const,
            mm: thin.mm,
            leastMm,
            tag: thin.tag,
            behind: thin.behind,
            where: place(thin),
          },
        ]
      : []),
    ...holesNearEdges(body, mesh, numbers).map((near): Caution => ({
      code: 'hole.nearEdge',
      stepId: near.stepId,
      mm: near.mm,
      leastMm: near.leastMm,
      hole: near.hole,
      where: place(near),
    })),
  ];
}

function weak(body: Body, mesh: SolidMesh, strength: { made: PrintedMaterial; safety: number }): Caution[] {
  const found = weakSectionOf(body, mesh, strength.made, strength.safety);
  if (!found) return [];
  const { segments, ...told } = found;
  return [{ code: 'section.weak', ...told, where: { segments } }];
}

function roots(
  body: Body,
  numbers: EvaluatedRepair,
  rootsOf: (steps: ReadonlySet<string>) => SharpRoot[],
): Caution[] {
  const levers = new Map(leversOf(body, numbers).map(({ stepId, thickMm }) => [stepId, thickMm]));
  if (levers.size === 0) return [];
  return rootsOf(new Set(levers.keys())).map(({ of, on, segments }): Caution => ({
    code: 'root.sharp',
    of,
    on,
    radiusMm: radiusFor(levers.get(of)!),
    where: { segments },
  }));
}

/** A quarter of the thickness takes most of the notch's stress away (Peterson's charts flatten from there), 0.3 to 2 mm. */
const radiusFor = (thickMm: number) => Math.round(10 * Math.min(Math.max(0.25 * thickMm, 0.3), 2)) / 10;

function slivers(mesh: SolidMesh): Caution[] {
  const found = sliversOf(mesh);
  if (found.length === 0) return [];
  const where = { faces: found.map(({ tag, at }) => ({ tag, near: at })), points: found.map(({ at }) => at) };
  const breadthMm = Math.min(...found.map((one) => one.breadthMm));
  return [{ code: 'face.sliver', count: found.length, breadthMm, where }];
}

function overhangs(mesh: SolidMesh): Caution[] {
  const found = overhangOf(mesh);
  if (!found || found.areaMm2 < BRIDGED_MM2) return [];
  const where = { faces: [{ tag: found.tag, near: found.at }] };
  const turnedMm2 = overhangOf(mesh, -1)?.areaMm2 ?? 0;
  return [{ code: 'slope.unsupported', areaMm2: found.areaMm2, turnedMm2, where }];
}

/** Overlaps smaller than this are faces that touch, mm³. */
const TOUCHING_MM3 = 1e-3;
/** Room that differs from what the fit needs by less than this is it, mm. */
const LIKE_MM = 0.03;
/** Bodies further from each other than this are shown side by side, mm. */
const APART_MM = 1;

/** What is to be said of the room between a spare and another body, mm; with the volume they share, mm³. */
export function cautionsBetween(
  spare: Body,
  other: Body,
  room: { mm: number; overlapMm3: number; from?: Vec3; to?: Vec3 },
  numbers: EvaluatedRepair,
): Caution[] {
  const gears = ringTroubles(spare, other, numbers).map((trouble): Caution => ({
    code: 'gears.collide',
    otherId: other.id,
    other: other.name,
    ...trouble,
  }));
  return [...gears, ...roomCautions(spare, other, room, numbers)];
}

function roomCautions(
  spare: Body,
  other: Body,
  room: { mm: number; overlapMm3: number; from?: Vec3; to?: Vec3 },
  numbers: EvaluatedRepair,
): Caution[] {
  const wantedMm = roomWanted(spare, other, numbers);
  // An interference fit overlaps by design.
  if (room.overlapMm3 > TOUCHING_MM3) {
    return wantedMm !== null && wantedMm < 0
      ? []
      : [{ code: 'bodies.overlap', otherId: other.id, other: other.name, mm3: room.overlapMm3 }];
  }
  if (wantedMm === null || wantedMm < 0) return [];
  // Much more room than that, and they are not put together.
  const isApart = room.mm > Math.max(APART_MM, 4 * wantedMm);
  if (isApart || Math.abs(room.mm - wantedMm) <= LIKE_MM) return [];
  const { from, to } = room;
  const where =
    from && to ? { where: { segments: new Float32Array([...from, ...to]), points: [from, to] } } : {};
  return [{ code: 'fit.unlike', otherId: other.id, other: other.name, mm: room.mm, wantedMm, ...where }];
}

/**
 * The room on each side that the only fit between two bodies asks for; null where there is none, or more than one. A
 * fit lies between them if the spare uses its working size and the other the size that it goes with.
 */
function roomWanted(spare: Body, other: Body, numbers: EvaluatedRepair): number | null {
  const used = (body: Body, from: 'fit' | 'size') =>
    new Set(body.steps.flatMap(valuesIn).flatMap((value) => (value.from === from ? [value.id] : [])));
  const [fits, sizes] = [used(spare, 'fit'), used(other, 'size')];
  const between = [...numbers.fits.values()].filter(
    ({ fit }) => fits.has(fit.id) && sizes.has(fit.counterpartSizeId),
  );
  const [only] = between;
  if (between.length !== 1 || !only?.worked.ok) return null;
  const counterpart = numbers.sizes.get(only.fit.counterpartSizeId)?.worked;
  if (!counterpart?.ok) return null;
  const apart = only.worked.trail.working - counterpart.trail.working;
  return (only.fit.feature === 'peg' || only.fit.feature === 'tab' ? -apart : apart) / 2;
}
