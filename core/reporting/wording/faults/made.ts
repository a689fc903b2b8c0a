import type { MadeFault, PieceName } from '@core/foundations/fault';

import { plainText } from '../plainNumbers';
import { mm } from '../amounts';
import { type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const MADE: Sentences<MadeFault> = {
  'testPiece.notThere': () =>
    'The spare has no face at this fit yet. Open Shape and wait until it is built, then cut the test piece.',
  'testPiece.wholePart': () =>
    'A test piece for this fit would be nearly the whole part. Make the part itself.',
  'make.notGrown': () =>
    'Files can’t allow for shrinkage that differs by direction. Give the machine the same shrinkage in all three directions, or none.',
  'slice.noLayerMachine': ({ machine }) =>
    `${machine} is not a layer printer. Choose one, or save STL or STEP for it.`,
  'slice.noLayerMaterial': ({ material }) =>
    `${material} is not sold as filament, as far as the Workshop knows. Choose another plastic, or add it in the Workshop.`,
  'slice.noResin': ({ material }) =>
    `${material} is not a resin, as far as the Workshop knows. Choose a resin, or another machine.`,
  'slice.layerHeight': ({ layerMm, leastMm, mostMm }) =>
    `This printer can’t print layers of ${mm(layerMm)}: its layer height is ${mm(leastMm)} to ${mm(mostMm)}. Choose other print settings, or another printer.`,
  'slice.machineTooCold': ({ neededC, mostC }) =>
    `This material needs ${neededC} °C; the nozzle of this printer goes up to ${mostC} °C. Choose another material or printer.`,
  'slice.doesNotFit': ({ sizeMm, roomMm }) =>
    `The part is ${boxText(sizeMm)} in this orientation; the build volume is ${boxText(roomMm)}: ${tooLarge(sizeMm, roomMm)}. Choose another orientation or a larger printer, or split the part.`,
  'slice.piecesDoNotFit': ({ pieces, most }) =>
    `${pieces} pieces do not fit on this bed: ${most} ${most === 1 ? 'does' : 'do'}. Print fewer at once, choose another orientation, or a larger printer.`,
  'slice.pieceOffBed': ({ which, overMm }) =>
    `${pieceText(which)}, with its brim or skirt, is ${mm(overMm)} off the bed. Move it in, or pack all pieces again.`,
  'slice.piecesTooNear': ({ one, other, gapMm }) =>
    `${pieceText(one)} and ${pieceText(other)} are too close for their brims: they need ${mm(gapMm)}. Move them apart, or pack all pieces again.`,
  'drain.notFlat': () =>
    'That face is not flat, and a drain hole needs a flat one. Tap a flat face, or drill it under Shape.',
  'drain.noRoom': () =>
    'There is no closed cavity behind that place. Tap the wall of the cavity named above, at its lowest or highest point.',
  'slice.tooLow': ({ heightMm, firstLayerMm }) =>
    `The part is ${mm(heightMm)} high in this orientation, less than its first layer (${mm(firstLayerMm)}). Choose another orientation.`,
  'slice.tooManyLayers': ({ layers, most }) =>
    `That would be ${layers} layers; the limit is ${most}. Choose thicker layers, or a flatter orientation.`,
  'slice.notClosed': ({ edges }) =>
    `The part’s triangles do not close at ${edges} edges, so the inside is not defined. Change the last step a little.`,
  'slice.nothingLaid': ({ lineMm }) =>
    `No wall of the part is thick enough for a line of ${mm(lineMm)}. Make it thicker, choose another orientation, or a finer nozzle.`,
  'slice.notLaid': () => 'Nothing is sliced yet. Slice the part first, then save its G-code.',
  'gcode.outside': ({ line, axis, mm: at, mostMm }) =>
    `Line ${line} of the job goes to ${axis} ${mm(at)}, and the printer reaches from 0 to ${mm(mostMm)}. Change the printer’s first or last commands, or move the part on the bed.`,
  'gcode.tooHot': ({ line, what, celsius, mostCelsius }) =>
    `Line ${line} of the job heats the ${what} to ${celsius} °C; ${mostCelsius} °C is its limit. Change the printer’s first or last commands, or the material.`,
};

const pieceText = ({ name, piece, of }: PieceName) => (of > 1 ? `${name}, piece ${piece}` : name);

const boxText = (box: readonly number[]) => `${box.map((side) => plainText(side)).join(' × ')} mm`;

/** "12.3 mm too long in x, 4 mm too high" */
function tooLarge(size: readonly number[], room: readonly number[]): string {
  const words = ['too wide', 'too deep', 'too high'];
  return size
    .flatMap((side, axis) => (side > room[axis]! ? [`${mm(side - room[axis]!)} ${words[axis]}`] : []))
    .join(', ');
}
