import type { ServerFault } from './serverFault';

export type { ServerFault } from './serverFault';

/**
 * What can be wrong with something a person gave us, as data. A fault says what was given, where, and
 * the limit it broke; the sentence for it is made in `core/wording`. Lengths are millimetres.
 */
export type Fault =
  | { code: 'length.empty' }
  | { code: 'length.notANumber'; text: string }
  | { code: 'length.twoMarks'; text: string }
  /** `readings`: what it may mean, each written so that it can be read in one way only. */
  | { code: 'length.fractionNeedsInch'; text: string; readings: string[] }
  | { code: 'length.twoReadings'; text: string; readings: string[] }
  | { code: 'length.zeroDenominator'; text: string }
  | { code: 'length.notPositive'; mm: number }
  | { code: 'length.tooLong'; mm: number; limitMm: number; instrument: string }
  | { code: 'length.tooLarge'; mm: number; limitMm: number }
  | { code: 'angle.notAnAngle'; text: string }
  | { code: 'angle.outOfRange'; text: string }
  | { code: 'count.notACount'; text: string }
  | { code: 'name.empty'; what: string }
  | { code: 'name.taken'; name: string; tag: string }
  | { code: 'name.tooLong'; what: string; length: number; limit: number }
  | { code: 'field.invalid'; path: string; message: string }
  | { code: 'row.missing'; row: string; id: string }
  | { code: 'row.refersToNothing'; row: string; refersTo: string; id: string }
  | { code: 'row.stale'; row: string; id: string; baseVersion: number; version: number; theirs: unknown }
  | { code: 'row.frozen'; letter: string }
  | { code: 'row.listFull'; row: string; limit: number }
  | { code: 'row.double'; row: string; path: string; id: string }
  | { code: 'photo.notAnImage' }
  | { code: 'photo.heif' }
  | { code: 'photo.tooBig'; bytes: number; limitBytes: number }
  | { code: 'photo.tooManyPixels'; megapixels: number; limitMegapixels: number }
  | { code: 'device.unknown'; what: string }
  | { code: 'job.missing' }
  | { code: 'job.over'; state: string }
  | { code: 'job.machineBusy'; machine: string }
  | { code: 'file.notJson' }
  | { code: 'file.notARepairFile' }
  | { code: 'file.otherVersion'; version: unknown; supported: number }
  | { code: 'file.tooBig'; bytes: number; limitBytes: number }
  | { code: 'file.unknownKey'; path: string; keys: string[] }
  | { code: 'file.invalid'; path: string; message: string }
  | ServerFault
  | StepFault;

/** What can be wrong with a formula or a typed sum. */
export type FormulaFault =
  | { code: 'formula.empty' }
  | { code: 'formula.tooLong'; limit: number }
  | { code: 'formula.notRead'; text: string }
  | { code: 'formula.exponent'; text: string }
  | { code: 'formula.unknownWord'; word: string }
  | { code: 'formula.unknownSize'; tag: string }
  | { code: 'formula.fitInSize'; name: string }
  | { code: 'formula.noFit'; name: string; tag: string }
  | { code: 'formula.severalFits'; tag: string; choices: string }
  | { code: 'formula.mixedUnits'; left: string; right: string }
  | { code: 'formula.powerNotPlain' }
  | { code: 'formula.wrongResult'; got: string; wanted: 'length' | 'angle' | 'count' }
  | { code: 'formula.divisionByZero'; text: string }
  | { code: 'formula.notReal'; text: string }
  /** Tags in the order of the circle; the last one leads back to the first. */
  | { code: 'formula.cycle'; tags: string[] };

/** What can be wrong with numbers that are worked out from measured ones. */
export type MeasureFault =
  | { code: 'size.gone'; what: string }
  | { code: 'size.wrongQuantity'; what: string; got: string; wanted: string }
  /** Three lengths that close no triangle: the longest is longer than the other two by this gap, mm. */
  | { code: 'triangle.open'; gapMm: number }
  | { code: 'size.tooManyRoots'; limit: number }
  | { code: 'construction.notPossible'; what: string; why: string }
  | { code: 'layout.missing'; points: string[]; ways: number }
  | { code: 'layout.open'; points: string[]; gapMm: number }
  | { code: 'layout.empty' }
  | { code: 'layout.notSettled' };

/** Where a built number came from, in words a sentence can use. */
export interface NamedLength {
  /** 'bore', 'width', … */
  what: string;
  /** Letter tag of the size or fit behind it, if there is one. */
  tag: string | null;
  mm: number;
}

/** Faults found while a recipe is built; each is reported at one step. */
export type StepFault =
  | FormulaFault
  | MeasureFault
  | { code: 'value.sizeNotTaken'; what: string; tag: string; name: string }
  | { code: 'value.sizeGone'; what: string }
  | { code: 'value.fitGone'; what: string }
  | { code: 'value.layoutGone'; what: string }
  | { code: 'value.pointNotPlaced'; what: string; point: string; layout: string }
  | { code: 'value.outOfRange'; length: NamedLength; minMm: number; maxMm: number }
  | { code: 'step.firstMustAdd'; verb: string }
  /** `tag`: of the face that was picked, where it was one. */
  | { code: 'step.pickLost'; lookingFor: string; tag?: string }
  | { code: 'hole.widerThanBody'; bore: NamedLength; bodyMm: number }
  | { code: 'hole.missesBody'; bore: NamedLength }
  | { code: 'hole.deeperThanBody'; depth: NamedLength; bodyMm: number }
  | { code: 'hole.headTooNarrow'; head: NamedLength; holeMm: number }
  | { code: 'hole.headTooDeep'; headMm: number; roomMm: number }
  | { code: 'pick.notFlat' }
  | { code: 'groove.widerThanRim'; width: NamedLength; rimMm: number }
  | { code: 'groove.offRim'; up: NamedLength; limitMm: number }
  | { code: 'groove.deeperThanRadius'; depth: NamedLength; radiusMm: number }
  | { code: 'outline.slotTooShort'; length: NamedLength; breadthMm: number }
  | { code: 'outline.noRing'; inner: NamedLength; outerMm: number }
  | { code: 'outline.pointsMeet'; place: number }
  | { code: 'outline.crosses' }
  | { code: 'outline.open'; x: number; y: number }
  | { code: 'outline.loopsAside' }
  | { code: 'outline.noPoint'; place: number; point: string }
  | { code: 'outline.hasHoles' }
  | { code: 'outline.notLevelThere' }
  | { code: 'outline.notHere' }
  | { code: 'outline.noneOfStep'; place: number }
  | { code: 'outline.offsetTooFar'; by: NamedLength }
  | { code: 'extrude.upToBehind' }
  | { code: 'apart.touches' }
  | { code: 'body.noFits'; name: string }
  | { code: 'body.severalFits'; name: string; tag: string }
  | { code: 'split.atOutside' }
  | { code: 'split.tiesDoNotFit'; breadth: NamedLength }
  | { code: 'step.touchesAtEdge' }
  | { code: 'outline.arcNeedsEnds' }
  | { code: 'gear.noRoot'; teeth: number }
  | { code: 'gear.pointed'; teeth: number }
  | { code: 'gear.noGap'; teeth: number }
  | { code: 'wedge.flat' }
  | { code: 'revolve.crossesAxis'; away: NamedLength; overMm: number }
  | { code: 'sweep.tooFewPoints' }
  | { code: 'sweep.endingOnClosed' }
  | { code: 'sweep.bendTooTight'; bend: NamedLength; halfMm: number }
  | { code: 'sweep.bentTooMuch'; halfMm: number; roomMm: number }
  | { code: 'sweep.legTooShort'; bend: NamedLength }
  /** `turn`, radians: by how much its outline would be turned on coming back. */
  | { code: 'sweep.comesBackTurned'; turn: number }
  | { code: 'thread.unknown'; size: string }
  | { code: 'thread.tooShort'; length: NamedLength; pitchMm: number }
  | { code: 'thread.playTooLarge'; play: NamedLength; depthMm: number }
  | { code: 'thread.tooLong'; length: NamedLength; limitMm: number }
  | { code: 'text.empty' }
  | { code: 'text.noFont' }
  | { code: 'text.notInFont'; letters: string }
  | { code: 'tongue.bumpTooLong'; bump: NamedLength; lengthMm: number }
  | { code: 'body.gone' }
  | { code: 'testPiece.notThere' }
  | { code: 'testPiece.wholePart' }
  | { code: 'body.notBuilt'; name: string }
  | { code: 'body.itself' }
  | { code: 'body.circle'; names: string[] }
  | { code: 'body.noWayIn'; name: string }
  | { code: 'offset.none' }
  | { code: 'offset.noneMates' }
  /** `face` in words, as: the wall of step 2. */
  | { code: 'offset.otherForm'; face: string }
  | { code: 'offset.pastMiddle'; face: string }
  | { code: 'draft.nothing' }
  | { code: 'draft.closes'; mostAngle: number; mostMm: number }
  | { code: 'split.noGap' }
  | { code: 'split.missesBody'; at: NamedLength }
  | { code: 'split.pegsDoNotFit'; diameter: NamedLength }
  | { code: 'extrude.nothingToGoThrough' }
  | { code: 'extrude.missesBody' }
  | { code: 'pattern.notPossible' }
  | { code: 'mirror.notPossible'; place: number }
  | { code: 'mirror.fills'; place: number }
  | { code: 'stations.notRising'; place: number; at: NamedLength }
  | { code: 'shell.wallTooThick'; wall: NamedLength; limitMm: number }
  | { code: 'shell.nothingToOpen'; open: 'top' | 'bottom' | 'both' }
  | { code: 'cone.isNone'; across: NamedLength }
  | { code: 'torus.tooThick'; thick: NamedLength; acrossMm: number }
  | { code: 'plate.cornerTooRound'; radius: NamedLength; limitMm: number }
  /** `mostMm`: about as much as goes everywhere, or null if nothing does; `at`: where there is no room, in words. */
  | { code: 'chamfer.tooLarge'; size: NamedLength; verb: string; mostMm: number | null; at: string }
  | { code: 'plain.notRead'; text: string; input: 'angle' | 'count' | 'factor' }
  /** Angles in radians. `path` and `got`: of one that was taken from elsewhere, where in its step it stands and what it came to. */
  | {
      code: 'plain.outOfRange';
      input: 'angle' | 'count' | 'factor';
      least: number;
      most: number;
      path?: string;
      got?: number;
    }
  | { code: 'plain.notWhole'; got: number }
  | { code: 'floor.notLevel' }
  /** `placeMm`: how high the place is that it is cut from; `down` or up from there. */
  | { code: 'floor.outside'; floor: NamedLength; placeMm: number; down: boolean }
  | { code: 'step.nothingLeft' }
  | { code: 'step.changesNothing' }
  | { code: 'step.notValid'; reason: string }
  | { code: 'make.notGrown'; reason: string }
  | { code: 'slice.noLayerMachine'; machine: string }
  | { code: 'slice.noLayerMaterial'; material: string }
  | { code: 'slice.layerHeight'; layerMm: number; leastMm: number; mostMm: number }
  | { code: 'slice.machineTooCold'; neededC: number; mostC: number }
  /** Along x, y and z, as it lies. */
  | {
      code: 'slice.doesNotFit';
      sizeMm: [number, number, number];
      roomMm: [number, number, number];
    }
  | { code: 'slice.tooLow'; heightMm: number; firstLayerMm: number }
  | { code: 'slice.tooManyLayers'; layers: number; most: number }
  | { code: 'slice.notClosed'; edges: number }
  | { code: 'slice.notLaid' }
  | { code: 'slice.nothingLaid'; lineMm: number }
  /** `line`: of the file, from 1. */
  | { code: 'gcode.outside'; line: number; axis: string; mm: number; mostMm: number }
  | {
      code: 'gcode.tooHot';
      line: number;
      what: 'nozzle' | 'bed';
      celsius: number;
      mostCelsius: number;
    }
  | { code: 'step.timedOut'; seconds: number }
  | { code: 'step.stopped' }
  | { code: 'step.kernelFailed'; message: string };

export type FaultCode = Fault['code'];

/** The outcome of something a person asked for: the value, or the fault that stopped it. */
export type Result<T, F = Fault> = { ok: true; value: T } | { ok: false; fault: F };

export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value });
export const no = <F>(fault: F): { ok: false; fault: F } => ({ ok: false, fault });
