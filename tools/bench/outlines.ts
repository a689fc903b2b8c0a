import { CholeskyDecomposition, Matrix } from 'ml-matrix';

import { Drag, settle, solveDrawn, systemOf, type DrawnInput } from '@core/shaping/drawn';
import { drawnDraft, line, type DimensionDraft, type RelationDraft } from '@core/testing/drawn';

import { figure, timePair, type Figure } from './figure';

const CURVES = 100;

/** A run of steps: half of its lines lean, all hang together, some are alike, and some have the length that they come to. */
function steps(): DrawnInput {
  const id = (index: number) => `P${index}`;
  const places = Object.fromEntries(
    Array.from({ length: CURVES + 1 }, (_, index) => [
      id(index),
      [6 * index + (index % 3), 4 * (index % 4) + index] as const,
    ]),
  );
  const curves = Array.from({ length: CURVES }, (_, index) => line(id(index), id(index + 1)));
  const name = (index: number) => curves[index]!.id!;
  const relations: RelationDraft[] = [{ kind: 'fixed', point: id(0) }];
  const lengths: DimensionDraft[] = [];
  const length = (index: number) =>
    lengths.push({ kind: 'distance', points: [id(index), id(index + 1)], mm: 1 });
  for (let index = 0; index < CURVES; index += 1) {
    if (index % 4 === 1) relations.push({ kind: 'level', points: [id(index), id(index + 1)] });
    if (index % 4 === 3) relations.push({ kind: 'parallel', curves: [name(index - 3), name(index)] });
    if (index % 4 === 0 && index > 0)
      relations.push(
        { kind: 'equal', curves: [name(index - 4), name(index)] },
        { kind: 'parallel', curves: [name(index - 4), name(index)] },
      );
    if (index % 4 === 2) relations.push({ kind: 'square', curves: [name(index - 2), name(index)] });
    if (index % 2 === 1) length(index);
  }
  const { points } = solveDrawn(drawnDraft(places, curves, relations));
  const drawn = Object.fromEntries(points);
  const measured = lengths.map((one) => {
    const [a, b] = (one as { points: [string, string] }).points.map((point) => drawn[point]!);
    return { ...one, mm: Math.hypot(b![0] - a![0], b![1] - a![1]) };
  });
  return drawnDraft(drawn, curves, relations, measured);
}

/** A drawing under a finger, against one factorisation of its own equations by one dense routine. */
export function outlineFigures(): Figure[] {
  const input = steps();
  const system = systemOf(input);
  const settled = settle(system);
  const rows = system.equations.map(({ predict }) => predict(settled.values));
  const normal = Matrix.zeros(rows.length, rows.length);
  for (const [index, one] of rows.entries())
    for (const [other, another] of rows.entries()) {
      let sum = index === other ? 1e-9 : 0;
      for (const [i, unknown] of one.at.entries())
        for (const [j, same] of another.at.entries())
          if (unknown === same) sum += one.slopes[i]! * another.slopes[j]!;
      normal.set(Math.max(index, other), Math.min(index, other), sum);
      normal.set(Math.min(index, other), Math.max(index, other), sum);
    }
  const drag = new Drag(system, settled.values, 'P50');
  const [x, y] = system.unknowns.pointAt('P50').map((unknown) => settled.values[unknown]!) as [
    number,
    number,
  ];
  let turn = 0;
  const [pulling, factoring] = timePair(
    60,
    10,
    () => {
      turn += 1;
      drag.to([x + 2 * Math.sin(turn / 9), y + 1.5 * Math.cos(turn / 7)]);
    },
    () => void new CholeskyDecomposition(normal).lowerTriangularMatrix,
  );
  const count = `${CURVES} curves, ${input.relations.length + input.dimensions.length} relations and sizes, ${rows.length} equations`;
  return [
    figure(`a drawing under a finger (${count}), against one dense factorisation`, 'ms', pulling, factoring, {
      atMost: 3,
    }),
    figure('the same: times in a frame of a screen', 'ms', 1000 / 60, pulling, { atLeast: 1 }),
  ];
}
