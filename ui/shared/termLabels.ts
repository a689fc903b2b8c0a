import type { TermId } from '@core/reporting/glossary';

/**
 * Headings and fields that are words of the trade, by what they say. Types alone come from the glossary: its texts and drawings are fetched when
 * a word is opened.
 */
const TERM_OF_LABEL: ReadonlyMap<string, TermId> = new Map<string, TermId>([
  ['Orientation', 'orientation'],
  ['Print settings', 'printSettings'],
  ['Supports', 'support'],
  ['Bed adhesion', 'bedAdhesion'],
  ['Layer height', 'layerHeight'],
  ['First layer', 'firstLayer'],
  ['Walls', 'walls'],
  ['Infill', 'infill'],
  ['Infill share', 'infill'],
  ['Top layers', 'topBottomLayers'],
  ['Bottom layers', 'topBottomLayers'],
  ['Top and bottom', 'topBottomLayers'],
  ['Brim or ear width', 'brim'],
  ['Build volume', 'buildVolume'],
  ['Build volume, from the front left corner', 'buildVolume'],
  ['Nozzle', 'nozzle'],
  ['Retraction', 'retraction'],
  ['Travel', 'travel'],
  ['Overhang up to', 'overhang'],
  ['Bridges up to', 'bridge'],
  ['Elephant foot per side', 'elephantFoot'],
  ['Max volumetric flow', 'volumetricFlow'],
  ['Shortest layer time', 'shortestLayer'],
  ['Stringing', 'stringing'],
  ['Warping', 'warping'],
  ['Shrinkage', 'shrinkage'],
  ['Shrinkage of casting or curing', 'shrinkage'],
  ['Shrinks as it sets', 'shrinkage'],
  ['Exposure', 'exposure'],
  ['Penetration depth of light', 'penetrationDepth'],
  ['Readings', 'reading'],
  ['Where the doubt comes from', 'doubt'],
  ['Plus or minus', 'doubt'],
  ['Permissible error, by range', 'permissibleError'],
  ['Repeatability in one hand (one standard deviation)', 'repeatability'],
  ['Variation of what it makes (one standard deviation)', 'standardDeviation'],
  ['ISO limits', 'tolerance'],
  ['Safety factor', 'safetyFactor'],
  ['Yield stress', 'yieldStress'],
  ['Allowable strain, repeated', 'strain'],
  ['Stiffness', 'stiffness'],
  ['Module', 'gearModule'],
  ['How strong it is here', 'allowableStress'],
  ['The mating part', 'matingPart'],
  ['Add a fit', 'fit'],
  ['Drill a drain hole', 'drainHole'],
]);

/** The word of the glossary that a heading or a field is; null for none. */
export const termOfLabel = (label: string): TermId | null => TERM_OF_LABEL.get(label) ?? null;
