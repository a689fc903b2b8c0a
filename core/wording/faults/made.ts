import type { MadeFault, PieceName } from '@core/fault';

import { plainText } from '../plainNumbers';
import { mm, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const MADE: Sentences<MadeFault> = {
  'testPiece.notThere': () =>
    'The spare has no face at this fit yet. Look at it under Shape until it is built whole, then cut the test piece.',
  'testPiece.wholePart': () =>
    'This fit goes round nearly the whole part: a piece would save nothing. Make the part itself.',
  'make.notGrown': () =>
    'The spare cannot be made larger for a shrinkage that differs along its three ways. Give the machine the same shrinkage along all three ways, or none.',
  'slice.noLayerMachine': ({ machine }) =>
    `${machine} lays no layers, or the Workshop does not say how. Choose a layer printer, say there what this one can do, or save a file for it.`,
  'slice.noLayerMaterial': ({ material }) =>
    `${material} does not come as filament, as far as the Workshop knows. Choose a plastic that does, add it there, or save a file for whoever makes it.`,
  'slice.noResin': ({ material }) =>
    `${material} is no resin, as far as the Workshop knows, and this printer makes with nothing else. Choose a resin, or another machine.`,
  'slice.layerHeight': ({ layerMm, leastMm, mostMm }) =>
    `Layers of ${mm(layerMm)} can’t be laid by this printer as it is: it lays from ${mm(leastMm)} to ${mm(mostMm)}. Choose other settings, or another printer.`,
  'slice.machineTooCold': ({ neededC, mostC }) =>
    `This material wants ${neededC} °C, and this printer’s nozzle may have ${mostC} °C at most. Choose another of the two.`,
  'slice.doesNotFit': ({ sizeMm, roomMm }) =>
    `As it lies the part takes ${boxText(sizeMm)}, and the printer has ${boxText(roomMm)}: ${tooLarge(sizeMm, roomMm)}. Lay it another way, choose a larger printer, or split it.`,
  'slice.piecesDoNotFit': ({ pieces, most }) =>
    `${pieces} pieces do not go on this bed at once: ${most} ${most === 1 ? 'does' : 'do'}. Make fewer at once, lay them another way, or choose a larger printer.`,
  'slice.pieceOffBed': ({ which, overMm }) =>
    `${pieceText(which)}, with what is laid round it, lies ${mm(overMm)} beyond what the printer reaches. Move it in, or have all packed again.`,
  'slice.piecesTooNear': ({ one, other, gapMm }) =>
    `${pieceText(one)} and ${pieceText(other)} come nearer to each other than ${mm(gapMm)}, which what is laid round them needs. Move them apart, or have all packed again.`,
  'drain.notFlat': () =>
    'That face is not flat, and a drain hole is drilled square to a flat one. Tap a flat face, or drill it under Shape.',
  'drain.noRoom': () =>
    'Behind that place there is no room that holds resin. Tap the wall of the room that is told of, at its lowest or highest place.',
  'slice.tooLow': ({ heightMm, firstLayerMm }) =>
    `As it lies the part is ${mm(heightMm)} high, less than its first layer (${mm(firstLayerMm)}). Lay it another way.`,
  'slice.tooManyLayers': ({ layers, most }) =>
    `That would be ${layers} layers; up to ${most} are laid. Choose higher layers, or lay it flatter.`,
  'slice.notClosed': ({ edges }) =>
    `The part’s triangles do not close at ${edges} edges, so nobody can tell what is inside. Change the last step a little.`,
  'slice.nothingLaid': ({ lineMm }) =>
    `As it lies no place of the part is thick enough for a line of ${mm(lineMm)}. Lay it another way, make it thicker, or choose a printer with a finer nozzle.`,
  'slice.notLaid': () => 'Nothing is laid in layers yet. Lay the part first, then save its job.',
  'gcode.outside': ({ line, axis, mm: at, mostMm }) =>
    `Line ${line} of the job goes to ${axis} ${mm(at)}, and the printer reaches from 0 to ${mm(mostMm)}. Change the printer’s first or last commands, or lay the part elsewhere.`,
  'gcode.tooHot': ({ line, what, celsius, mostCelsius }) =>
    `Line ${line} of the job heats the ${what} to ${celsius} °C; ${mostCelsius} °C is the most it may have. Change the printer’s first or last commands, or the material.`,
};

const pieceText = ({ name, piece, of }: PieceName) => (of > 1 ? `${name}, piece ${piece}` : name);

const boxText = (box: readonly number[]) => `${box.map((side) => plainText(side)).join(' × ')} mm`;

/** "12.3 mm too long in x, 4 mm too high" */
function tooLarge(size: readonly number[], room: readonly number[]): string {
  const words = ['too broad', 'too deep', 'too high'];
  return size
    .flatMap((side, axis) => (side > room[axis]! ? [`${mm(side - room[axis]!)} ${words[axis]}`] : []))
    .join(', ');
}
