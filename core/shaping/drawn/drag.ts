import { meet, MET_MM, partsOf, type FactoredSlopes } from '@core/measuring/adjustment';

import type { Place } from './input';
import { freeOf, MISSED_MM, missedBy } from './settle';
import { drawingAt, type SolvedDrawing } from './solveDrawn';
import type { System } from './system';

/** What is under a finger moves this much less readily than what follows it. */
const UNDER_FINGER = 1e-4;

/** A point of a drawing pulled along: only what relations connect with it is solved. */
export class Drag {
  private values: Float64Array;
  private readonly equations;
  private readonly mobility: Float64Array;
  /** Slopes change little from one place of the finger to the next. */
  private factored: FactoredSlopes | null = null;
  /** What contradicts itself is pulled along as it is, and not made worse. */
  private readonly allowedMm: number;
  /** Systems of equations that were solved so far. */
  solves = 0;

  constructor(
    private readonly system: System,
    from: Float64Array,
    private readonly point: string,
  ) {
    this.values = Float64Array.from(from);
    this.allowedMm = Math.max(MISSED_MM, 1.001 * missedBy(system, from).offMm);
    const all = freeOf(system);
    const { unknowns } = system;
    const at = unknowns.pointAt(point);
    const parts = partsOf(
      all.map((equation) => equation.predict(from)),
      unknowns.size,
    );
    this.equations = parts
      .filter((part) => at.some((unknown) => part.unknowns.includes(unknown)))
      .flatMap((part) => part.equations.map((index) => all[index]!));
    this.mobility = new Float64Array(unknowns.size).fill(1);
    for (const unknown of at) this.mobility[unknown] = UNDER_FINGER;
    for (const unknown of unknowns.held) this.mobility[unknown] = 0;
  }

  /** The drawing with the point as near to a place as relations and dimensions let it. Where they can't follow at all, nothing moves. */
  to([x, y]: Place): SolvedDrawing {
    const { unknowns } = this.system;
    const tried = Float64Array.from(this.values);
    for (const [index, unknown] of unknowns.pointAt(this.point).entries())
      if (!unknowns.held.has(unknown)) tried[unknown] = index === 0 ? x : y;
    const met = meet(this.equations, tried, {
      mobility: this.mobility,
      most: 25,
      metTo: MET_MM,
      factored: this.factored,
    });
    this.factored = met.factored;
    this.solves += met.solves;
    const { offMm } = missedBy(this.system, met.values);
    if (offMm <= this.allowedMm) this.values = met.values;
    return drawingAt(this.system, {
      values: this.values,
      offMm: missedBy(this.system, this.values).offMm,
      solves: met.solves,
    });
  }
}
