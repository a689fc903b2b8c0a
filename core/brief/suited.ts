import type { Material } from '@core/model';
import type { Brief, Heat } from '@core/fields';

export type Grade = 'suited' | 'withCare' | 'unsuited';

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

const SUN: Partial<Record<string, Grade>> = {
  asa: 'suited',
  petg: 'withCare',
  pc: 'withCare',
  pvc: 'suited',
  pla: 'unsuited',
  abs: 'unsuited',
  pa12: 'withCare',
  pp: 'unsuited',
  pom: 'unsuited',
  tpu: 'withCare',
  resin: 'unsuited',
};
const SLIDES = new Set(['pom', 'pa12', 'brass', 'pp']);
const TOUGH = new Set(['pc', 'pa12', 'tpu', 'pp', 'aluminium', 'brass', 'steel', 'stainless']);
const SNAPS = new Set(['pla', 'resin']);
/** Give way slowly under a steady load. */
const CREEPS = new Set(['pla', 'pp', 'tpu', 'petg']);
const ABSORBS = new Set(['pa12', 'beech', 'plywood']);
const RUSTS = new Set(['steel']);
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

function reasonsOf({ id, family, softensAtC, strain }: Material, brief: Brief): Reason[] {
  const reasons: Reason[] = [];
  const say = (grade: Grade, code: Reason['code']) => void reasons.push({ grade, code });
  const { surroundings, heat, load, movement, dangers } = brief;
  const isPlastic = family === 'plastic' || family === 'soft' || family === 'resin';
  if (heat !== null && heat !== 'room' && softensAtC !== null) {
    const left = softensAtC - HEAT_C[heat];
    if (left < 0) say('unsuited', 'heat.gives');
    else say(left < ROOM_BELOW_C ? 'withCare' : 'suited', left < ROOM_BELOW_C ? 'heat.near' : 'heat.stands');
  }
  if (surroundings.includes('sun') && isPlastic) {
    const grade = SUN[id] ?? 'withCare';
    say(grade, grade === 'suited' ? 'sun.stands' : grade === 'withCare' ? 'sun.slowly' : 'sun.brittle');
  }
  if (surroundings.includes('water')) {
    if (ABSORBS.has(id)) say(family === 'wood' ? 'unsuited' : 'withCare', 'water.swells');
    if (RUSTS.has(id)) say('unsuited', 'water.rusts');
  }
  if (surroundings.includes('food') && isPlastic)
    say('withCare', family === 'resin' ? 'food.unknown' : 'food.layers');
  if (surroundings.includes('cold') && (id === 'pp' || SNAPS.has(id))) say('withCare', 'cold.brittle');
  if (movement === 'rubs')
    say(SLIDES.has(id) ? 'suited' : 'withCare', SLIDES.has(id) ? 'rubs.well' : 'rubs.wears');
  if (movement === 'springs') {
    if (strain >= SPRINGY) say('suited', 'springs.well');
    else if (isPlastic || family === 'wood') say('unsuited', 'springs.snaps');
  }
  if (load === 'knocks') {
    if (TOUGH.has(id)) say('suited', 'knocks.well');
    else if (SNAPS.has(id)) say('unsuited', 'knocks.snaps');
  }
  if (load === 'steady' && CREEPS.has(id)) say('withCare', 'load.creeps');
  if (dangers.includes('mains')) {
    if (family === 'metal') say('unsuited', 'mains.conducts');
    else say('unsuited', 'mains.flame');
  }
  return reasons;
}
