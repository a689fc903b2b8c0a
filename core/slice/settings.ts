import type { Foot, Support } from '@core/fields';

/** How what is inside of the walls is filled. */
export const FILLS = ['lines', 'grid', 'gyroid'] as const;
export type Fill = (typeof FILLS)[number];

/** How a part is laid layer by layer. Lengths in mm, shares from 0 to 1. */
export interface LayerSettings {
  id: string;
  name: string;
  layerMm: number;
  firstLayerMm: number;
  /** Breadth of a line: lines that lie side by side are this far apart. */
  lineMm: number;
  walls: number;
  /** Solid layers below each top and above each bottom. */
  topLayers: number;
  bottomLayers: number;
  fill: Fill;
  fillShare: number;
  support: Support;
  foot: Foot;
  /** Breadth of a brim, radius of an ear. */
  footMm: number;
  /** One wall that rises without a seam, on a solid bottom; nothing inside and no top. */
  singleWall: boolean;
}

const usual = {
  firstLayerMm: 0.2,
  lineMm: 0.44,
  fill: 'gyroid',
  support: 'none',
  foot: 'skirt',
  footMm: 5,
  singleWall: false,
} as const;

/** Settings to begin with, from quick to fine. */
export const LAYER_SETTINGS: readonly LayerSettings[] = [
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

/** The settings of that name, or those of every day. */
export function layerSettingsOf(id: string | undefined): LayerSettings {
  return LAYER_SETTINGS.find((settings) => settings.id === id) ?? LAYER_SETTINGS[1]!;
}
