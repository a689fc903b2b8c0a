import type { Doubt, FitChance } from '@core/fitting/fit';
import type { Fit } from '@core/record/model';
import { capital } from '@core/shaping/sentence';
import { chanceWords, featureWords } from '@core/reporting/wording';

/** What is hoped for: "turns freely". */
export function wishWords(fit: Fit): string {
  const phrase = fit.iso ? `lies within ${fit.iso.hole}/${fit.iso.shaft}` : WISHES[fit.fitClass];
  return fit.feature === 'spacing' ? 'goes over both pegs' : phrase;
}

const WISHES: Record<Fit['fitClass'], string> = {
  loose: 'is loose',
  turns: 'turns freely',
  slides: 'slides without play',
  snug: 'goes on snugly by hand',
  pressed: 'has to be pressed on',
};

const DOUBTS: Record<Doubt, string> = {
  measuring: 'the size of the mating part',
  making: 'how much the machine varies',
  correction: 'what the machine does to this kind of feature',
  mates: 'that the mating parts differ in size',
};

/** The largest doubt, and what would raise the chance most. @param tag letter of the counterpart size. */
export function doubtSentence(chance: FitChance, fit: Fit, tag: string): string {
  const largest = `The largest doubt is ${DOUBTS[chance.doubts[0]!.doubt]}.`;
  const { best } = chance;
  if (!best) return largest;
  const then = chanceWords(best.probability);
  switch (best.by) {
    case 'readings':
      return `${largest} Two more readings of ${tag} make it ${then}.`;
    case 'instrument':
      return `${largest} A micrometer on ${tag} makes it ${then}.`;
    case 'testPiece':
      return `${largest} A test piece, made and measured first, makes it ${then}.`;
  }
}

/** Said where what a machine made kept falling outside what was stated. */
export const widenedSentence = (
  { widened }: Pick<FitChance, 'widened'>,
  machineName: string,
): string | null =>
  widened < 1.05
    ? null
    : `${machineName} has made sizes outside what was stated too often. Its doubt is taken ${widened.toFixed(1)} times as wide until more prints are measured.`;

/** A chance that is poor even for one who knows the machine, below which that is said. */
const POOR = 0.8;

/** That the machine scatters too much for what is wished, and what would give; null where it does not. */
export function atBestSentence({ atBest, tooFarApartMm }: FitChance, machineName: string): string | null {
  // Then it is not the machine.
  if (atBest >= POOR || tooFarApartMm !== null) return null;
  return `Even with perfect measurements the chance would be ${chanceWords(atBest)}: ${machineName} varies too much for so close a fit. Choose a looser one, make it springy (a slit, a tongue), or make it tight and ream or sand it.`;
}

/** Why no single number serves all that it must fit, and what would. */
export const tooFarApartSentence = (apart: string, room: string): string =>
  `No single size fits them all: they differ by ${apart}, and the target band is ${room} wide. Make it springy (a slit, a tongue, a soft plastic), or make one for each.`;

/** "Bore, working size", after the feature. */
export function workingSizeName(fit: Fit): string {
  const { noun } = featureWords(fit.feature);
  return `${capital(noun)}, working size`;
}
