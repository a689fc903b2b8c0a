import type { Material } from '@core/record/model';
import type { Brief, Grade, Heat } from '@core/foundations/fields';
import { resistancesOf } from '@core/record/workshop';

/** Why a material is as it is for this part. */
export interface Reason {
  grade: Grade;
  code:
    | 'heat.gives'
    | 'heat.near'
    | 'heat.stands'
    | 'sun.brittle'
    | 'sun.slowly'
    | 'sun.stands'
    | 'water.swells'
    | 'water.rusts'
    | 'food.layers'
    | 'food.unknown'
    | 'rubs.well'
    | 'rubs.wears'
    | 'springs.well'
    | 'springs.snaps'
    | 'knocks.well'
    | 'knocks.snaps'
    | 'load.creeps'
    | 'mains.conducts'
    | 'mains.flame'
    | 'cold.brittle';
}

export interface Suited {
  material: Material;
  grade: Grade;
  reasons: Reason[];
}

/** The warmest that each word means, °C. */
export const HEAT_C: Record<Heat, number> = { room: 35, warm: 50, hot: 80, boiling: 100 };
/** A plastic is used this far below where it gives under a light load, °C. */
const ROOM_BELOW_C = 15;

const SUN_CODES: Record<Grade, Reason['code']> = {
  suited: 'sun.stands',
  withCare: 'sun.slowly',
  unsuited: 'sun.brittle',
};
/** Strain that a tongue takes again and again, from which it may be called springy. */
const SPRINGY = 0.02;

/** Each material for what the brief asks, suited ones first; those that nothing speaks about are suited. */
export function suitedMaterials(brief: Brief, materials: readonly Material[]): Suited[] {
  return materials
    .map((material): Suited => {
      const reasons = reasonsOf(material, brief);
      const worst = (['unsuited', 'withCare'] as const).find((grade) =>
        reasons.some((one) => one.grade === grade),
      );
      return { material, grade: worst ?? 'suited', reasons };
    })
    .sort((a, b) => ORDER[a.grade] - ORDER[b.grade] || pluses(b) - pluses(a));
}

const ORDER: Record<Grade, number> = { suited: 0, withCare: 1, unsuited: 2 };
const pluses = ({ reasons }: Suited) => reasons.filter(({ grade }) => grade === 'suited').length;

function reasonsOf(material: Material, brief: Brief): Reason[] {
  const { family, softensAtC, strain } = material;
  const stands = resistancesOf(material);
  const reasons: Reason[] = [];
  const say = (grade: Grade, code: Reason['code']) => void reasons.push({ grade, code });
  const { surroundings, heat, load, movement, dangers } = brief;
  const isPlastic = family === 'plastic' || family === 'soft' || family === 'resin';
  if (heat !== null && heat !== 'room' && softensAtC !== null) {
    const left = softensAtC - HEAT_C[heat];
    if (left < 0) say('unsuited', 'heat.gives');
    else say(left < ROOM_BELOW_C ? 'withCare' : 'suited', left < ROOM_BELOW_C ? 'heat.near' : 'heat.stands');
  }
  if (surroundings.includes('sun') && isPlastic) say(stands.sun, SUN_CODES[stands.sun]);
  if (surroundings.includes('water') && stands.water !== 'suited')
    say(stands.water, family === 'metal' ? 'water.rusts' : 'water.swells');
  if (surroundings.includes('food') && stands.food !== 'suited')
    say(stands.food, family === 'resin' ? 'food.unknown' : 'food.layers');
  if (surroundings.includes('cold') && stands.cold !== 'suited') say(stands.cold, 'cold.brittle');
  if (movement === 'rubs') say(stands.rubs, stands.rubs === 'suited' ? 'rubs.well' : 'rubs.wears');
  if (movement === 'springs') {
    if (strain >= SPRINGY) say('suited', 'springs.well');
    else if (isPlastic || family === 'wood') say('unsuited', 'springs.snaps');
  }
  // What neither shrugs knocks off nor snaps is not worth a word.
  if (load === 'knocks' && stands.knocks !== 'withCare')
    say(stands.knocks, stands.knocks === 'suited' ? 'knocks.well' : 'knocks.snaps');
  if (load === 'steady' && stands.steady !== 'suited') say(stands.steady, 'load.creeps');
  if (dangers.includes('mains')) {
    if (family === 'metal') say('unsuited', 'mains.conducts');
    else say('unsuited', 'mains.flame');
  }
  return reasons;
}
