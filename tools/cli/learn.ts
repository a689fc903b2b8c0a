import {
  KNOWINGS,
  largestGapPoints,
  machinesOfWorld,
  rehearse,
  reliabilityOf,
  sharesOf,
  type FirstMake,
  type Knowing,
  type RealMachine,
  type World,
} from '@core/fitting/rehearsal';

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
  print(
    JSON.stringify({
      machine: 'all',
      repairs: repairs * machines.length,
      ...figuresOf(all),
      ...reliabilities(all),
    }),
  );
}

/** As learn, on printers drawn from worlds that the learner was not built for; one JSON line for each world, the last for all of them. */
export function learnWorlds(
  worlds: readonly World[],
  { machines, repairs, seed }: { machines: number; repairs: number; seed: number },
  print: (line: string) => void,
  tell: (world: string) => void,
): void {
  const all: FirstMake[] = [];
  for (const [index, world] of worlds.entries()) {
    tell(world);
    const makes = rehearse(machinesOfWorld(world, machines, seed + 31 * index), repairs, seed);
    for (const make of makes) all.push(make);
    print(
      JSON.stringify({ world, repairs: repairs * machines, ...figuresOf(makes), ...reliabilities(makes) }),
    );
  }
  if (worlds.length > 1) {
    print(
      JSON.stringify({
        world: 'all',
        repairs: repairs * machines * worlds.length,
        ...figuresOf(all),
        ...reliabilities(all),
      }),
    );
  }
}

/** What was stated against what happened, at each stage of knowing and over all. */
function reliabilities(all: readonly FirstMake[]) {
  const at = (knowing: Knowing) => reliabilityOf(all.filter((make) => make.knowing === knowing));
  return {
    reliability: Object.fromEntries(KNOWINGS.map((knowing) => [knowing, at(knowing).map(roundedTenth)])),
    largestGapPoints: Object.fromEntries(
      KNOWINGS.map((knowing) => [knowing, rounded(largestGapPoints(at(knowing), FEW_MAKES))]),
    ),
  };
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
