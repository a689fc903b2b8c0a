import type { Migration } from './migration';

/** The usual layer printer as it was until then. */
const BEFORE = {
  id: 'bench-printer',
  version: 1,
  removed: false,
  name: 'Bench printer',
  process: 'printing',
  scatterMm: 0.025,
  corrections: [
    ['inside', 0.05, 0.1],
    ['outside', -0.03, 0.08],
    ['height', 0, 0.05],
    ['spacing', 0, 0.03],
  ].map(([feature, offsetMm, plusMinusMm]) => ({
    family: 'any',
    feature,
    offsetMm,
    scale: 0,
    plusMinusMm,
    learnedFrom: 'a starting value for layer printing, no trials yet',
  })),
  shrinkage: null,
};

/**
 * A new workshop begins with another starting value for its printer. One that has repairs keeps the one that they were worked out with:
 * no working size moves by itself.
 */
export const keepMachine: Migration = {
  name: '003-keep-machine',
  async up(knex) {
    const [{ repairs = 0 } = {}] = await knex('repairs').count<{ repairs: number }[]>({ repairs: '*' });
    if (Number(repairs) === 0) return;
    await knex('workshop_rows')
      .insert({ kind: 'machine', id: BEFORE.id, version: BEFORE.version, data: JSON.stringify(BEFORE) })
      .onConflict(['kind', 'id'])
      .ignore();
  },
};
