import type { Effect } from '@core/foundations/fields';

/**
 * Edges that a step of a kind offers to be rounded or eased, by rule: the mouths of a hole, the outer edges at its top and bottom, those
 * at its ends, its upright ones, or all.
 */
export type OwnEdges = 'mouths' | 'rims' | 'ends' | 'upright' | 'all';

/** Where a kind stands in the list that a new step is chosen from. */
export type StepGroup = 'form' | 'holes' | 'again' | 'edges' | 'whole';

/** What is known of a kind of step, apart from its words and its solid. */
export interface StepFacts<Step> {
  /** A solid of its own, of which its effect says what becomes; or a change of what is there. */
  makes: 'solid' | 'change';
  group: StepGroup;
  /** A body may begin with it. */
  begins?: true;
  /** What has to be there before it: a step of a kind, or another body. */
  needs?: 'disc' | 'otherBody';
  /** What becomes of its solid, where the step itself does not say. */
  effect?: (step: Step) => Effect;
  /** It lies on the ground, on the axle line, unless it has a place of its own. */
  lies?: 'ground';
  /** Its outline can be taken for another one. */
  outlined?: true;
  /** It works on edges, so it can be done once more on those of a mirror image. */
  dresses?: true;
  edges: readonly OwnEdges[] | ((step: Step) => readonly OwnEdges[]);
  /** The kernel may call the solid sound though its triangles do not close (kernel-notes): they are looked at as well. */
  risky?: (step: Step) => boolean;
}
