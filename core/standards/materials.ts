import type { MaterialFamily } from '@core/model';

export interface Material {
  id: string;
  name: string;
  family: MaterialFamily;
  /** g/cm³ */
  density: number;
  /** Strain that a tongue may be bent to again and again: half of the strain at yield in data sheets. */
  strain: number;
  source: string;
}

const SHEET = 'middle of the range in makers’ data sheets, solid piece';

/** Densities of what spares are commonly made of, solid. */
export const MATERIALS: readonly Material[] = [
  { id: 'petg', name: 'PETG', family: 'plastic', density: 1.27, strain: 0.02, source: SHEET },
  { id: 'pla', name: 'PLA', family: 'plastic', density: 1.24, strain: 0.01, source: SHEET },
  { id: 'abs', name: 'ABS', family: 'plastic', density: 1.04, strain: 0.015, source: SHEET },
  { id: 'asa', name: 'ASA', family: 'plastic', density: 1.07, strain: 0.015, source: SHEET },
  { id: 'pa12', name: 'Nylon 12', family: 'plastic', density: 1.01, strain: 0.03, source: SHEET },
  { id: 'tpu', name: 'TPU, soft', family: 'soft', density: 1.21, strain: 0.1, source: SHEET },
  { id: 'resin', name: 'Tough resin, cured', family: 'resin', density: 1.18, strain: 0.02, source: SHEET },
  {
    id: 'pom',
    name: 'Acetal (POM)',
    family: 'plastic',
    density: 1.41,
    strain: 0.03,
    source: 'ISO 1183 values in data sheets',
  },
  {
    id: 'aluminium',
    name: 'Aluminium 6082',
    family: 'metal',
    density: 2.7,
    strain: 0.0015,
    source: 'EN 573 alloys, 2.70',
  },
  {
    id: 'brass',
    name: 'Brass CW614N',
    family: 'metal',
    density: 8.47,
    strain: 0.0015,
    source: 'EN 12164 alloys, 8.47',
  },
  {
    id: 'steel',
    name: 'Steel, mild',
    family: 'metal',
    density: 7.85,
    // S235: 235 MPa over 210,000 MPa, halved.
    strain: 0.00056,
    source: 'EN 1993-1-1, 3.2.6; yield of EN 10025-2',
  },
  {
    id: 'beech',
    name: 'Beech',
    family: 'wood',
    density: 0.71,
    // Bending along the grain: some 50 MPa at the limit of proportion over 12,500 MPa, halved.
    strain: 0.002,
    source: 'EN 350, mean at 12 % moisture',
  },
];

export const DEFAULT_MATERIAL_ID = 'petg';

/** The material of that id, or the default one if nobody knows it any more. */
export function materialOf(id: string): Material {
  return MATERIALS.find((material) => material.id === id) ?? MATERIALS[0]!;
}
