import { RESISTANCES, type Grade, type Resistance } from '@core/foundations/fields';
import type { Material, MaterialFamily } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

type Grades = Record<Resistance, Grade>;
type Some = Partial<Grades>;

/** Of a family, where nothing is known of a material. */
const FAMILIES: Record<MaterialFamily, Some> = {
  plastic: { sun: 'withCare', food: 'withCare', knocks: 'withCare', rubs: 'withCare', lifts: 'withCare' },
  soft: { sun: 'withCare', food: 'withCare', rubs: 'withCare', strings: 'withCare' },
  resin: { sun: 'withCare', food: 'withCare', knocks: 'withCare', rubs: 'withCare' },
  metal: { knocks: 'withCare', rubs: 'withCare' },
  wood: { water: 'unsuited', knocks: 'withCare', rubs: 'withCare' },
};

/**
 * What speaks for and against those that ship, by makers' and resellers' guidance for household parts: sun by weathering (ISO 4892) without stabilisers, water by
 * saturation (ISO 62), cold and knocks by Charpy values (ISO 179), rubbing by use as plain bearings, loads that stay by creep moduli (ISO 899); strings and
 * lifting corners as they are known from laying it.
 */
const SHIPPED: Readonly<Record<string, Some>> = {
  petg: { steady: 'withCare', strings: 'withCare', lifts: 'suited' },
  pla: { sun: 'unsuited', cold: 'withCare', knocks: 'unsuited', steady: 'withCare', lifts: 'suited' },
  abs: { sun: 'unsuited', lifts: 'unsuited' },
  asa: { sun: 'suited' },
  pa12: { water: 'withCare', knocks: 'suited', rubs: 'suited', strings: 'withCare', lifts: 'unsuited' },
  pp: {
    sun: 'unsuited',
    cold: 'withCare',
    knocks: 'suited',
    rubs: 'suited',
    steady: 'withCare',
    lifts: 'unsuited',
  },
  pc: { knocks: 'suited', lifts: 'unsuited' },
  pvc: { sun: 'suited' },
  pom: { sun: 'unsuited', rubs: 'suited', lifts: 'unsuited' },
  tpu: { knocks: 'suited', steady: 'withCare', strings: 'unsuited' },
  resin: { sun: 'unsuited', cold: 'withCare', knocks: 'unsuited' },
  aluminium: { knocks: 'suited' },
  brass: { knocks: 'suited', rubs: 'suited' },
  steel: { water: 'unsuited', knocks: 'suited' },
  stainless: { knocks: 'suited' },
};

/** How a material stands each thing: as its row says, or as those that ship and its family do. */
export function resistancesOf({ id, family, stands }: Pick<Material, 'id' | 'family' | 'stands'>): Grades {
  const known: Some = { ...FAMILIES[family], ...ownValue(SHIPPED, id), ...stands };
  return Object.fromEntries(RESISTANCES.map((one) => [one, known[one] ?? 'suited'])) as Grades;
}
