import type { DrawnCurve, DrawnOutline } from '@core/foundations/fields';
import { isSamePoint } from '@core/foundations/tolerance';
import { pointsOfCurve, type Place, type SolvedDrawing } from '@core/shaping/drawn';

import { crossingsWith, isPlain, isWithin, placeAt, shareAt, wholeShare, type PlainCurve } from './crossings';
import { loosened, withEnd, withEndAt, withVia } from './ends';
import { faceOf, withCurve, withNames, withPoint, withRelation } from './names';

type Solved = Pick<SolvedDrawing, 'points' | 'curves'>;

/** An outline of which a curve was cut or made longer. */
export interface CutOutline {
  outline: DrawnOutline;
  /** What was said of the curve from end to end (halfway, as long as another, its rise) holds no more. */
  isLoosened: boolean;
}

/** Why a curve can't be cut there. */
export type CutFault =
  /** Smooth curves and ellipses. */
  | 'notPlain'
  /** No other curve crosses it; or a circle only once. */
  | 'nothingCrosses'
  /** There is no other curve beyond its end. */
  | 'nothingBeyond'
  /** A circle has no ends. */
  | 'noEnds'
  /** At one of its ends. */
  | 'atItsEnd'
  /** It ends where the edge does that it follows. */
  | 'follows';

type Cut = { ok: true; value: CutOutline } | { ok: false; fault: CutFault };
const refused = (fault: CutFault): Cut => ({ ok: false, fault });

/** A place where a curve is cut, and the curve that cuts it there. */
interface Crossing {
  share: number;
  at: Place;
  other: string;
}

/** Crossings of a curve, continued, with all others, in order along it. */
function crossingsOf(curve: PlainCurve, { curves }: Solved): Crossing[] {
  return curves
    .flatMap((other): Crossing[] =>
      other.id === curve.id || !isPlain(other)
        ? []
        : crossingsWith(curve, other).map((at) => ({ share: shareAt(curve, at), at, other: other.id })),
    )
    .sort((a, b) => a.share - b.share);
}

/** The point at a place: one that is there, or a new one that is held by the curve that crosses. */
function pointAt(outline: DrawnOutline, { points }: Solved, { at, other }: Crossing): [DrawnOutline, string] {
  const drawn = new Set(outline.curves.flatMap(pointsOfCurve));
  const there = [...points].find(([id, place]) => drawn.has(id) && isSamePoint(place, at));
  if (there) return [outline, there[0]];
  const [added, id] = withPoint(outline, at);
  return [withRelation(added, { kind: 'onCurve', point: id, curve: other }), id];
}

/**
 * A curve in two: it ends at one point, and the rest of it, held to the same line or circle, runs from another to where it ended.
 *
 * @param via a place halfway along the rest.
 */
function withRest(
  whole: DrawnOutline,
  curve: DrawnCurve & { id: string; kind: 'line' | 'arc' },
  [end, from]: readonly [string, string],
  via: Place,
): DrawnOutline {
  const { id, kind, to } = curve;
  const outline = withEndAt(whole, id, 'to', end);
  const isOnePoint = end === from;
  // Its faces are its own: those of the first piece keep the name.
  const named = curve.helper ? { helper: curve.helper } : {};
  if (kind === 'line') {
    const [next, rest] = withCurve(outline, { kind: 'line', from, to, ...named });
    // Of a line that begins where the other ends, the far end alone is left to be held.
    return withRelation(
      next,
      isOnePoint ? { kind: 'onCurve', point: to, curve: id } : { kind: 'collinear', curves: [id, rest] },
    );
  }
  const [added, middle] = withPoint(outline, via);
  const [next, rest] = withCurve(added, { kind: 'arc', from, via: middle, to, ...named });
  const about = withRelation(next, { kind: 'concentric', curves: [id, rest] });
  return isOnePoint ? about : withRelation(about, { kind: 'equal', curves: [id, rest] });
}

/** The plain curve of a name, as drawn and as solved. */
function curveOf(outline: DrawnOutline, { curves }: Solved, id: string) {
  const drawn = withNames(outline).curves.find((curve) => curve.id === id);
  const solved = curves.find((curve) => curve.id === id);
  return drawn && solved && isPlain(solved) ? { drawn: drawn as DrawnCurve & { id: string }, solved } : null;
}

/**
 * A curve without the piece at a place: from the crossing before it to the one after it. Of a circle an arc is left, and the circle stays as a
 * construction line with all that was said of it.
 */
export function withTrimmed(outline: DrawnOutline, solved: Solved, id: string, at: Place): Cut {
  const curve = curveOf(outline, solved, id);
  if (!curve) return refused('notPlain');
  const here = shareAt(curve.solved, at);
  const crossings = crossingsOf(curve.solved, solved).filter(
    ({ share, at: place }) =>
      curve.solved.kind === 'circle' ||
      (share > 0 &&
        share < 1 &&
        !isSamePoint(place, curve.solved.from) &&
        !isSamePoint(place, curve.solved.to)),
  );
  const before = crossings.filter(({ share }) => share < here).at(-1);
  const after = crossings.find(({ share }) => share >= here);
  if (curve.solved.kind === 'circle') {
    const [last, first] = [before ?? crossings.at(-1), after ?? crossings[0]];
    if (!last || !first || isSamePoint(last.at, first.at)) return refused('nothingCrosses');
    return {
      ok: true,
      value: { outline: circleTrimmed(outline, solved, curve.solved, last, first), isLoosened: false },
    };
  }
  if (!before && !after) return refused('nothingCrosses');
  const { drawn } = curve;
  if (drawn.kind !== 'line' && drawn.kind !== 'arc') return refused('notPlain');
  if (drawn.follows) return refused('follows');
  const [free, isLoosened] = loosened(withNames(outline), id);
  const cut = (next: DrawnOutline): Cut => ({ ok: true, value: { outline: next, isLoosened } });
  const firstHalf = placeAt(curve.solved, (before?.share ?? 0) / 2);
  const lastHalf = placeAt(curve.solved, ((after?.share ?? 1) + 1) / 2);
  if (!before) {
    const [added, point] = pointAt(free, solved, after!);
    return cut(withVia(withEnd(added, id, 'from', point), id, lastHalf));
  }
  const [one, end] = pointAt(free, solved, before);
  if (!after) return cut(withVia(withEnd(one, id, 'to', end), id, firstHalf));
  const [two, from] = pointAt(one, solved, after);
  return cut(withVia(withRest(two, { ...drawn, id }, [end, from], lastHalf), id, firstHalf));
}

function circleTrimmed(
  outline: DrawnOutline,
  solved: Solved,
  circle: Extract<PlainCurve, { kind: 'circle' }>,
  last: Crossing,
  first: Crossing,
): DrawnOutline {
  const named = withNames(outline);
  const [one, from] = pointAt(named, solved, first);
  const [two, to] = pointAt(one, solved, last);
  const left = (last.share - first.share + 1) % 1;
  const [three, via] = withPoint(two, placeAt(circle, first.share + left / 2));
  const drawn = named.curves.find(({ id }) => id === circle.id)!;
  const [four, arc] = withCurve(three, {
    kind: 'arc',
    from,
    via,
    to,
    ...(drawn.helper ? { helper: true } : {}),
    ...faceOf(drawn),
  });
  const five = withRelation(four, { kind: 'concentric', curves: [circle.id, arc] });
  const six = withRelation(five, { kind: 'equal', curves: [circle.id, arc] });
  return {
    ...six,
    curves: six.curves.map((curve) => (curve.id === circle.id ? { ...curve, helper: true } : curve)),
  };
}

/** A line or an arc in two, at a place on it. */
export function withSplit(outline: DrawnOutline, solved: Solved, id: string, at: Place): Cut {
  const curve = curveOf(outline, solved, id);
  if (!curve) return refused('notPlain');
  const { drawn, solved: whole } = curve;
  if (whole.kind === 'circle' || (drawn.kind !== 'line' && drawn.kind !== 'arc')) return refused('noEnds');
  if (drawn.follows) return refused('follows');
  const share = shareAt(whole, at);
  const place = placeAt(whole, share);
  if (!(share > 0 && share < 1) || isSamePoint(place, whole.from) || isSamePoint(place, whole.to))
    return refused('atItsEnd');
  const [free, isLoosened] = loosened(withNames(outline), id);
  const [added, point] = withPoint(free, place);
  const rest = withRest(added, { ...drawn, id }, [point, point], placeAt(whole, (share + 1) / 2));
  return { ok: true, value: { outline: withVia(rest, id, placeAt(whole, share / 2)), isLoosened } };
}

/** A line or an arc, longer at the end that is nearer to a place, as far as the next curve there. */
export function withExtended(outline: DrawnOutline, solved: Solved, id: string, at: Place): Cut {
  const curve = curveOf(outline, solved, id);
  if (!curve) return refused('notPlain');
  const { solved: whole } = curve;
  if (whole.kind === 'circle') return refused('noEnds');
  if (curve.drawn.follows) return refused('follows');
  const off = ([x, y]: Place) => Math.hypot(x - at[0], y - at[1]);
  const isTo = off(whole.to) <= off(whole.from);
  const beyond = crossingsOf(whole, solved).filter(({ at: place }) => !isWithin(whole, place));
  // An arc that is continued past its end comes to its beginning at last.
  const after = beyond.filter(({ share }) => share > 1);
  const before = whole.kind === 'arc' ? after : beyond.filter(({ share }) => share < 0);
  const next = isTo ? after[0] : before.at(-1);
  if (!next) return refused('nothingBeyond');
  const [free, isLoosened] = loosened(withNames(outline), id);
  const [added, point] = pointAt(free, solved, next);
  const ended = withEnd(added, id, isTo ? 'to' : 'from', point);
  const long = isTo ? next.share : whole.kind === 'arc' ? next.share - wholeShare(whole) : next.share;
  return {
    ok: true,
    value: { outline: withVia(ended, id, placeAt(whole, isTo ? long / 2 : (1 + long) / 2)), isLoosened },
  };
}
