/** How a material stands something. */
export const GRADES = ['suited', 'withCare', 'unsuited'] as const;
export type Grade = (typeof GRADES)[number];

/** What a material may have to stand: light, wet, food, cold, knocks, rubbing, a load that stays; and what it does while it is laid in layers. */
export const RESISTANCES = [
  'sun',
  'water',
  'food',
  'cold',
  'knocks',
  'rubs',
  'steady',
  'strings',
  'lifts',
] as const;
export type Resistance = (typeof RESISTANCES)[number];
