/** What a mend does to the recipe. Lengths in mm; `place` of a step in its recipe. */
export type MendAct =
  | { does: 'hollowTo' | 'moveHoleIn' | 'roundCorner' | 'lengthenTongue' | 'thinTongue'; mm: number }
  | { does: 'makeLessDeep' | 'makeThicker' | 'makeWider'; place: number; mm: number }
  | { does: 'putBoss' | 'turnOver' }
  | { does: 'makeRoomByFits'; name: string }
  | { does: 'makeRoom'; name: string; mm: number };
