import type { ConstructionNumber } from '@core/foundations/fault';
import type { ConstructionId } from '@core/measuring/measure';
import { ownValue } from '@core/foundations/own';

import { lengthWords } from './lengthNames';

interface ConstructionWords {
  name: string;
  /** When it helps, in a sentence. */
  when: string;
  /** Its numbers by their keys, as they stand in a sentence: "the outer edge to outer edge"; `itself` for all that it gives. */
  numbers: Readonly<Record<string, string>>;
}

const WORDS: Readonly<Record<ConstructionId, ConstructionWords>> = {
  'centres-from-both-edges': {
    name: 'Centres, over and between',
    when: 'Two holes or pegs of any diameter: over their far edges and between their near edges.',
    numbers: {
      far: 'over the far edges',
      near: 'between the near edges',
      result: 'centre to centre',
    },
  },
  'centres-from-near-edges': {
    name: 'Centres, from between',
    when: 'Two holes or pegs whose diameters are known: between their near edges.',
    numbers: {
      near: 'between the near edges',
      first: 'first diameter',
      second: 'second diameter',
      result: 'centre to centre',
    },
  },
  'centres-from-far-edges': {
    name: 'Centres, from over',
    when: 'Two holes or pegs whose diameters are known: over their far edges.',
    numbers: {
      far: 'over the far edges',
      first: 'first diameter',
      second: 'second diameter',
      result: 'centre to centre',
    },
  },
  'offset-from-edge': {
    name: 'Hole from an edge',
    when: 'How far a hole’s centre is from an edge: from the edge to the hole’s near rim, and the hole.',
    numbers: {
      gap: 'edge to near rim',
      hole: 'hole diameter',
      result: 'edge to centre',
    },
  },
  'radius-from-chord': {
    name: 'Radius from chord and height',
    when: 'A broken arc: straight across it, and its height over that.',
    numbers: {
      chord: 'straight across',
      height: 'height over it',
      result: 'radius',
    },
  },
  'radius-from-three-points': {
    name: 'Radius from three points',
    when: 'Three marks on a rim: the three straight distances between them.',
    numbers: {
      first: 'mark 1 to 2',
      second: 'mark 2 to 3',
      third: 'mark 3 to 1',
      result: 'radius',
    },
  },
  'diameter-from-string': {
    name: 'Diameter from a string',
    when: 'A string or strip wound tight round something: its length for so many turns, and its thickness.',
    numbers: {
      string: 'length of the string',
      turns: 'turns',
      thickness: 'thickness of the string',
      result: 'diameter',
    },
  },
  'bolt-circle': {
    name: 'Bolt circle',
    when: 'Holes evenly round a circle: from one centre to the next, and how many there are.',
    numbers: {
      next: 'one centre to the next',
      holes: 'number of holes',
      result: 'diameter of the circle',
    },
  },
  wall: {
    name: 'Wall',
    when: 'A tube or a cup: outside and inside.',
    numbers: {
      outside: 'outside',
      inside: 'inside',
      result: 'wall',
    },
  },
  'flats-to-corners': {
    name: 'Flats to corners',
    when: 'A bar or nut with 3, 4, 5, 6 or 8 sides: across its flats (from a flat to a corner for 3 and 5).',
    numbers: {
      flats: 'across the flats',
      sides: 'number of sides',
      result: 'across the corners',
    },
  },
  'corners-to-flats': {
    name: 'Corners to flats',
    when: 'The same from the circle through the corners.',
    numbers: {
      corners: 'across the corners',
      sides: 'number of sides',
      result: 'across the flats',
    },
  },
  'pitch-over-many': {
    name: 'Pitch over many',
    when: 'Threads, holes or teeth in a row: the length over so many steps from one to the next.',
    numbers: {
      over: 'length over them',
      steps: 'steps from one to the next',
      result: 'pitch',
    },
  },
  taper: {
    name: 'Taper',
    when: 'A cone or a tapered plug: the wide end, the narrow end, and how far apart they are.',
    numbers: {
      wide: 'wide diameter',
      narrow: 'narrow diameter',
      apart: 'length between',
      angle: 'angle of the whole cone',
      per100: 'taper on 100 mm',
      itself: 'taper',
    },
  },
  'angle-from-two': {
    name: 'Angle from a rise',
    when: 'A slope: how far along, and how far up at right angles to it.',
    numbers: {
      along: 'along',
      up: 'up',
      result: 'angle of the slope',
    },
  },
  'angle-from-three': {
    name: 'Angle from three lengths',
    when: 'An arm with a bend: from the bend along each leg to a mark, and straight from mark to mark.',
    numbers: {
      first: 'bend to mark 1',
      second: 'bend to mark 2',
      across: 'mark to mark',
      result: 'angle at the bend',
    },
  },
  'triangle-of-holes': {
    name: 'Triangle of holes',
    when: 'Three holes: the three centre distances. Gives where the third is, seen from the first two.',
    numbers: {
      base: 'hole 1 to 2',
      left: 'hole 1 to 3',
      right: 'hole 2 to 3',
      along: 'third hole, along from the first',
      up: 'third hole, up from the line',
    },
  },
  'gear-from-spans': {
    name: 'Spur gear',
    when: 'A worn or broken gear: count its teeth. Measure over the tips, over k teeth with the outside jaws, and to the axle of its mate.',
    numbers: {
      teeth: 'number of teeth',
      tip: 'over the tips',
      k: 'teeth between the jaws',
      span: 'over these teeth',
      mate: 'teeth of its mate',
      centres: 'axle to axle',
      module: 'module',
      pressureAngle: 'pressure angle',
      shift: 'profile shift',
      unworn: 'over the tips, unworn',
      mateShift: 'profile shift of its mate',
      itself: 'gear',
    },
  },
  'gear-from-two-spans': {
    name: 'Spur gear by itself',
    when: 'A gear whose tips are worn, or whose mate is gone: count its teeth. Measure over k teeth with the outside jaws, and over one more.',
    numbers: {
      teeth: 'number of teeth',
      k: 'teeth between the jaws',
      span: 'over these teeth',
      next: 'over one tooth more',
      module: 'module',
      pressureAngle: 'pressure angle',
      shift: 'profile shift',
      unworn: 'over the tips, unworn',
      itself: 'gear',
    },
  },
};

/** What a construction is called and when it helps. */
export const constructionWords = (id: ConstructionId): ConstructionWords => WORDS[id];

/** What a construction is called that a file names; null if it is not known here. */
export const constructionName = (id: string): string | null =>
  Object.hasOwn(WORDS, id) ? WORDS[id as ConstructionId].name : null;

/** One of a construction's numbers, or a length of a step, or what a person has named, in words. */
export function numberWords(what: string | ConstructionNumber): string {
  if (typeof what === 'string') return lengthWords(what);
  return ownValue(WORDS[what.construction as ConstructionId].numbers, what.key) ?? what.key;
}
