import type { Material, MaterialFamily } from '@core/record/model';

import { acrossLayersOf } from './acrossLayers';
import { yieldOf } from './yields';

type Row = readonly [
  id: string,
  name: string,
  family: MaterialFamily,
  density: number,
  strain: number,
  modulusMpa: number,
  softensAtC: number | null,
  shrinks: number | null,
  source: string,
];

const PLASTIC =
  'ISO 1183 density, ISO 527 modulus and yield, ISO 75 heat, ISO 294-4 shrinkage: middle of data sheets';
const RESIN = 'ISO 1183 density, ISO 527 modulus, ISO 75 heat: middle of makers’ data sheets';

const ROWS: readonly Row[] = [
  ['petg', 'PETG', 'plastic', 1.27, 0.02, 2100, 70, 0.004, PLASTIC],
  ['pla', 'PLA', 'plastic', 1.24, 0.01, 3500, 55, 0.003, PLASTIC],
  ['abs', 'ABS', 'plastic', 1.04, 0.015, 2200, 92, 0.006, PLASTIC],
  ['asa', 'ASA', 'plastic', 1.07, 0.015, 2300, 95, 0.005, PLASTIC],
  ['pa12', 'Nylon 12', 'plastic', 1.01, 0.03, 1500, 130, 0.01, PLASTIC],
  ['pp', 'Polypropylene (PP)', 'plastic', 0.905, 0.04, 1400, 90, 0.015, PLASTIC],
  ['pc', 'Polycarbonate (PC)', 'plastic', 1.2, 0.03, 2350, 135, 0.006, PLASTIC],
  ['pvc', 'PVC, hard', 'plastic', 1.4, 0.015, 3000, 70, 0.004, PLASTIC],
  ['pom', 'Acetal (POM)', 'plastic', 1.41, 0.03, 2800, 155, null, PLASTIC],
  ['tpu', 'TPU, soft', 'soft', 1.21, 0.1, 50, 70, 0.008, PLASTIC],
  ['resin', 'Tough resin, cured', 'resin', 1.18, 0.02, 2000, 60, 0.004, RESIN],
  // Yield of 250 MPa over 70,000, halved.
  [
    'aluminium',
    'Aluminium 6082',
    'metal',
    2.7,
    0.0015,
    70_000,
    null,
    null,
    'EN 573-3, table 1; EN 1999-1-1, 3.2.5',
  ],
  // Yield of 250 MPa over 97,000, halved, and a little less.
  ['brass', 'Brass CW614N', 'metal', 8.47, 0.0012, 97_000, null, null, 'EN 12164, tables 1 and 6'],
  // S235: 235 MPa over 210,000 MPa, halved.
  [
    'steel',
    'Steel, mild',
    'metal',
    7.85,
    0.00056,
    210_000,
    null,
    null,
    'EN 1993-1-1, 3.2.6; EN 10025-2, table 6',
  ],
  // 1.4301: 210 MPa over 200,000 MPa, halved.
  [
    'stainless',
    'Stainless steel 1.4301',
    'metal',
    7.9,
    0.0005,
    200_000,
    null,
    null,
    'EN 10088-1, table A.4; EN 10088-3, table 8',
  ],
  // Bending along the grain: some 50 MPa at the limit of proportion over 12,500 MPa, halved.
  [
    'beech',
    'Beech',
    'wood',
    0.71,
    0.002,
    12_500,
    null,
    null,
    'EN 350, annex B, mean at 12 % moisture; EN 338, D35',
  ],
  // Along the outer grain: 30 MPa over 8,000 MPa, halved.
  ['plywood', 'Birch plywood', 'wood', 0.68, 0.0019, 8000, null, null, 'EN 12369-2, table 1; EN 636'],
];

/** What spares are commonly made of, solid. */
export const MATERIALS: readonly Material[] = ROWS.map(
  ([id, name, family, density, strain, modulusMpa, softensAtC, shrinks, source]) => ({
    id,
    version: 1,
    name,
    family,
    density,
    strain,
    modulusMpa,
    ...(yieldOf(id) === undefined ? {} : { yieldMpa: yieldOf(id)! }),
    across: family === 'plastic' || family === 'soft' ? acrossLayersOf(id) : 1,
    softensAtC,
    shrinks,
    notes: '',
    source,
    removed: false,
  }),
);
