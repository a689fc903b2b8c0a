/** One of the numbers of a construction, by its key; `itself` for all that it gives. */
export interface ConstructionNumber {
  construction: string;
  key: string;
}

/** Why a construction gives no number. */
export type NotPossible =
  | 'doNotGoTogether'
  | 'farNotMoreThanNear'
  | 'inOneLine'
  | 'lessThanBothHalves'
  | 'noBasePitch'
  | 'noModule'
  | 'notAboveZero'
  | 'notKnownHere'
  | 'otherSides'
  | 'outsideNotMoreThanInside'
  | 'stringTooShort'
  | 'tooFewHoles'
  | 'wideNotWiderThanNarrow';

/** What can be wrong with numbers that are worked out from measured ones. */
export type MeasuredFault =
  | { code: 'size.gone'; what: string | ConstructionNumber }
  | { code: 'size.wrongQuantity'; what: string | ConstructionNumber; got: string; wanted: string }
  /** Three lengths that close no triangle: the longest is longer than the other two by this gap, mm. */
  | { code: 'triangle.open'; gapMm: number }
  | { code: 'size.tooManyRoots'; limit: number }
  | { code: 'construction.notPossible'; what: string | ConstructionNumber; why: NotPossible }
  | { code: 'layout.missing'; points: string[]; ways: number }
  | { code: 'layout.open'; points: string[]; gapMm: number }
  | { code: 'layout.empty' }
  | { code: 'layout.notSettled' };
