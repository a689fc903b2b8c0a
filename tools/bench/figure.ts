/** One line of the benchmark: a value against a baseline measured in the same run. */
export interface Figure {
  name: string;
  value: number;
  baseline: number;
  unit: string;
  /** value / baseline. */
  ratio: number;
  /** `<= 1.15` or `>= 0.5`. */
  goal: string;
  met: boolean;
}

export function figure(
  name: string,
  unit: string,
  value: number,
  baseline: number,
  goal: { atMost: number } | { atLeast: number },
): Figure {
  const ratio = value / baseline;
  const [text, met] =
    'atMost' in goal
      ? [`<= ${goal.atMost}`, ratio <= goal.atMost]
      : [`>= ${goal.atLeast}`, ratio >= goal.atLeast];
  return { name, value, baseline, unit, ratio, goal: text, met };
}

/** Middle value; the usual summary of noisy times. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** Runs both in turn, so that a machine that grows slower slows both; gives the median time of each, ms. */
export function timePair(
  rounds: number,
  warmUp: number,
  first: () => void,
  second: () => void,
): [number, number] {
  const times: [number[], number[]] = [[], []];
  for (let round = 0; round < rounds + warmUp; round += 1) {
    for (const [index, work] of [first, second].entries()) {
      const start = performance.now();
      work();
      if (round >= warmUp) times[index]!.push(performance.now() - start);
    }
  }
  return [median(times[0]), median(times[1])];
}
