import {
  KNOWINGS,
  largestGapPoints,
  machinesOfWorld,
  PRACTICE_MACHINES,
  rehearse,
  reliabilityOf,
  sharesOf,
  WORLD_NAMES,
  type FirstMake,
  type Knowing,
} from '@core/fitting/rehearsal';

import { figure, type Figure } from './figure';

const REPAIRS_EACH = 200;
export const SEED = 11;
/** Machines of each world, and repairs on each: many machines, since all makes of one share its habits. */
const [DRAWN, REPAIRS_OF_DRAWN] = [40, 20];
const ENOUGH_MAKES = 200;

/** First makes on printers of all worlds; none of them was drawn as the learner believes. */
export const makesOfWorlds = (): FirstMake[] =>
  WORLD_NAMES.flatMap((world, index) =>
    rehearse(machinesOfWorld(world, DRAWN, SEED + 31 * index), REPAIRS_OF_DRAWN, SEED),
  );

export const KNOWING_WORDS: Record<Knowing, string> = {
  untried: 'untried machine',
  afterGaugeRow: 'after a gauge row',
  after3: 'after 3 trials',
  after10: 'after 10 trials',
};
/** Points that may lie between the app and one who knows each machine; what an untried one costs is shown, not bounded. */
const POINTS_BEHIND: Record<Knowing, number> = { untried: 100, afterGaugeRow: 8, after3: 10, after10: 3 };
/** Points between what is stated and what happens. */
const GAPS: Record<Knowing, number> = { untried: 8, afterGaugeRow: 5, after3: 5, after10: 5 };

/** First makes that fit, in shares of a hundred, beside those of one who knows each machine's habits; nothing here is a time. */
export function learningFigures(): Figure[] {
  const own = rehearse(PRACTICE_MACHINES, REPAIRS_EACH, SEED);
  const worlds = makesOfWorlds();
  return [
    ...sharesFigures('six printers', own),
    ...sharesFigures('all worlds', worlds),
    ...KNOWINGS.map((knowing) =>
      figure(
        `stated chance against what happened, ${KNOWING_WORDS[knowing]}, largest gap`,
        'points',
        largestGapPoints(reliabilityOf(worlds.filter((make) => make.knowing === knowing)), ENOUGH_MAKES),
        GAPS[knowing],
        { atMost: 1 },
      ),
    ),
  ];
}

function sharesFigures(where: string, makes: readonly FirstMake[]): Figure[] {
  const shares = sharesOf(makes);
  return KNOWINGS.map((knowing) => {
    const { fits, oracle } = shares[knowing];
    return figure(
      `${where}: first makes that fit, ${KNOWING_WORDS[knowing]}`,
      '%',
      100 * fits,
      100 * oracle,
      {
        atLeast: Math.round((1 - POINTS_BEHIND[knowing] / (100 * oracle)) * 1000) / 1000,
      },
    );
  });
}
