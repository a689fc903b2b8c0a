import {
  drawMachines,
  KNOWINGS,
  largestGapPoints,
  PRACTICE_MACHINES,
  rehearse,
  reliabilityOf,
  sharesOf,
  type Knowing,
} from '@core/rehearsal';

import { figure, type Figure } from './figure';

const REPAIRS_EACH = 200;
export const SEED = 11;
/** Machines for the reliability of what is stated: many, since all makes of one share its habits. */
export const [DRAWN, REPAIRS_OF_DRAWN] = [1500, 6];
const ENOUGH_MAKES = 400;

export const KNOWING_WORDS: Record<Knowing, string> = {
  untried: 'untried machine',
  afterGaugeRow: 'after a gauge row',
  after3: 'after 3 trials',
  after10: 'after 10 trials',
};
/** Points that may lie between the app and one who knows each machine; what an untried one costs is shown, not bounded. */
const POINTS_BEHIND: Record<Knowing, number> = { untried: 100, afterGaugeRow: 8, after3: 5, after10: 2 };

/** First makes that fit, in shares of a hundred, beside those of one who knows each machine's habits; nothing here is a time. */
export function learningFigures(): Figure[] {
  const shares = sharesOf(rehearse(PRACTICE_MACHINES, REPAIRS_EACH, SEED));
  const makes = rehearse(drawMachines(DRAWN, SEED), REPAIRS_OF_DRAWN, SEED);
  const gaps = KNOWINGS.map((knowing) =>
    largestGapPoints(reliabilityOf(makes.filter((make) => make.knowing === knowing)), ENOUGH_MAKES),
  );
  return [
    ...KNOWINGS.map((knowing) => {
      const { fits, oracle } = shares[knowing];
      return figure(`first makes that fit, ${KNOWING_WORDS[knowing]}`, '%', 100 * fits, 100 * oracle, {
        atLeast: Math.round((1 - POINTS_BEHIND[knowing] / (100 * oracle)) * 1000) / 1000,
      });
    }),
    figure('stated chance against what happened, largest gap in points', 'points', Math.max(...gaps), 5, {
      atMost: 1,
    }),
  ];
}
