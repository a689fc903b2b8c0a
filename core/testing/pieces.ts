import { evaluateRepair } from '@core/fitting/fit';
import {
  numberValue,
  type Body,
  type OutlineShape,
  type Repair,
  type Step,
  type StepKind,
} from '@core/record/model';
import { BodyBuilder, type Built } from '@core/shaping/solid';
import type { Kernel } from '@core/shaping/kernel';

import { RepairDraft } from './repairDraft';

/** A built test piece, with what tests ask of it. */
export interface Piece extends Built {
  volume: number;
  faults: unknown[];
  /** Roles of its faces, sorted. */
  roles: string[];
}

/** Builds steps as one body; other bodies may stand beside it. The solid is freed. */
export function buildPiece(kernel: Kernel, steps: readonly Step[]): Piece {
  const repair: Repair = new RepairDraft('Test piece').body('body', 'Body', [...steps]).repair;
  return buildBody(kernel, repair.bodies[0]!, repair);
}

function buildBody(kernel: Kernel, body: Body, repair: Repair): Piece {
  const builder = new BodyBuilder(kernel);
  const built = builder.build(body, evaluateRepair(repair));
  const piece: Piece = {
    ...built,
    volume: built.check?.volumeMm3 ?? 0,
    faults: built.steps.flatMap((step) => (step.state === 'failed' ? [step.fault] : [])),
    roles: (built.solid?.tagList() ?? []).map((tag) => tag.split(':').at(-1)!).sort(),
  };
  builder.dispose();
  return piece;
}

/** Numbers of a step as plain values; what is no number stays as it is. */
export const plain = (fields: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(fields).map(([key, value]) => [
      key,
      typeof value === 'number' && !['turn', 'tilt', 'point', 'count', 'sides'].includes(key)
        ? numberValue(value)
        : value,
    ]),
  );

let made = 0;

/** A step of a kind with an id of its own; lengths stand for themselves, angles are radians. */
export const stepOf = (
  kind: StepKind,
  fields: Record<string, unknown>,
  id = `${kind}-${(made += 1)}`,
): Step => ({ id, kind, ...plain(fields) }) as unknown as Step;

export const outlineOf = (shape: OutlineShape['shape'], fields: Record<string, unknown>): OutlineShape =>
  ({ shape, ...plain(fields) }) as unknown as OutlineShape;

/** An outline raised at the axle line, unless told otherwise. */
export const raised = (
  outline: OutlineShape,
  height: number | 'through',
  more: Record<string, unknown> = {},
): Step => stepOf('extrude', { effect: 'add', turn: 0, on: 'bottom', x: 0, y: 0, outline, height, ...more });

/** A block about the axle line, standing on z = 0. */
export const block = (length: number, breadth: number, height: number): Step =>
  raised(outlineOf('rectangle', { length, breadth, cornerRadius: 0 }), height);
