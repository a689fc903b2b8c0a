import type { NamedFace } from './lookedFor';
import type { NamedLength } from './namedLength';

/** Where there is no room: at the edge between two faces, or as it says. */
export type WhereOnPart = readonly [NamedFace, NamedFace] | 'tipsOfTeeth';

/** What can be wrong with a step that changes what is there, or takes another body. */
export type ChangedFault =
  | { code: 'body.noFits'; name: string }
  | { code: 'body.severalFits'; name: string; tag: string }
  | { code: 'split.atOutside' }
  | { code: 'split.tiesDoNotFit'; breadth: NamedLength }
  | { code: 'body.gone' }
  | { code: 'body.notBuilt'; name: string }
  | { code: 'body.itself' }
  | { code: 'body.circle'; names: string[] }
  | { code: 'body.noWayIn'; name: string }
  | { code: 'offset.none' }
  | { code: 'offset.noneMates' }
  /** `face` in words, as: the wall of step 2. */
  | { code: 'offset.otherForm'; face: NamedFace }
  | { code: 'offset.pastMiddle'; face: NamedFace }
  | { code: 'draft.nothing' }
  | { code: 'draft.easedRim' }
  | { code: 'draft.closes'; mostAngle: number; mostMm: number }
  | { code: 'split.noGap' }
  | { code: 'split.missesBody'; at: NamedLength }
  | { code: 'split.pegsDoNotFit'; diameter: NamedLength }
  | { code: 'pattern.notPossible' }
  | { code: 'mirror.notPossible'; place: number }
  | { code: 'mirror.fills'; place: number }
  | { code: 'shell.wallTooThick'; wall: NamedLength; limitMm: number }
  | { code: 'shell.nothingToOpen'; open: 'top' | 'bottom' | 'both' }
  /** `mostMm`: about as much as goes everywhere, or null if nothing does; `at`: where there is no room, in words. */
  | { code: 'chamfer.tooLarge'; size: NamedLength; verb: string; mostMm: number | null; at: WhereOnPart };
