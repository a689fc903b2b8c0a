import type { ActingCorrection } from '@core/fitting/fit';
import type { LayerSet } from '@core/record/model';
import type { Happening, JobFigures, MoveKind } from '@core/making/printing';
import type { LayerWarning } from '@core/making/slice';

import type { Lengths } from './lengths';

import { mm2, mmToHundredth as mm } from './amounts';

/** What is to be watched about a part laid in layers, in words: what it is, and what would mend it. */
export function layerWarningSentence(warning: LayerWarning): string {
  switch (warning.code) {
    case 'slice.tooThin':
      return `At ${mm(warning.at[2])} above the bed the part is only ${mm(warning.widthMm)} thick${warning.layers > 1 ? `, through ${warning.layers} layers` : ''}: too thin for one line, so nothing is printed there. Make the wall thicker, or choose a finer nozzle.`;
    case 'slice.inAir':
      return `At ${mm(warning.at[2])} above the bed a piece of ${mm2(warning.areaMm2)} starts in mid-air. Turn the part over, add a 45° slope, or use supports.`;
    case 'slice.overhang':
      return `At ${mm(warning.at[2])} above the bed ${mm2(warning.areaMm2)} overhang. Turn the part over, add a 45° slope, or use supports.`;
    case 'slice.longBridge':
      return `At ${mm(warning.at[2])} above the bed a bridge spans ${mm(warning.spanMm)}; this printer manages about ${mm(warning.limitMm)}. Use supports, or turn the part over.`;
    case 'slice.heightRounded':
      return `Rounded to whole layers the part is ${mm(warning.madeMm)} high, not ${mm(warning.askedMm)}. Choose a layer height that divides ${mm(warning.askedMm)} evenly, or another orientation.`;
  }
}

/** "layer height 0.2 mm, 3 walls of 0.45 mm, 5 top and 4 bottom layers, 20 % infill": print settings in words; a line is as wide as the printer makes it. */
export const settingsWords = (
  {
    layerMm,
    walls,
    topLayers,
    bottomLayers,
    fillShare,
  }: Pick<LayerSet, 'layerMm' | 'walls' | 'topLayers' | 'bottomLayers' | 'fillShare'>,
  lineMm?: number,
): string =>
  `layer height ${layerMm} mm, ${walls} ${walls === 1 ? 'wall' : 'walls'}${lineMm === undefined ? '' : ` of ${lineMm} mm`}, ${topLayers} top and ${bottomLayers} bottom layers, ${Math.round(100 * fillShare)} % infill`;

/** Settings by their name, for another program's files. */
export const layerSetSentence = (set: LayerSet): string =>
  `${set.name}: ${settingsWords(set)} (${set.fill}).`;

/** What a line is for, as it is said of several. */
export const MOVE_WORDS: Record<MoveKind, string> = {
  outerWall: 'outer walls',
  innerWall: 'inner walls',
  thinWall: 'thin walls',
  gap: 'gap fill',
  skin: 'top and bottom layers',
  bridge: 'bridges',
  fill: 'infill',
  support: 'supports',
  supportFace: 'support interfaces',
  foot: 'skirt and brim',
  travel: 'travel moves',
};

/** What happens at a layer. */
export const HAPPENING_WORDS: Record<Happening['what'], string> = {
  bridge: 'A bridge starts.',
  supportBegins: 'Supports start.',
  supportEnds: 'Supports end: the part above them starts.',
  closes: 'The infill ends: solid layers start.',
  'slice.tooThin': 'A wall is too thin to print.',
  'slice.inAir': 'A piece starts in mid-air.',
  'slice.overhang': 'An overhang starts.',
  'slice.longBridge': 'A long bridge starts.',
  'slice.heightRounded': 'The height is rounded.',
  'resin.tooThin': 'A wall is too thin to hold when the plate rises.',
  'resin.closed': 'A closed cavity that holds resin starts.',
  'resin.cup': 'A suction cup starts.',
};

/** What would shorten the longest part of a job. */
const SHORTER: Record<MoveKind, string> = {
  outerWall: 'thicker layers or a faster printer would shorten this',
  innerWall: 'fewer walls would shorten this',
  thinWall: 'thicker walls would print faster',
  gap: 'another line width would shorten this',
  skin: 'fewer top and bottom layers, or another orientation, would shorten this',
  bridge: 'another orientation would shorten this',
  fill: 'less infill would shorten this',
  support: 'another orientation would need fewer',
  supportFace: 'another orientation would need fewer',
  foot: 'a narrower brim would shorten this',
  travel: 'fewer small pieces in a layer would shorten this',
};

/** "1 h 25 min" */
export function minutesText(minutes: number): string {
  const whole = Math.max(1, Math.round(minutes));
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
}

/**
 * What a job takes, as a sentence, with the longest part of it named, and what each part takes of it.
 * @param names of the parts on the bed, in order.
 * @param pieces how many of each.
 */
export function jobSentence(
  figures: JobFigures,
  names: readonly string[],
  pieces: readonly number[],
): string {
  const { minutes, metres, grams, cost, layers, kinds, slowed } = figures;
  const longest = kinds.reduce((most, one) => (one.seconds > most.seconds ? one : most));
  return `${minutesText(minutes)} for ${layers} ${layers === 1 ? 'layer' : 'layers'}; ${metres.toFixed(2)} m, ${grams.toFixed(1)} g, costs about ${cost.whole.toFixed(2)}. Longest: ${MOVE_WORDS[longest.kind]}, ${minutesText(longest.seconds / 60)}; ${SHORTER[longest.kind]}.${slowedWords(slowed)}${ofParts(figures, names, pieces)}`;
}

/** Slowed by less than this it is no matter, minutes. */
const SLOWED_FROM = 0.5;

const slowedWords = ({ minutes, linesPerSecond }: JobFigures['slowed']): string =>
  minutes < SLOWED_FROM
    ? ''
    : ` ${minutesText(minutes)} of that because the printer takes in ${linesPerSecond} lines a second at most (Workshop, under the printer).`;

/** What each piece of one part, or each of several parts, takes of it. */
function ofParts(
  { minutes, grams, parts }: Pick<JobFigures, 'minutes' | 'grams' | 'parts'>,
  names: readonly string[],
  pieces: readonly number[],
): string {
  const [only] = pieces;
  if (pieces.length === 1) {
    return only! > 1
      ? ` For each of ${only} pieces ${minutesText(minutes / only!)} and ${(grams / only!).toFixed(1)} g.`
      : '';
  }
  const told = parts.map(
    (part, index) =>
      `${names[index]!}${pieces[index]! > 1 ? `, ${pieces[index]} pieces` : ''}: ${minutesText(part.minutes)} and ${part.grams.toFixed(1)} g`,
  );
  return ` ${told.join('; ')}.`;
}

/** What a test piece spares: "The whole Wheel takes 26 min and 5.3 g; this piece 9 min and 1.2 g." */
export const besideWholeSentence = (
  name: string,
  whole: Pick<JobFigures, 'minutes' | 'grams'>,
  piece: Pick<JobFigures, 'minutes' | 'grams'>,
): string =>
  `The whole ${name} takes ${minutesText(whole.minutes)} and ${whole.grams.toFixed(1)} g; this piece ${minutesText(piece.minutes)} and ${piece.grams.toFixed(1)} g.`;

/** A correction of the machine, and the one place where it acts. */
export function actingSentence(correction: ActingCorrection, show: Lengths): string {
  switch (correction.acts) {
    case 'workingSize':
      return `${correction.fitName}: ${show.signed(correction.mm)} ${show.word} in its working size (${correction.learnedFrom}).`;
    case 'firstLayer':
      return `First layer: ${show.length(correction.mm)} smaller on each side, against elephant foot.`;
    case 'file':
      return `Along ${correction.axis}: ${(100 * correction.share).toFixed(2)} % for shrinkage, in the print and in the files.`;
  }
}
