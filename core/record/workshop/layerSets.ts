import { USUAL_PRINT_SETUP, type LayerSet, type Workshop } from '@core/record/model';

const usual = {
  version: 1,
  removed: false,
  firstLayerMm: 0.2,
  fill: 'gyroid',
  footMm: 5,
  singleWall: false,
} as const;

/** Settings to begin with, from quick to fine. */
export const LAYER_SETS: readonly LayerSet[] = [
  {
    ...usual,
    id: 'draft',
    firstLayerMm: 0.28,
    name: 'Draft',
    layerMm: 0.28,
    walls: 2,
    topLayers: 3,
    bottomLayers: 3,
    fillShare: 0.12,
  },
  {
    ...usual,
    id: 'everyday',
    name: 'Everyday',
    layerMm: 0.2,
    walls: 3,
    topLayers: 5,
    bottomLayers: 4,
    fillShare: 0.2,
  },
  {
    ...usual,
    id: 'strong',
    name: 'Strong',
    layerMm: 0.2,
    walls: 6,
    topLayers: 6,
    bottomLayers: 6,
    fillShare: 0.4,
  },
  {
    ...usual,
    id: 'fine',
    name: 'Fine',
    layerMm: 0.12,
    // Two layers high: so heights in whole layers stay so.
    firstLayerMm: 0.24,
    walls: 3,
    topLayers: 8,
    bottomLayers: 6,
    fillShare: 0.2,
  },
];

/** The settings of a workshop, those that were put away left out. */
export const layerSetsIn = (workshop: Workshop): readonly LayerSet[] =>
  (workshop.layerSets ?? LAYER_SETS).filter(({ removed }) => !removed);

/** The settings of that id, or those of every day. */
export function layerSetIn(workshop: Workshop, id: string | undefined): LayerSet {
  const sets = layerSetsIn(workshop);
  return (
    sets.find((one) => one.id === id) ??
    sets.find((one) => one.id === USUAL_PRINT_SETUP.settings) ??
    LAYER_SETS[1]!
  );
}
