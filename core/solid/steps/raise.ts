import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import type { StepOf, Value } from '@core/model';
import { boxOfLoop, placedLoop, type Loop } from '@core/outline';

import type { Annotation } from '../annotation';
import { drafted } from '../drafted';
import { raisedLoop } from '../outlineFace';
import { resolveAll, resolveLength } from '../resolve';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';
import { placeNumbers, type Stand } from '../stand';
import { knownLoop, outlineNumbers } from './outlineNumbers';
import { reach } from './place';

/** An outline raised straight up. Faces: top, bottom, and those of the outline (wall; right, corner0; flat0, and so on). */
export const raise: StepType<'raise'> = {
  kind: 'raise',
  effect: 'any',
  resolve(step, numbers) {
    const always: Numbers = { ...outlineNumbers(step.outline, numbers), ...placeNumbers(step, numbers) };
    return resolveAll(
      step.height === 'through'
        ? always
        : { ...always, height: resolveLength(step.height, 'height', numbers) },
    );
  },
  tool(step, lengths, { kernel, stand }) {
    const loop = placed(step, lengths, stand);
    if (!loop.ok) return loop;
    const fits = checkPlace(step, lengths, loop.value, stand);
    if (!fits.ok) return fits;
    const { from, to } = heights(step, lengths, stand);
    const tool = raisedLoop(kernel, loop.value, { z: from, height: to - from }, (role) =>
      faceTag(step.id, role),
    );
    if (!step.taper) return ok(tool);
    const goesUp = step.effect === 'add' || stand.up;
    const leaned = drafted(
      tool,
      (tag) => tag !== faceTag(step.id, 'top') && tag !== faceTag(step.id, 'bottom'),
      {
        way: [0, 0, goesUp ? 1 : -1],
        angle: step.taper,
        heldAt: [0, 0, stand.level],
      },
    );
    tool.dispose();
    return leaned ? ok(leaned) : no({ code: 'taper.nothing' });
  },
  annotate(step, lengths, { stand }) {
    const loop = placed(step, lengths, stand);
    if (!loop.ok) return { annotations: [], centreLines: [] };
    const through = step.height === 'through';
    const { from, to } = heights(step, lengths, stand);
    const { level, up, at } = stand;
    // A cut begins at its face, not at the overrun past it.
    const [low, high] =
      step.effect === 'add' || step.bothWays ? [from, to] : up ? [level, to] : [from, level];
    const visible = step.effect === 'add' || !up ? high : low;
    return {
      annotations: [
        ...outlineAnnotations(step, lengths, loop.value, at, visible),
        ...(through || step.height === 'through'
          ? []
          : [heightAnnotation(step.id, step.height, lengths.height!.mm, loop.value, [low, high])]),
      ],
      centreLines:
        step.outline.shape === 'circle'
          ? [
              {
                from: [...at, low],
                to: [...at, high],
                radius: lengths.diameter!.mm / 2,
              },
            ]
          : [],
    };
  },
};

type Numbers = Record<string, Result<NamedLength, StepFault>>;

function heights(step: StepOf<'raise'>, lengths: Record<string, NamedLength>, stand: Stand) {
  const { height } = lengths;
  if (!height || !step.bothWays) return reach(stand, step.effect, height?.mm ?? null);
  return { from: stand.level - height.mm / 2, to: stand.level + height.mm / 2 };
}

function placed(
  step: StepOf<'raise'>,
  lengths: Record<string, NamedLength>,
  { at }: Stand,
): Result<Loop, StepFault> {
  const loop = knownLoop(step.outline, lengths);
  return loop.ok ? ok(placedLoop(loop.value, step.turn, at)) : loop;
}

/** A cut that misses the body, or takes all of it away, is told before the kernel is asked. */
function checkPlace(
  step: StepOf<'raise'>,
  lengths: Record<string, NamedLength>,
  loop: Loop,
  { box, level, up }: Stand,
): Result<null, StepFault> {
  if (!box) {
    return step.height === 'through' ? no({ code: 'raise.nothingToGoThrough' }) : ok(null);
  }
  if (step.effect === 'add') return ok(null);
  const [x0, y0, x1, y1] = boxOfLoop(loop);
  if (x1 <= box[0] || x0 >= box[3] || y1 <= box[1] || y0 >= box[4]) {
    return no({ code: 'raise.missesBody' });
  }
  const bodyMm = up ? box[5] - level : level - box[2];
  const { height } = lengths;
  if (step.effect === 'cut' && height && !step.bothWays && height.mm >= bodyMm) {
    return no({ code: 'drill.deeperThanBody', depth: { ...height, what: 'depth' }, bodyMm });
  }
  return ok(null);
}

function outlineAnnotations(
  step: StepOf<'raise'>,
  lengths: Record<string, NamedLength>,
  loop: Loop,
  [x, y]: Stand['at'],
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
  // Inside a part there is no room for spans: what is cut is pointed at, on its long and on its broad side.
  const leaders =
    step.effect === 'add'
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
    const sides = sidesOf[key];
    if (!sides || typeof value !== 'object') return [];
    return [
      {
        stepId: step.id,
        field: `outline.${key}`,
        value: value as Value,
        mm: lengths[key]!.mm,
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
