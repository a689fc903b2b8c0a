import type { NamedLength } from './namedLength';

/** What can be wrong with an outline, a gear’s among them. */
export type OutlineFault =
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
  | { code: 'outline.arcNeedsEnds' }
  | { code: 'outline.arcStraight'; place: number }
  | { code: 'outline.noLength'; place: number }
  | { code: 'outline.onlyHelpers' }
  | { code: 'outline.bandHasHoles' }
  | { code: 'outline.nothingDrawn' }
  /** A drawing follows the part, but its step gives it no place of its own, or one that goes by its own edge. */
  | { code: 'outline.followsNowhere' }
  | { code: 'outline.followsFlush' }
  /** `place`: of the curve in its list; of a point, null. What it follows is of another form now. */
  | { code: 'outline.followsOther'; place: number | null }
  /** `tags`: of the sizes among what can't all hold. */
  | { code: 'outline.contradicts'; tags: readonly string[] }
  /** `place`: of the relation or dimension in its list. */
  | {
      code: 'outline.relationMisused';
      place: number;
      why: 'gone' | 'wrongCurves' | 'notOnSmooth' | 'notPositive';
    }
  /** Of a drawn path. Places in its own plane, mm. */
  | { code: 'path.inPieces' }
  | { code: 'path.forks'; x: number; y: number }
  | { code: 'path.ellipse' }
  | { code: 'gear.noRoot'; teeth: number }
  | { code: 'gear.pointed'; teeth: number }
  | { code: 'gear.noGap'; teeth: number };
