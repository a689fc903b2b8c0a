import type { NamedLength } from './namedLength';

/** What can be wrong with a step that adds or cuts a form of its own. */
export type AddedFault =
  | { code: 'hole.widerThanBody'; bore: NamedLength; bodyMm: number }
  | { code: 'hole.missesBody'; bore: NamedLength }
  | { code: 'hole.deeperThanBody'; depth: NamedLength; bodyMm: number }
  | { code: 'hole.headTooNarrow'; head: NamedLength; holeMm: number }
  | { code: 'hole.headTooDeep'; headMm: number; roomMm: number }
  | { code: 'pick.notFlat' }
  | { code: 'groove.widerThanRim'; width: NamedLength; rimMm: number }
  | { code: 'groove.offRim'; up: NamedLength; limitMm: number }
  | { code: 'groove.deeperThanRadius'; depth: NamedLength; radiusMm: number }
  | { code: 'extrude.upToBehind' }
  | { code: 'apart.touches' }
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
  | { code: 'extrude.nothingToGoThrough' }
  | { code: 'extrude.missesBody' }
  | { code: 'stations.notRising'; place: number; at: NamedLength }
  | { code: 'cone.isNone'; across: NamedLength }
  | { code: 'torus.tooThick'; thick: NamedLength; acrossMm: number }
  | { code: 'plate.cornerTooRound'; radius: NamedLength; limitMm: number }
  | { code: 'floor.notLevel' }
  /** `placeMm`: how high the place is that it is cut from; `down` or up from there. */
  | { code: 'floor.outside'; floor: NamedLength; placeMm: number; down: boolean };
