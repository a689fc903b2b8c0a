import { no, ok, type LookedFor, type Result, type StepFault } from '@core/foundations/fault';
import { type Shape, type Scope, edgesWhere, type TaggedSolid, facesByEdge } from '@core/shaping/kernel';
import type { EdgeRule } from '@core/record/model';
import { anyCopy, roleOf, stepOfTag, type FaceTag, type Origins } from '@core/shaping/part';

import { isHollow } from './edgeTurn';
import { edgesOfPicks, faceOfPick } from './picks';
import type { StepNumbers } from './stepKind';

type Earlier = ReadonlyMap<string, StepNumbers>;

/** Edges that a rule catches on a solid, or what it was looking for. The caller's scope owns them. */
export function edgesOfRule(
  scope: Scope,
  solid: TaggedSolid,
  rule: EdgeRule,
  earlier: Earlier,
): Result<Shape[], StepFault> {
  if (rule.edges === 'picked') return edgesOfPicks(scope, solid, rule.picks, earlier);
  const edges = caught(scope, solid, rule, earlier);
  if (!edges.ok) return edges;
  return edges.value.length > 0
    ? edges
    : no({ code: 'step.pickLost', lookingFor: edgesLookedFor(rule, earlier) });
}

function caught(
  scope: Scope,
  solid: TaggedSolid,
  rule: Exclude<EdgeRule, { edges: 'picked' }>,
  earlier: Earlier,
): Result<Shape[], StepFault> {
  const where = (wanted: (origins: Origins, others: Origins) => boolean) =>
    ok(edgesWhere(scope, solid, wanted));
  const ofStep = (id: string) => (tag: FaceTag) => stepOfTag(tag) === id;
  switch (rule.edges) {
    case 'face':
      return rimOf(scope, solid, rule.face, earlier);
    case 'insides':
      return ok(hollowEdges(scope, solid));
    case 'all':
      return where((origins, others) => isOwn(ofStep(rule.of), origins, others));
    case 'between': {
      const [one, other] = [ofStep(rule.of), ofStep(rule.and)];
      // What became one face with the other's is no place where they meet.
      return where(
        (origins, others) =>
          origins.some(one) && !origins.some(other) && others.some(other) && !others.some(one),
      );
    }
    case 'mouths': {
      if (!earlier.has(rule.of)) return ok([]);
      const own = ofStep(rule.of);
      const isWall = (tag: FaceTag) => own(tag) && anyCopy(roleOf(tag)) === 'wall';
      return where((origins, others) => origins.some(isWall) && !others.some(own));
    }
    case 'rims':
    case 'upright': {
      const of = earlier.get(rule.of);
      if (!of) return ok([]);
      const own = ofStep(rule.of);
      const isCap = (tag: FaceTag) => own(tag) && CAPS.includes(anyCopy(roleOf(tag)));
      const isSide = (tag: FaceTag) => own(tag) && !CAPS.includes(anyCopy(roleOf(tag)));
      if (rule.edges === 'upright') {
        return where((origins, others) => origins.some(isSide) && others.some(isSide));
      }
      const { end } = rule;
      const isWanted = (tag: FaceTag) => isCap(tag) && (!end || anyCopy(roleOf(tag)) === end);
      // A cut has lost the cap that lay outside: there its sides meet whatever was there before.
      const isOpen = of.cuts && (!end || ![...solid.allTags()].some(isWanted));
      return where(
        (origins, others) =>
          origins.some(isSide) &&
          (others.some(isWanted) || (isOpen && !others.some(own) && isOwn(own, origins, others))),
      );
    }
  }
}

/** The faces at the ends of what is raised, run or turned part of the way. */
const CAPS = ['top', 'bottom', 'start', 'end'];

/**
 * Whether an edge of a step's face is an edge of the step. Where its face became one with that of another step, edges
 * between that one and the other step's own faces are the other's.
 */
function isOwn(own: (tag: FaceTag) => boolean, origins: Origins, others: Origins): boolean {
  if (!origins.some(own)) return false;
  if (others.some(own)) return true;
  const merged = origins.filter((tag) => !own(tag)).map(stepOfTag);
  return !others.some((tag) => merged.includes(stepOfTag(tag)));
}

function rimOf(
  scope: Scope,
  solid: TaggedSolid,
  pick: Extract<EdgeRule, { edges: 'face' }>['face'],
  earlier: Earlier,
): Result<Shape[], StepFault> {
  const face = faceOfPick(scope, solid, pick, earlier);
  if (!face.ok) return face;
  const edges = [...facesByEdge(solid.kernel, scope, solid.shape).entries()].flatMap(([edge, faces]) => {
    const isSeam = faces.length === 2 && faces[0]!.IsSame(faces[1]!);
    return !isSeam && faces.some((one) => one.IsSame(face.value)) ? [edge] : [];
  });
  return ok(edges);
}

/** Edges at which the material makes a hollow corner, so that a fingertip or a load finds it. */
function hollowEdges(scope: Scope, { kernel, shape }: TaggedSolid): Shape[] {
  return [...facesByEdge(kernel, scope, shape).entries()].flatMap(([edge, faces]) => {
    const [first, second] = faces;
    if (!first || !second || first.IsSame(second)) return [];
    return isHollow(kernel, edge, first, second) ? [edge] : [];
  });
}

function edgesLookedFor(rule: EdgeRule, earlier: Earlier): LookedFor {
  const named = [...('of' in rule ? [rule.of] : []), ...('and' in rule ? [rule.and] : [])];
  return { is: 'edges', rule: rule.edges, gone: !named.every((id) => earlier.has(id)) };
}
