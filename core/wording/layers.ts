import type { ActingCorrection } from '@core/fit';
import type { LayerSet } from '@core/model';
import { showNumber } from '@core/quantity';
import type { Happening, JobFigures, MoveKind } from '@core/printing';
import type { LayerWarning } from '@core/slice';

import type { Lengths } from './lengths';

const mm = (value: number) => `${showNumber(Math.round(value * 100) / 100)} mm`;
const mm2 = (value: number) => `${value < 10 ? value.toFixed(1) : value.toFixed(0)} mm²`;

/** What is to be watched about a part laid in layers, in words: what it is, and what would mend it. */
export function layerWarningSentence(warning: LayerWarning): string {
  switch (warning.code) {
    case 'slice.tooThin':
      return `At ${mm(warning.at[2])} above the bed the part is only ${mm(warning.widthMm)} thick${warning.layers > 1 ? `, through ${warning.layers} layers` : ''}: too thin for a line, so nothing is laid there. Make it thicker, or choose a finer line.`;
    case 'slice.inAir':
      return `At ${mm(warning.at[2])} above the bed a piece of ${mm2(warning.areaMm2)} begins in the air. Turn the part over, put a slope under it, or lay supports.`;
    case 'slice.overhang':
      return `At ${mm(warning.at[2])} above the bed ${mm2(warning.areaMm2)} reach out over air. Lay it another way, put a slope under it, or lay supports.`;
    case 'slice.longBridge':
      return `At ${mm(warning.at[2])} above the bed lines span ${mm(warning.spanMm)} through air; this printer manages about ${mm(warning.limitMm)}. They may sag: lay supports, or turn the part.`;
    case 'slice.heightRounded':
      return `In whole layers its height comes out at ${mm(warning.madeMm)}, not ${mm(warning.askedMm)}. Where that matters, choose a layer that goes into it, or lay it on another face.`;
  }
}

/** "3 walls of 0.45 mm, 5 solid layers on top and 4 below, filled by 20 %": how a part is laid; lines are as broad as the printer has them. */
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
  `layers of ${layerMm} mm, ${walls} ${walls === 1 ? 'wall' : 'walls'}${lineMm === undefined ? '' : ` of ${lineMm} mm`}, ${topLayers} solid layers on top and ${bottomLayers} below, filled by ${Math.round(100 * fillShare)} %`;

/** Settings by their name, for another program's files. */
export const layerSetSentence = (set: LayerSet): string =>
  `${set.name}: ${settingsWords(set)} (${set.fill}).`;

/** What a line is for, as it is said of several. */
export const MOVE_WORDS: Record<MoveKind, string> = {
  outerWall: 'outer walls',
  innerWall: 'inner walls',
  thinWall: 'thin walls',
  gap: 'gaps filled',
  skin: 'solid layers',
  bridge: 'bridges',
  fill: 'filling',
  support: 'supports',
  supportFace: 'tops of supports',
  foot: 'foot',
  travel: 'ways between',
};

/** What happens at a layer. */
export const HAPPENING_WORDS: Record<Happening['what'], string> = {
  bridge: 'A bridge begins: lines go through air from side to side.',
  supportBegins: 'Supports begin.',
  supportEnds: 'Supports end: what lies on them begins.',
  closes: 'The filling ends: it is solid from here.',
  'slice.tooThin': 'Something is too thin to be laid.',
  'slice.inAir': 'A piece begins in the air.',
  'slice.overhang': 'Something reaches out over air.',
  'slice.longBridge': 'A long bridge begins.',
  'slice.heightRounded': 'The height is rounded.',
  'resin.tooThin': 'Something is too thin to hold when the plate rises.',
  'resin.closed': 'A room that holds resin begins.',
  'resin.cup': 'A cup that sucks at the film begins.',
};

/** What would shorten the longest part of a job. */
const SHORTER: Record<MoveKind, string> = {
  outerWall: 'higher layers or a quicker printer would shorten them',
  innerWall: 'fewer walls would shorten them',
  thinWall: 'a thicker part would be quicker',
  gap: 'another line breadth would shorten them',
  skin: 'fewer solid layers, or another way up, would shorten them',
  bridge: 'another way up would shorten them',
  fill: 'less filling would shorten it',
  support: 'another way up would spare them',
  supportFace: 'another way up would spare them',
  foot: 'a narrower foot would shorten it',
  travel: 'fewer small pieces in a layer would shorten them',
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
      return `First layer: ${show.length(correction.mm)} less on each side, since it spreads on the bed.`;
    case 'file':
      return `Along ${correction.axis}: ${(100 * correction.share).toFixed(2)} % for shrinkage, in what is laid and in the files.`;
  }
}
