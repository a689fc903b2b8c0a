import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import {
  boolean,
  framePlane,
  prismOf,
  raisedLoop,
  planeOf,
  scoped,
  type TaggedSolid,
} from '@core/shaping/kernel';
import { isThere, takesAway, type SettledStepOf, type Value } from '@core/record/model';
import {
  boxOfLoop,
  mappedRegion,
  placedLoop,
  placedRegion,
  squareLoop,
  type Loop,
  type Point,
  type Region,
} from '@core/shaping/outline';
import { type Vec3, along } from '@core/foundations/vectors';
import {
  type Annotation,
  frameFacing,
  toLocal,
  OVERRUN_MM,
  type Placement,
  faceTag,
} from '@core/shaping/part';
import {
  drafted,
  faceOfPick,
  type StepInput,
  type StepSolid,
  frameOfOutline,
  knownLoop,
  mapBetween,
  regionHere,
  reach,
  depthOfFloor,
} from '@core/shaping/forming';
import { isParallel } from '@core/foundations/tolerance';
import { ownValue } from '@core/foundations/own';

import { withRim } from './easedRim';
import { upToCurved } from './upToCurved';
import type { LengthsOf } from '../kinds';

/** Nearer than this, what it should go up to lies behind where it begins, mm. */
const LEAST_REACH_MM = 1e-3;

/** An outline raised straight up. Faces: top, bottom, and those of the outline (wall; right, corner0; flat0, and so on). */
export const solid: StepSolid<'extrude'> = {
  settled(step, lengths, stand) {
    if (!step.floor || !lengths.height) return ok(lengths);
    // Half to each side of its place it has two ends, and neither is a floor.
    const depth = depthOfFloor(lengths.height, stand, takesAway(step.effect) && !step.bothWays);
    return depth.ok ? ok({ ...lengths, floor: lengths.height, height: depth.value }) : depth;
  },
  tool(step, lengths, input) {
    const { stand } = input;
    const found = regionHere(step.outline, lengths.outline, input);
    if (!found.ok) return found;
    const lies = asItLies(step, found.value, input);
    if (!lies.ok) return lies;
    const region = placedRegion(lies.value, step.turn, stand.at);
    const fits = checkPlace(step, lengths, region.outer, stand);
    if (!fits.ok) return fits;
    const closes =
      step.draft && !step.upTo ? closesBefore(step.draft, region.outer, leaningMm(step, lengths)) : null;
    if (closes) return no(closes);
    const hasRim = lengths.outline.rim && step.outline.shape === 'gear' && step.outline.side === 'outside';
    // The disc that eases the rim has upright sides: nothing is left out unsaid.
    if (hasRim && step.draft) return no({ code: 'draft.easedRim' });
    if (step.draft && step.bothWays && lengths.height) {
      return leaningBothWays(step, region, input, lengths.height.mm);
    }
    const tool = step.upTo
      ? raisedUpTo(step, region, input)
      : ok(raisedBetween(step, region, input, heights(step, lengths, stand)));
    if (tool.ok && hasRim) {
      const eased = withRim(step, lengths, tool.value, input);
      tool.value.dispose();
      return eased;
    }
    if (!tool.ok || !step.draft) return tool;
    return leaning(step, tool.value, stand.level, !takesAway(step.effect) || stand.up ? 1 : -1);
  },
  annotate(step, lengths, { stand }) {
    const loop = placed(step, lengths, stand);
    if (!loop.ok) return { annotations: [], centreLines: [] };
    const through = step.height === 'through';
    const { from, to } = heights(step, lengths, stand);
    const { level, up, at } = stand;
    // A cut begins at its face, not at the overrun past it.
    const [low, high] =
      !takesAway(step.effect) || step.bothWays ? [from, to] : up ? [level, to] : [from, level];
    const visible = !takesAway(step.effect) || !up ? high : low;
    return {
      annotations: [
        ...outlineAnnotations(step, lengths, loop.value, at, visible),
        ...(through || step.height === 'through' || step.upTo
          ? []
          : lengths.floor
            ? [
                heightAnnotation(
                  step.id,
                  step.height,
                  lengths.floor.mm,
                  loop.value,
                  up ? [high - lengths.floor.mm, high] : [low - lengths.floor.mm, low],
                ),
              ]
            : [heightAnnotation(step.id, step.height, lengths.height!.mm, loop.value, [low, high])]),
      ],
      centreLines:
        step.outline.shape === 'circle'
          ? [
              {
                from: [...at, low],
                to: [...at, high],
                radius: lengths.outline.diameter!.mm / 2,
              },
            ]
          : [],
    };
  },
};

/** An outline that stays where it was taken from keeps its turn, and its mirror image where it is seen from behind. */
function asItLies(
  step: SettledStepOf<'extrude'>,
  region: Region,
  input: StepInput,
): Result<Region, StepFault> {
  if (!isThere(step)) return ok(region);
  const taken = frameOfOutline(step.outline, input);
  if (!taken.ok || !taken.value) return taken.ok ? ok(region) : taken;
  const map = mapBetween(taken.value, input.stand.frame);
  return map ? ok(mappedRegion(region, map)) : no({ code: 'outline.notLevelThere' });
}

/** How far the sides lean on, mm; 0 for what goes right through, whose sides are not asked before. */
const leaningMm = (step: SettledStepOf<'extrude'>, { height }: LengthsOf<'extrude'>): number =>
  (height?.mm ?? 0) / (step.bothWays ? 2 : 1);

/** The same with sides that lean in from a level on, upwards or downwards. Takes over `tool`. */
function leaning(
  step: SettledStepOf<'extrude'>,
  tool: TaggedSolid,
  level: number,
  way: 1 | -1,
): Result<TaggedSolid, StepFault> {
  const leaned = drafted(
    tool,
    (tag) => tag !== faceTag(step.id, 'top') && tag !== faceTag(step.id, 'bottom'),
    { direction: [0, 0, way], angle: step.draft!, heldAt: [0, 0, level] },
  );
  tool.dispose();
  return leaned ? ok(leaned) : no({ code: 'draft.nothing' });
}

/** Half to each side of its place: from there its sides lean in both ways, so that it is as large as its outline where it is held. */
function leaningBothWays(
  step: SettledStepOf<'extrude'>,
  region: Region,
  input: StepInput,
  heightMm: number,
): Result<TaggedSolid, StepFault> {
  const { level } = input.stand;
  const half = (way: 1 | -1) => {
    const ends = [level, level + (way * heightMm) / 2];
    const raised = raisedBetween(step, region, input, { from: Math.min(...ends), to: Math.max(...ends) });
    return leaning(step, raised, level, way);
  };
  const upper = half(1);
  if (!upper.ok) return upper;
  const lower = half(-1);
  if (!lower.ok) {
    upper.value.dispose();
    return lower;
  }
  const both = boolean('fuse', upper.value, lower.value);
  upper.value.dispose();
  lower.value.dispose();
  return ok(both);
}

/** What is said of sides that meet before they are as high as they should be; null where they don't, as far as their box tells. */
function closesBefore(draft: number, loop: Loop, height: number): StepFault | null {
  if (height === 0) return null;
  const [x0, y0, x1, y1] = boxOfLoop(loop);
  const half = Math.min(x1 - x0, y1 - y0) / 2;
  if (draft <= 0 || height * Math.tan(draft) < half) return null;
  // A little less than where they meet, in whole tenths.
  const mostAngle = Math.floor((Math.atan(half / height) * 1800) / Math.PI - 0.5) * (Math.PI / 1800);
  return { code: 'draft.closes', mostAngle, mostMm: Math.floor(10 * (half / Math.tan(draft)) - 0.5) / 10 };
}

function raisedBetween(
  step: SettledStepOf<'extrude'>,
  region: Region,
  { kernel }: StepInput,
  { from, to }: { from: number; to: number },
): TaggedSolid {
  return raisedLoop(kernel, region, { z: from, height: to - from }, (role) => faceTag(step.id, role));
}

/** Faces that lean more than this from level, as the cosine, are beside the way of what goes up to them. */
const BESIDE = 0.05;

/** From its place as far as a face. A flat one may lean and counts beyond its edges: what would reach past it is taken off. */
function raisedUpTo(
  step: SettledStepOf<'extrude'>,
  region: Region,
  input: StepInput,
): Result<TaggedSolid, StepFault> {
  const { kernel, before, earlier, stand } = input;
  if (!before) return no({ code: 'step.firstMustAdd', verb: 'Raise' });
  const plane = scoped((scope) => {
    const face = faceOfPick(scope, before, step.upTo!, earlier);
    if (!face.ok) return face;
    return ok(planeOf(kernel, face.value));
  });
  if (!plane.ok) return plane;
  const { frame, level, past, up } = stand;
  const way = !takesAway(step.effect) || up ? 1 : -1;
  if (!plane.value) {
    const { from, to } = farReach(stand, way);
    const there = placedRegion(region, 0, shiftOf(region, stand));
    const prism = raisedBetween(step, there, input, { from, to });
    const goesIn = takesAway(step.effect);
    return upToCurved(step.id, prism, { way, goesIn, target: step.upTo!.tag }, input);
  }
  const at = toLocal(frame, plane.value.at);
  const normal = toLocal({ ...frame, origin: [0, 0, 0] }, plane.value.normal);
  if (Math.abs(normal[2]) < BESIDE) return no({ code: 'extrude.upToBehind' });
  const [x0, y0, x1, y1] = boxOfLoop(region.outer);
  const reaches = [x0, x1].flatMap((x) =>
    [y0, y1].map(
      (y) => way * (at[2] - (normal[0] * (x - at[0]) + normal[1] * (y - at[1])) / normal[2] - level),
    ),
  );
  if (Math.min(...reaches) < LEAST_REACH_MM) return no({ code: 'extrude.upToBehind' });
  const isLevel = isParallel(normal[2]);
  const far = level + way * (Math.max(...reaches) + (isLevel ? 0 : OVERRUN_MM));
  const near = takesAway(step.effect) ? level - way * past : level;
  const tool = raisedBetween(step, region, input, { from: Math.min(near, far), to: Math.max(near, far) });
  if (isLevel) return ok(tool);
  // The block that lies beyond the face.
  const out = along([0, 0, 0], normal, way * Math.sign(normal[2]));
  const half = Math.hypot(x1 - x0, y1 - y0) + Math.max(...reaches) + 2 * OVERRUN_MM;
  const middle: Vec3 = [(x0 + x1) / 2, (y0 + y1) / 2, 0];
  const over = at[2] - (normal[0] * (middle[0] - at[0]) + normal[1] * (middle[1] - at[1])) / normal[2];
  const face = frameFacing([middle[0], middle[1], over], out);
  const beyond = prismOf(
    kernel,
    squareLoop(half, 'side'),
    framePlane(face),
    along([0, 0, 0], face.z, half),
    () => faceTag(step.id, way > 0 ? 'top' : 'bottom'),
  );
  const cut = boolean('cut', tool, beyond);
  tool.dispose();
  beyond.dispose();
  return ok(cut);
}

/** From the level of its place past the whole part. */
function farReach({ level, box }: Placement, way: 1 | -1): { from: number; to: number } {
  const far = way > 0 ? (box?.[5] ?? level) : (box?.[2] ?? level);
  const past = way * Math.max(way * (far - level), 0) + way * OVERRUN_MM;
  return { from: Math.min(level, level + past), to: Math.max(level, level + past) };
}

/** How far an outline that is held by its own edge has to go to be where it will stand. */
function shiftOf(region: Region, { at, flush }: Placement): Point {
  const box = boxOfLoop(region.outer);
  return [0, 1].map((axis) =>
    flush[axis] === 0 ? 0 : at[axis]! - (flush[axis]! < 0 ? box[axis]! : box[axis + 2]!),
  ) as [number, number];
}

function heights(step: SettledStepOf<'extrude'>, lengths: LengthsOf<'extrude'>, stand: Placement) {
  const { height } = lengths;
  if (!height || !step.bothWays) return reach(stand, step.effect, height?.mm ?? null);
  return { from: stand.level - height.mm / 2, to: stand.level + height.mm / 2 };
}

function placed(
  step: SettledStepOf<'extrude'>,
  lengths: LengthsOf<'extrude'>,
  { at }: Placement,
): Result<Loop, StepFault> {
  const loop = knownLoop(step.outline, lengths.outline);
  return loop.ok ? ok(placedLoop(loop.value, step.turn, at)) : loop;
}

/** A cut that misses the body, or takes all of it away, is told before the kernel is asked. */
function checkPlace(
  step: SettledStepOf<'extrude'>,
  lengths: LengthsOf<'extrude'>,
  loop: Loop,
  { box, level, up }: Placement,
): Result<null, StepFault> {
  if (!box) {
    return step.height === 'through' ? no({ code: 'extrude.nothingToGoThrough' }) : ok(null);
  }
  if (!takesAway(step.effect)) return ok(null);
  const [x0, y0, x1, y1] = boxOfLoop(loop);
  if (x1 <= box[0] || x0 >= box[3] || y1 <= box[1] || y0 >= box[4]) {
    return no({ code: 'extrude.missesBody' });
  }
  const bodyMm = up ? box[5] - level : level - box[2];
  const { height } = lengths;
  if (step.effect === 'cut' && height && !step.upTo && !step.bothWays && height.mm >= bodyMm) {
    return no({ code: 'hole.deeperThanBody', depth: { ...height, what: 'depth' }, bodyMm });
  }
  return ok(null);
}

function outlineAnnotations(
  step: SettledStepOf<'extrude'>,
  lengths: LengthsOf<'extrude'>,
  loop: Loop,
  [x, y]: Placement['at'],
  z: number,
): Annotation[] {
  const [x0, y0, x1, y1] = boxOfLoop(loop);
  const up = [0, 0, 1] as const;
  const along = [
    { from: [x0, y, z], to: [x1, y, z], out: up },
    { from: [x0, y0, z], to: [x1, y0, z], out: [0, -1, 0] },
  ] as const;
  const across = [
    { from: [x, y0, z], to: [x, y1, z], out: up },
    { from: [x1, y0, z], to: [x1, y1, z], out: [1, 0, 0] },
  ] as const;
  const s = Math.SQRT1_2;
  // Inside a part there is no room for spans: what is cut is pointed at, on its long and on its wide side.
  const leaders = !takesAway(step.effect)
    ? null
    : {
        along: [
          { at: [x1, y, z], out: [s, 0, s] },
          { at: [x0, y, z], out: [-s, 0, s] },
        ] as const,
        across: [
          { at: [x, y1, z], out: [0, s, s] },
          { at: [x, y0, z], out: [0, -s, s] },
        ] as const,
      };
  // Turned outlines have no side along the axes to measure; their numbers stand in the sentence.
  if (step.turn !== 0 && step.outline.shape !== 'circle') return [];
  const sidesOf: Record<string, ('along' | 'across')[]> = {
    diameter: ['along', 'across'],
    length: ['along'],
    breadth: ['across'],
    across: ['across'],
  };
  const spansOf = { along, across };
  return Object.entries(step.outline).flatMap(([key, value]): Annotation[] => {
    const sides = ownValue(sidesOf, key);
    if (!sides || typeof value !== 'object') return [];
    return [
      {
        stepId: step.id,
        field: `outline.${key}`,
        value: value as Value,
        mm: ownValue(lengths.outline, key)!.mm,
        form: leaders ? 'leader' : 'span',
        spans: leaders ? [] : sides.flatMap((side) => [...spansOf[side]]),
        points: leaders ? sides.flatMap((side) => [...leaders[side]]) : [],
      },
    ];
  });
}

function heightAnnotation(
  stepId: string,
  value: Value,
  mm: number,
  loop: Loop,
  [low, high]: readonly [number, number],
): Annotation {
  const [x0, y0, x1, y1] = boxOfLoop(loop);
  const [x, y] = [(x0 + x1) / 2, (y0 + y1) / 2];
  return {
    stepId,
    field: 'height',
    value,
    mm,
    form: 'span',
    spans: [
      { from: [x1, y, low], to: [x1, y, high], out: [1, 0, 0] },
      { from: [x, y1, low], to: [x, y1, high], out: [0, 1, 0] },
    ],
    points: [],
  };
}
