import { addErrors, type InstrumentError } from './instrumentErrors';
import { combine, foreknownOf, type Contribution, type Uncertainty } from './uncertainty';

/** A measured size that a result rests on, and how much the result changes with it. */
export interface Root {
  sizeId: string;
  perUnit: number;
  uncertainty: Uncertainty;
}

/**
 * Combined uncertainty by the law of propagation (GUM 5.1.2 and 5.2.2): each measured size counted once with its whole
 * sensitivity, so that one that enters twice is not taken for two. What an instrument has in several sizes is added up as
 * `addErrors` says. All else is uncorrelated: u² = Σ (cᵢ uᵢ)² over sizes, and what the instruments come to.
 */
export function propagate(roots: readonly Root[]): Uncertainty {
  const measuredWith = countInstruments(roots);
  const shared: InstrumentError[] = [];
  const own = roots.map(({ sizeId, perUnit, uncertainty }): Contribution => {
    const parts = uncertainty.contributions.filter((part) => {
      // What measured one size only is a share of that size.
      if (part.instrumentId === undefined || measuredWith.get(part.instrumentId) === 1) return true;
      shared.push(errorOf(part, part.instrumentId, perUnit));
      return false;
    });
    const { standard, degreesOfFreedom } = combine(parts);
    return {
      source: 'size',
      sizeId,
      standard: Math.abs(perUnit) * standard,
      degreesOfFreedom,
      foreknown: foreknownOf(parts),
    };
  });
  const instruments = addErrors(shared).map(({ instrumentId, standard, isOne }): Contribution => ({
    source: isOne ? 'instrument' : 'alongScale',
    instrumentId,
    standard,
    degreesOfFreedom: Infinity,
  }));
  return combine([...own, ...instruments]);
}

const errorOf = (
  { standard, jaw = 'outside', leastShared = 1 }: Contribution,
  instrumentId: string,
  perUnit = 1,
): InstrumentError => ({ instrumentId, jaw, leastShared, standard: perUnit * standard });

/** How many of the sizes each instrument measured. */
function countInstruments(roots: readonly Root[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { uncertainty } of roots) {
    for (const instrumentId of instrumentsIn(uncertainty)) {
      counts.set(instrumentId, (counts.get(instrumentId) ?? 0) + 1);
    }
  }
  return counts;
}

const instrumentsIn = ({ contributions }: Uncertainty) =>
  new Set(contributions.flatMap(({ instrumentId }) => instrumentId ?? []));

/** An uncertainty taken apart: its variance without the errors of instruments, and those. */
export interface Apart {
  variance: number;
  shared: readonly InstrumentError[];
}

/** Takes out of an uncertainty what it may share with other sizes that the same instruments measured. */
export function takeApart({ contributions }: Uncertainty): Apart {
  let variance = 0;
  const shared: InstrumentError[] = [];
  for (const part of contributions) {
    if (part.instrumentId === undefined) variance += part.standard * part.standard;
    else shared.push(errorOf(part, part.instrumentId));
  }
  return { variance, shared };
}

/** Share of a value by which it is moved to find a slope; the cube root of the machine's precision is best. */
const NUDGE = Math.cbrt(Number.EPSILON);

/** At the edge of what goes together a slope is taken to the side that gives something, over about what a caliper doubts. */
const EDGE_NUDGE = 1e-3;

/**
 * Slopes of a function by central differences (GUM 5.1.3, note 2). At the edge of where it gives anything (three holes
 * in one line) to one side, over a step as large as the doubt of a reading.
 */
export function numericSlopes(
  compute: (inputs: readonly number[]) => number,
  at: readonly number[],
): number[] {
  return at.map((value, index) => {
    const step = NUDGE * Math.max(Math.abs(value), 1e-3);
    const moved = (by: number) => compute(at.map((other, place) => (place === index ? other + by : other)));
    const central = (moved(step) - moved(-step)) / (2 * step);
    if (!Number.isNaN(central)) return central;
    const here = compute(at);
    const wide = EDGE_NUDGE * Math.max(Math.abs(value), 1);
    const oneSided = [wide, -wide]
      .map((by) => (moved(by) - here) / by)
      .filter((slope) => !Number.isNaN(slope));
    return oneSided[0] ?? 0;
  });
}
