/** What can be wrong with numbers that are worked out from measured ones. */
export type MeasuredFault =
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
