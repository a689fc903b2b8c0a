import type { FlatSection, SectionProperties } from './section';
import { bentWorst, borne, pulledBy, twistedBy, type Stress } from './stress';

/** A load on a part: pulled along the cut's own way, bent by a force square to it at the end of a lever, or twisted by one about it. N and mm. */
export type Load =
  | { kind: 'pulled'; forceN: number }
  | { kind: 'bent'; forceN: number; leverMm: number }
  | { kind: 'twisted'; forceN: number; leverMm: number };

/** What the part is made of there. */
export interface MadeOf {
  /** Stress that it bears again and again along its layers, MPa. */
  alongMpa: number;
  /** Share of that across its layers; 1 of what has none. */
  across: number;
  /** Between the way that is pulled and the layers, radians: π/2 where the cut runs along them. */
  angle: number;
}

export interface HowStrong {
  stress: Stress;
  /** What it bears there, MPa. */
  borneMpa: number;
  /** The force that it bears, N, with the same lever. */
  mostN: number;
  /** mostN over the force that was asked for. */
  times: number;
  /** By how much it would have to be thicker along the way that it is bent, or larger in area; null if it bears it. */
  thicker: number | null;
}

/** Guidance, by the theory of slender beams: notches, heat and age take more off. */
export function howStrong(
  section: FlatSection,
  own: SectionProperties,
  load: Load,
  { alongMpa, across, angle }: MadeOf,
): HowStrong {
  const stress = stressOf(section, own, load);
  const borneMpa = borne(alongMpa, across, angle);
  const times = borneMpa / stress.togetherMpa;
  const bends = load.kind === 'bent' && stress.normalMpa >= stress.togetherMpa;
  return {
    stress,
    borneMpa,
    mostN: times * load.forceN,
    times,
    thicker: times >= 1 ? null : thickerBy(1 / times, load.kind === 'twisted' ? 3 : bends ? 2 : 1),
  };
}

/** What is twisted goes with the cube of its thickness, what is bent with the square, what is pulled or sheared with its area. */
const thickerBy = (missing: number, power: 1 | 2 | 3) => missing ** (1 / power);

function stressOf(section: FlatSection, own: SectionProperties, load: Load): Stress {
  switch (load.kind) {
    case 'bent':
      return bentWorst(section, own, load.forceN, load.leverMm);
    case 'twisted':
      return twistedBy(section, load.forceN * load.leverMm);
    case 'pulled':
      return pulledBy(own, load.forceN);
  }
}
