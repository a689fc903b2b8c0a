import {
  KNOWINGS,
  largestGapPoints,
  rehearse,
  reliabilityOf,
  sharesOf,
  type FirstMake,
  type RealMachine,
} from '@core/rehearsal';

/**
 * Rehearses first makes on printers whose habits only the rehearsal knows; one JSON line for each printer, the last for all of them.
 *
 * @param tell is told which printer is being rehearsed.
 */
export function learn(
  machines: readonly RealMachine[],
  repairs: number,
  seed: number,
  print: (line: string) => void,
  tell: (machine: string) => void,
): void {
  const all: FirstMake[] = [];
  for (const [index, machine] of machines.entries()) {
    tell(machine.name);
    // Loops, since a million makes are more than a call takes as arguments.
    const makes = rehearse([machine], repairs, seed + 7919 * index);
    for (const make of makes) all.push(make);
    print(JSON.stringify({ machine: machine.name, repairs, ...figuresOf(makes) }));
  }
  const untried = all.filter(({ knowing }) => knowing === 'untried');
  print(
    JSON.stringify({
      machine: 'all',
      repairs: repairs * machines.length,
      ...figuresOf(all),
      reliability: reliabilityOf(all).map(roundedTenth),
      reliabilityUntried: reliabilityOf(untried).map(roundedTenth),
      largestGapPoints: rounded(largestGapPoints(reliabilityOf(all), FEW_MAKES)),
    }),
  );
}

/** Tenths with fewer makes say nothing about a gap of five points. */
const FEW_MAKES = 200;

/** By what is known: share that fits, the share of one who knows the machine, and the points between. */
function figuresOf(makes: readonly FirstMake[]) {
  const shares = sharesOf(makes);
  return Object.fromEntries(
    KNOWINGS.map((knowing) => {
      const { fits, oracle, oracleExpects, easy } = shares[knowing];
      return [
        knowing,
        {
          fits: rounded(fits),
          oracle: rounded(oracle),
          oracleExpects: rounded(oracleExpects),
          pointsBehind: rounded(100 * (oracle - fits)),
          whereOracleReaches97: { makes: easy.makes, fits: rounded(easy.fits) },
        },
      ];
    }),
  );
}

const rounded = (value: number) => Math.round(value * 1000) / 1000;
const roundedTenth = (tenth: ReturnType<typeof reliabilityOf>[number]) => ({
  ...tenth,
  stated: rounded(tenth.stated),
  happened: rounded(tenth.happened),
});
