import { arrow, circle, line, loop, rect, rows, size, wave } from './pens';
import type { Term } from './term';

const BED = line([8, 62], [112, 62]);
const NOZZLE = loop([50, 6], [70, 6], [70, 24], [63, 34], [57, 34], [50, 24]);
/** Beads of layers, seen from their end. */
const beads = (x: number, y: number, count: number): string =>
  Array.from(
    { length: count },
    (_, index) => `M${x + 14 * index + 5} ${y}h6a5 5 0 0 1 0 10h-6a5 5 0 0 1 0 -10Z`,
  ).join('');

/** Words of printing in layers and in resin. */
export const PRINTING = {
  slice: {
    word: 'slice',
    says: 'To cut a part into level layers and work out the lines that fill each of them.',
    code: '`LayerSlicer`, `SlicedJob`',
    drawing: { solid: loop([28, 62], [42, 12], [78, 12], [92, 62]), accent: rows(16, 22, 88, 5, 8) },
  },
  layerHeight: {
    word: 'layer height',
    says: 'How thick one layer is: thin layers show fewer steps on slopes and take longer.',
    code: '`layerMm`',
    drawing: {
      solid: beads(18, 24, 4) + beads(18, 34, 4) + beads(18, 44, 4),
      accent: size([92, 34], [92, 44]),
    },
  },
  firstLayer: {
    word: 'first layer',
    says: 'The layer on the bed, printed slower and often thicker so that it sticks.',
    code: '`firstLayerMm`',
    drawing: { ink: BED + rect(34, 18, 52, 33) + rows(34, 24, 52, 4, 7), accent: rect(32, 52, 56, 9) },
  },
  walls: {
    word: 'walls',
    says: 'The lines that go round the part in each layer (perimeters); they carry most of its strength.',
    code: '`walls`, path kinds `outer`, `inner`',
    drawing: { thin: rect(40, 24, 40, 24), accent: rect(28, 12, 64, 48) + rect(33, 17, 54, 38) },
  },
  infill: {
    word: 'infill',
    says: 'The pattern inside the walls; its share says how much of the inside is plastic.',
    code: '`InfillPattern`, path kind `fill`',
    drawing: {
      ink: rect(28, 10, 64, 52),
      accent: [0, 1, 2, 3].map((n) => line([32 + 14 * n, 58], [44 + 14 * n, 14])).join(''),
    },
  },
  gyroid: {
    word: 'gyroid',
    says: 'An infill of waves that is about as strong in every direction.',
    code: '`gyroid`',
    drawing: {
      ink: rect(28, 10, 64, 52),
      accent: [20, 31, 42, 53].map((y) => wave(30, y, 60, 7, 3)).join(''),
    },
  },
  topBottomLayers: {
    word: 'top and bottom layers',
    says: 'The solid layers that close a part above and below.',
    code: 'path kind `skin`',
    drawing: { ink: rect(28, 12, 64, 48), accent: rows(29, 15, 62, 3, 4) + rows(29, 49, 62, 3, 4) },
  },
  gapFill: {
    word: 'gap fill',
    says: 'Thin lines in places between walls that are too narrow for a whole line.',
    code: 'path kind `gap`',
    drawing: { ink: rect(24, 14, 30, 44) + rect(66, 14, 30, 44), accent: line([60, 14], [60, 58]) },
  },
  support: {
    word: 'supports',
    says: 'Columns printed under an overhang, broken off afterwards.',
    code: '`SUPPORTS`, path kinds `support`, `interface`',
    drawing: {
      solid: loop([52, 62], [52, 26], [24, 26], [24, 12], [96, 12], [96, 26], [68, 26], [68, 62]),
      accent:
        [28, 34, 40, 46].map((x) => line([x, 29], [x, 61])).join('') +
        [74, 80, 86, 92].map((x) => line([x, 29], [x, 61])).join(''),
    },
  },
  overhang: {
    word: 'overhang',
    says: 'A face that leans out further than the layer below can carry.',
    code: '`OverhangFaces`, warning `slice.overhang`',
    drawing: {
      solid: loop([36, 62], [36, 12], [92, 12], [92, 24], [54, 24], [54, 62]),
      ink: BED,
      accent: line([56, 26], [92, 26]),
    },
  },
  midAir: {
    word: 'starts in mid-air',
    says: 'A piece whose first layer has nothing under it: it needs supports or another orientation.',
    code: 'warning `slice.inAir`',
    drawing: {
      solid: loop([30, 62], [30, 10], [94, 10], [94, 20], [42, 20], [42, 62]),
      ink: BED,
      accent: rect(80, 20, 14, 18),
    },
  },
  bridge: {
    word: 'bridge',
    says: 'A flat span printed from edge to edge with nothing under it; it sags if it is long.',
    code: '`bridgesOf`, warning `slice.longBridge`',
    drawing: {
      solid: loop([24, 62], [24, 16], [96, 16], [96, 62], [82, 62], [82, 28], [38, 28], [38, 62]),
      accent: size([38, 34], [82, 34]),
    },
  },
  bedAdhesion: {
    word: 'bed adhesion',
    says: 'What is printed round the first layer so that the part stays on the bed: a skirt, a brim or mouse ears.',
    code: '`BedAdhesion`',
    drawing: { solid: rect(42, 16, 36, 46), ink: BED, accent: rect(22, 57, 19, 4) + rect(79, 57, 19, 4) },
  },
  skirt: {
    word: 'skirt',
    says: 'A loop round the part, apart from it, that shows whether the nozzle flows.',
    code: '`skirt`',
    drawing: {
      solid: rect(42, 24, 36, 24),
      accent: 'M30 12h60a6 6 0 0 1 6 6v36a6 6 0 0 1 -6 6h-60a6 6 0 0 1 -6 -6v-36a6 6 0 0 1 6 -6Z',
    },
  },
  brim: {
    word: 'brim',
    says: 'Loops joined to the first layer that hold it down; cut off afterwards.',
    code: '`brim`',
    drawing: {
      solid: rect(42, 26, 36, 20),
      accent: rect(38, 22, 44, 28) + rect(34, 18, 52, 36) + rect(30, 14, 60, 44),
    },
  },
  mouseEars: {
    word: 'mouse ears',
    says: 'Small discs at the corners of the first layer, against corners that lift.',
    code: '`ears`',
    drawing: {
      solid: rect(34, 22, 52, 28),
      accent: circle(34, 22, 9) + circle(86, 22, 9) + circle(34, 50, 9) + circle(86, 50, 9),
    },
  },
  travel: {
    word: 'travel move',
    says: 'A move of the nozzle without printing.',
    code: 'move kind `travel`',
    drawing: { solid: rect(14, 22, 26, 28) + rect(80, 22, 26, 28), accent: arrow([42, 36], [78, 36]) },
  },
  retraction: {
    word: 'retraction',
    says: 'Filament pulled back before a travel move, so that it does not ooze.',
    code: '`retractMm`',
    drawing: {
      solid: NOZZLE,
      ink: line([57, 40], [57, 60]) + line([63, 40], [63, 60]),
      accent: arrow([84, 32], [84, 8]),
    },
  },
  nozzle: {
    word: 'nozzle',
    says: 'The tip that the molten plastic comes out of; its bore decides how wide a line is.',
    code: '`nozzleMm`',
    drawing: { solid: NOZZLE, ink: rect(24, 44, 74, 10), accent: rect(57, 34, 6, 10) },
  },
  volumetricFlow: {
    word: 'volumetric flow',
    says: 'How much plastic the nozzle can melt in a second; faster lines come out thin.',
    code: '`mostFlow`',
    drawing: {
      solid: NOZZLE,
      thin: line([56, 0], [56, 6]) + line([64, 0], [64, 6]),
      accent: arrow([60, 36], [60, 56]) + line([44, 60], [76, 60]),
    },
  },
  shortestLayer: {
    word: 'shortest layer time',
    says: 'A layer takes at least this long, so that it hardens before the next one.',
    code: '`leastLayerSeconds`',
    drawing: { ink: circle(60, 36, 24), accent: line([60, 36], [60, 18]) + line([60, 36], [72, 42]) },
  },
  orientation: {
    word: 'orientation',
    says: 'Which face of the part is on the bed; it decides overhangs, supports and where the part is weak.',
    code: '`Orientation`, `down`',
    drawing: {
      solid: loop([20, 62], [20, 24], [30, 24], [30, 52], [54, 52], [54, 62]),
      thin: loop([72, 62], [72, 34], [110, 34], [110, 44], [82, 44], [82, 62]),
      accent: 'M44 40C48 20 66 16 78 24' + line([72, 19], [79, 25], [71, 29]),
      ink: BED,
    },
  },
  printSettings: {
    word: 'print settings',
    says: 'Layer height, walls, infill and the like, kept in the Workshop under a name.',
    code: '`LayerSet`, `LayerSettings`',
    drawing: {
      ink: rows(24, 18, 72, 3, 18),
      accent: circle(42, 18, 5) + circle(76, 36, 5) + circle(54, 54, 5),
    },
  },
  elephantFoot: {
    word: 'elephant foot',
    says: 'The first layer pressed wider than the rest, so that bores are tight and edges stand out at the bed.',
    code: '`firstLayerSpreadMm`, `ElephantFoot`',
    drawing: {
      solid: 'M40 12H80V50C80 54 84 55 90 58V62H30V58C36 55 40 54 40 50Z',
      ink: BED,
      accent: size([80, 46], [90, 46]),
    },
  },
  stringing: {
    word: 'stringing',
    says: 'Hairs of plastic left between pieces by an oozing nozzle.',
    code: '`strings`',
    drawing: {
      solid: rect(22, 14, 18, 48) + rect(80, 14, 18, 48),
      accent: 'M40 24Q60 30 80 24M40 36Q60 43 80 36M40 48Q60 53 80 48',
    },
  },
  warping: {
    word: 'warping',
    says: 'Corners that lift off the bed as the plastic cools and shrinks.',
    code: '`lifts`',
    drawing: {
      solid: 'M18 30L102 30L104 50Q60 70 16 50Z',
      ink: BED,
      accent: arrow([20, 60], [20, 52]) + arrow([100, 60], [100, 52]),
    },
  },
  shrinkage: {
    word: 'shrinkage',
    says: 'How much a part becomes smaller as it cools, cures or sets; files are made larger by it.',
    code: '`shrinkage`',
    drawing: {
      thin: rect(24, 10, 72, 52),
      solid: rect(34, 18, 52, 36),
      accent: arrow([24, 36], [33, 36]) + arrow([96, 36], [87, 36]),
    },
  },
  buildVolume: {
    word: 'build volume',
    says: 'The room that a printer can reach.',
    code: '`envelopeMm`',
    drawing: {
      ink:
        loop([30, 26], [76, 26], [76, 64], [30, 64]) +
        line([30, 26], [46, 10], [92, 10], [76, 26]) +
        line([92, 10], [92, 48], [76, 64]),
      accent: size([30, 69], [76, 69]),
    },
  },
  exposure: {
    word: 'exposure',
    says: 'How long light shines on a layer of resin to harden it.',
    code: '`exposureOf`',
    drawing: {
      solid: rect(34, 12, 52, 16),
      ink: line([20, 58], [100, 58]),
      accent: [40, 50, 60, 70, 80].map((x) => arrow([x, 56], [x, 31])).join(''),
    },
  },
  penetrationDepth: {
    word: 'penetration depth',
    says: 'How deep light goes into resin until it is a third as strong (Dp of the working curve).',
    code: '`penetrationMm`',
    drawing: {
      ink: line([20, 16], [100, 16]),
      thin: line([20, 48], [100, 48]),
      accent: size([84, 16], [84, 48]) + [34, 44, 54].map((x) => arrow([x, 6], [x, 40])).join(''),
    },
  },
  closedCavity: {
    word: 'closed cavity',
    says: 'A hollow without a way out: resin stays in it and never cures.',
    code: '`cavitiesOf`',
    drawing: { solid: rect(26, 12, 68, 50), accent: rect(42, 24, 36, 26) },
  },
  suctionCup: {
    word: 'suction cup',
    says: 'A hollow open only to the film of the vat: it sucks as the plate rises and may tear the part.',
    code: 'warning `resin.cup`',
    drawing: {
      solid: loop([30, 56], [30, 14], [90, 14], [90, 56], [80, 56], [80, 26], [40, 26], [40, 56]),
      ink: line([16, 60], [104, 60]),
      accent: arrow([60, 30], [60, 54]),
    },
  },
  drainHole: {
    word: 'drain hole',
    says: 'A small hole that lets resin out of a cavity and air in.',
    code: '`drainAt`',
    drawing: {
      solid: rect(26, 10, 68, 46),
      ink: rect(40, 22, 40, 22),
      accent: rect(57, 44, 6, 12) + arrow([60, 58], [60, 70]),
    },
  },
} satisfies Record<string, Term>;
