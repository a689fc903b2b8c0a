import type { ResinSet } from '@core/record/model';
import type { ResinFigures, ResinWarning } from '@core/making/resin';

import { minutesText } from './layers';

import { mm2, mmToHundredth as mm } from './amounts';

const ml = (mm3: number) => `${(mm3 / 1000).toFixed(mm3 < 1000 ? 2 : 1)} ml`;

/** What is to be watched about a part laid in resin, in words: what it is, and what would mend it. */
export function resinWarningSentence(warning: ResinWarning): string {
  const height = `At ${mm(warning.at[2])} above the plate`;
  switch (warning.code) {
    case 'slice.inAir':
      return `${height} a piece of ${mm2(warning.areaMm2)} starts in mid-air: it would come off and stay in the vat. Turn the part over, add a 45° slope, or use supports.`;
    case 'slice.overhang':
      return `${height} ${mm2(warning.areaMm2)} overhang and may curl. Turn the part over, add a 45° slope, or use supports.`;
    case 'resin.tooThin':
      return `${height} ${mm2(warning.areaMm2)} are thinner than this printer’s smallest wall and may tear when the plate rises. Make it thicker there.`;
    case 'resin.closed':
      return `${height} a closed cavity traps ${ml(warning.mm3)} of resin that can’t be washed out and never cures. Drill a 3 mm hole into its lowest and its highest point.`;
    case 'resin.cup':
      return `${height} a suction cup of ${mm2(warning.areaMm2)} pulls at the film as the plate rises. Tilt the part, turn it over, or drill a 3 mm hole through its side near here.`;
  }
}

/** "layers of 0.05 mm, supports 1 mm thick every 3 mm with tips of 0.4 mm" */
export const resinSetWords = ({
  layerMm,
  pillarMm,
  tipMm,
  apartMm,
}: Pick<ResinSet, 'layerMm' | 'pillarMm' | 'tipMm' | 'apartMm'>): string =>
  `layer height ${layerMm} mm, supports ${pillarMm} mm thick every ${apartMm} mm, with tips of ${tipMm} mm`;

/** Settings by their name, for another program's files. */
export const resinSetSentence = (set: ResinSet): string => `${set.name}: ${resinSetWords(set)}.`;

/**
 * What a job in resin takes, as a sentence, with the longer half of it named.
 * @param names of the parts on the bed, in order.
 * @param pieces how many of each.
 */
export function resinSentence(
  { minutes, lightMinutes, liftMinutes, layers, grams, cost, parts }: ResinFigures,
  names: readonly string[],
  pieces: readonly number[],
): string {
  const longest =
    lightMinutes > liftMinutes
      ? `exposure, ${minutesText(lightMinutes)}; thicker layers would shorten this`
      : `plate lifts, ${minutesText(liftMinutes)}; thicker layers, or a flatter orientation, would shorten this`;
  return `${minutesText(minutes)} for ${layers} ${layers === 1 ? 'layer' : 'layers'}; ${grams.toFixed(1)} g with supports, costs about ${cost.whole.toFixed(2)}. Longest: ${longest}.${gramsOfEach(parts, names, pieces)}`;
}

/** Pieces share the minutes; what each takes is its resin. */
function gramsOfEach(
  parts: ResinFigures['parts'],
  names: readonly string[],
  pieces: readonly number[],
): string {
  if (parts.length === 1 && pieces[0] === 1) return '';
  const told = parts.map(({ grams }, index) => {
    const count = pieces[index]!;
    return `${names[index]!}${count > 1 ? `, each of ${count}` : ''}: ${(grams / count).toFixed(1)} g`;
  });
  return ` ${told.join('; ')}.`;
}
