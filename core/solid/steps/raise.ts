import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import type { EvaluatedRepair } from '@core/fit';
import type { OutlineShape, StepOf, Value } from '@core/model';
import { boxOfLoop, loopOf, placedLoop, type KnownOutline, type Loop } from '@core/outline';

import type { Annotation } from '../annotation';
import { raisedLoop } from '../outlineFace';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';
import { levelOf, placeNumbers, reach } from './place';

/** What the numbers of outlines are called in sentences. */
export const OUTLINE_WORDS: Record<string, string> = {
  diameter: 'diameter',
  length: 'length',
  breadth: 'breadth',
  cornerRadius: 'corner radius',
  across: 'measure across',
};

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
  tool(step, lengths, { kernel, box }) {
    const loop = placed(step, lengths);
    if (!loop.ok) return loop;
    const fits = checkPlace(step, lengths, loop.value, box);
    if (!fits.ok) return fits;
    const { from, to } = reach(step, step.effect, lengths.height?.mm ?? null, box);
    const tool = raisedLoop(kernel, loop.value, { z: from, height: to - from }, (role) =>
      faceTag(step.id, role),
    );
    return ok(tool);
  },
  annotate(step, lengths, { box }) {
    const loop = placed(step, lengths);
    if (!loop.ok) return { annotations: [], centreLines: [] };
    const through = step.height === 'through';
    const { from, to } = reach(step, step.effect, lengths.height?.mm ?? null, box);
    const level = levelOf(step, box);
    // A cut begins at its face, not at the overrun past it.
    const [low, high] = step.effect === 'add' ? [from, to] : step.on === 'top' ? [from, level] : [level, to];
    const visible = step.effect === 'add' || step.on === 'top' ? high : low;
    return {
      annotations: [
        ...outlineAnnotations(step, lengths, loop.value, visible),
        ...(through || step.height === 'through'
          ? []
          : [heightAnnotation(step.id, step.height, lengths.height!.mm, loop.value, [low, high])]),
      ],
      centreLines:
        step.outline.shape === 'circle'
          ? [
              {
                from: [lengths.x!.mm, lengths.y!.mm, low],
                to: [lengths.x!.mm, lengths.y!.mm, high],
                radius: lengths.diameter!.mm / 2,
              },
            ]
          : [],
    };
  },
};

type Numbers = Record<string, Result<NamedLength, StepFault>>;

function outlineNumbers(outline: OutlineShape, numbers: EvaluatedRepair): Numbers {
  const resolved: Numbers = {};
  for (const [key, value] of Object.entries(outline)) {
    if (typeof value !== 'object') continue;
    const resolve = key === 'cornerRadius' ? resolvePosition : resolveLength;
    resolved[key] = resolve(value, OUTLINE_WORDS[key] ?? key, numbers);
  }
  return resolved;
}

function placed(step: StepOf<'raise'>, lengths: Record<string, NamedLength>): Result<Loop, StepFault> {
  const known: KnownOutline = { ...step.outline, lengths } as KnownOutline;
  const loop = loopOf(known);
  return loop.ok ? ok(placedLoop(loop.value, step.turn, [lengths.x!.mm, lengths.y!.mm])) : loop;
}

/** A cut that misses the body, or takes all of it away, is told before the kernel is asked. */
function checkPlace(
  step: StepOf<'raise'>,
  lengths: Record<string, NamedLength>,
  loop: Loop,
  box: Parameters<typeof reach>[3],
): Result<null, StepFault> {
  if (!box) {
    return step.height === 'through' ? no({ code: 'raise.nothingToGoThrough' }) : ok(null);
  }
  if (step.effect === 'add') return ok(null);
  const [x0, y0, x1, y1] = boxOfLoop(loop);
  if (x1 <= box[0] || x0 >= box[3] || y1 <= box[1] || y0 >= box[4]) {
    return no({ code: 'raise.missesBody' });
  }
  return ok(null);
}

function outlineAnnotations(
  step: StepOf<'raise'>,
  lengths: Record<string, NamedLength>,
  loop: Loop,
  z: number,
): Annotation[] {
  const [x0, y0, x1, y1] = boxOfLoop(loop);
  const [x, y] = [lengths.x!.mm, lengths.y!.mm];
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
