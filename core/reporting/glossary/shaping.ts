import { arrow, circle, line, loop, size } from './pens';
import type { Term } from './term';

/** Words of shaping, beside our verbs of recipes. */
export const SHAPING = {
  fillet: {
    word: 'fillet',
    says: 'A rounded edge (Round).',
    code: 'kind `fillet`',
    drawing: { solid: 'M24 62V12H70A26 26 0 0 1 96 38V62Z', accent: 'M70 12A26 26 0 0 1 96 38' },
  },
  chamfer: {
    word: 'chamfer',
    says: 'An edge cut off flat (Ease).',
    code: 'kind `chamfer`',
    drawing: {
      solid: loop([24, 62], [24, 12], [74, 12], [96, 34], [96, 62]),
      accent: line([74, 12], [96, 34]),
    },
  },
  draft: {
    word: 'draft',
    says: 'Sides that lean a little, so that a part comes out of a mould (Lean).',
    code: 'kind `draft`, `draft` of an extrude',
    drawing: {
      solid: loop([28, 62], [38, 12], [82, 12], [92, 62]),
      thin: line([92, 62], [92, 8]),
      accent: line([92, 62], [82, 12]),
    },
  },
  countersink: {
    word: 'countersink',
    says: 'A cone at the mouth of a hole, for a screw with a flat head.',
    code: '`head.kind: "sink"`',
    drawing: {
      solid: 'M16 20H38L52 36V60H16ZM104 20H82L68 36V60H104Z',
      accent: line([38, 20], [52, 36]) + line([82, 20], [68, 36]),
    },
  },
  counterbore: {
    word: 'seat',
    says: 'A wider, flat-bottomed mouth of a hole, for a screw head or a washer (counterbore).',
    code: '`head.kind: "seat"`',
    drawing: {
      solid: 'M16 16H38V34H52V60H16ZM104 16H82V34H68V60H104Z',
      accent: line([38, 16], [38, 34], [52, 34]) + line([82, 16], [82, 34], [68, 34]),
    },
  },
  shell: {
    word: 'hollow',
    says: 'A solid turned into an even wall, open where you say (shell).',
    code: 'kind `shell`',
    drawing: { solid: 'M24 12V62H96V12H88V54H32V12Z', accent: line([32, 12], [32, 54], [88, 54], [88, 12]) },
  },
  loft: {
    word: 'blend',
    says: 'A solid that goes over from one outline to another (loft).',
    code: 'kind `loft`',
    drawing: {
      solid: 'M24 60C36 40 46 30 46 14H76C76 30 88 40 98 60Z',
      accent: line([24, 60], [98, 60]) + line([46, 14], [76, 14]),
    },
  },
  revolve: {
    word: 'turn an outline',
    says: 'A solid that an outline sweeps as it turns round an axis (revolve).',
    code: 'kind `revolve`',
    drawing: {
      solid: 'M60 12H84V28H72V48H92V60H60Z',
      thin: line([60, 4], [60, 70]),
      accent: 'M44 18A22 7 0 0 0 60 26' + line([38, 22], [44, 17], [50, 20]),
    },
  },
  sweep: {
    word: 'run an outline along',
    says: 'A solid that an outline sweeps along a path (sweep).',
    code: 'kind `sweep`',
    drawing: {
      solid: 'M18 56C40 56 34 20 60 20S84 40 102 40V52C80 52 84 32 60 32S44 68 18 68Z',
      accent: circle(18, 62, 6),
    },
  },
  undercut: {
    word: 'undercut',
    says: 'A shape that catches behind another, so that it does not come out straight.',
    code: '`hook`',
    drawing: {
      solid: loop([30, 62], [30, 12], [46, 12], [66, 30], [66, 38], [46, 34], [46, 62]),
      accent: line([66, 38], [46, 34]),
    },
  },
  pitch: {
    word: 'pitch',
    says: 'The distance from one turn of a thread, one hole or one tooth to the next.',
    code: '`pitch`',
    drawing: {
      solid: loop(
        [14, 62],
        [14, 40],
        [24, 22],
        [34, 40],
        [44, 22],
        [54, 40],
        [64, 22],
        [74, 40],
        [84, 22],
        [94, 40],
        [106, 40],
        [106, 62],
      ),
      accent: size([24, 14], [44, 14]),
    },
  },
  blindHole: {
    word: 'blind hole',
    says: 'A hole that does not go right through.',
    code: 'a `depth` that is a length',
    drawing: { solid: 'M16 14H48V44L60 52L72 44V14H104V62H16Z', accent: arrow([60, 8], [60, 42]) },
  },
  stl: {
    word: 'STL',
    says: 'A file of triangles that every slicer reads; it has no units, ours are millimetres.',
    code: '`formats`',
    drawing: {
      ink: loop([24, 58], [60, 12], [96, 58]) + line([42, 35], [78, 35], [60, 58], [42, 35]),
      accent: loop([42, 35], [78, 35], [60, 58]),
    },
  },
  step: {
    word: 'STEP',
    says: 'A file of the exact solid (ISO 10303), for those who draw or machine it further.',
    code: '`formats`',
    drawing: {
      solid: 'M24 60V24A36 14 0 0 1 96 24V60A36 10 0 0 1 24 60Z',
      accent: 'M24 24A36 12 0 0 0 96 24',
    },
  },
} satisfies Record<string, Term>;
