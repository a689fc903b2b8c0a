import type { InfillPattern, BedAdhesion, Support } from '@core/foundations/fields';

/** How a part is printed layer by layer. Lengths in mm, shares from 0 to 1. */
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
  fill: InfillPattern;
  fillShare: number;
  support: Support;
  foot: BedAdhesion;
  /** Breadth of a brim, radius of an ear. */
  footMm: number;
  /** One wall that rises without a seam, on a solid bottom; nothing inside and no top. */
  singleWall: boolean;
}
