import { useState } from 'react';

import type { DrawnOutline } from '@core/foundations/fields';
import { isSamePoint } from '@core/foundations/tolerance';
import { numberValue } from '@core/record/model';
import { curveName } from '@core/shaping/drawn';
import { looksOf, withCurve, withPoint, withRelation, type NewRelation } from '@core/shaping/drawnEdits';

import type { Hit } from './boardView';
import type { Drawing } from './useDrawing';

type Place = readonly [x: number, y: number];
export type Tool = 'line' | 'arc' | 'circle' | 'rectangle' | 'polygon';

/** A line this near to level or upright, px, is drawn so. */
const SNAP_PX = 11;

/** What is being drawn: with what, from which point, and what came last. */
export interface Lines {
  tool: Tool | null;
  /** Places that the curve has so far, mm. */
  begun: readonly Place[];
  /** What the curve that came last looks like: to be taken by a tap. */
  looks: readonly NewRelation[];
  /** What is to be done next, and what the last tap caught, in words. */
  hint: string;
  isHelper: boolean;
  take(tool: Tool | null): void;
  setHelper(isHelper: boolean): void;
  tap(hit: Hit, at: Place, perPx: number): void;
  /** To a place by its numbers, mm: from the last point, or from where the outline begins. */
  typed(offset: Place): void;
  takeLook(relation: NewRelation): void;
}

const HINTS: Record<Tool, readonly string[]> = {
  line: ['Tap where the line begins.', 'Tap where it ends.'],
  arc: ['Tap where the arc begins.', 'Tap a place it goes through.', 'Tap where it ends.'],
  circle: ['Tap its middle.', 'Tap its rim.'],
  rectangle: ['Tap one corner.', 'Tap the corner opposite.'],
  polygon: ['Tap its middle.', 'Tap one corner.'],
};
const SIDES = 6;

export function useLines(drawing: Drawing | null): Lines {
  const [tool, setTool] = useState<Tool | null>(null);
  const [from, setFrom] = useState<string | null>(null);
  const [via, setVia] = useState<Place | null>(null);
  const [looks, setLooks] = useState<readonly NewRelation[]>([]);
  const [caught, setCaught] = useState('');
  const [isHelper, setHelper] = useState(false);
  const placeOf = (id: string) => drawing?.studied.points.get(id);
  const fromAt = from === null ? undefined : placeOf(from);
  const start = (next: Tool | null) => {
    setTool(next);
    setVia(null);
    setLooks([]);
    setCaught('');
    // From line to arc and back the run goes on.
    const runsOn = (next === 'line' || next === 'arc') && (tool === 'line' || tool === 'arc');
    if (!runsOn) setFrom(null);
  };
  const helper = isHelper ? { helper: true as const } : {};

  const draw = (hit: Hit, tapped: Place, snapMm: number) => {
    if (!drawing || !tool) return;
    const { outline } = drawing;
    const onPoint = hit?.point;
    const snapped = onPoint
      ? { at: placeOf(onPoint)!, words: 'On a point that is there.' }
      : snappedTo(tapped, fromAt, snapMm);
    const at = snapped.at;
    setCaught(snapped.words);
    if (from === null || !fromAt) {
      if (onPoint) setFrom(onPoint);
      else {
        const [next, id] = withPoint(outline, at);
        drawing.keep(onCurveIf(next, id, hit), 'Point drawn.');
        setFrom(id);
      }
      setLooks([]);
      return;
    }
    if (tool === 'arc' && !via) {
      setVia(at);
      return;
    }
    const done = (next: DrawnOutline, last: string | null, curve: string | null, words: string) => {
      const studied = drawing.tried(next);
      drawing.keep(next, words);
      setVia(null);
      setFrom(last);
      setLooks(curve ? looksOf(studied, next, curve) : []);
    };
    if (tool === 'line' || tool === 'arc') {
      if (onPoint === from) return;
      let next = outline;
      let to = onPoint;
      if (to === undefined) {
        [next, to] = withPoint(next, at);
        next = onCurveIf(next, to, hit);
      }
      const isClosed = outline.curves.some(
        (curve) => (curve.kind === 'line' || curve.kind === 'arc') && (curve.from === to || curve.to === to),
      );
      let curve: string;
      if (tool === 'line') [next, curve] = withCurve(next, { kind: 'line', from, to, ...helper });
      else {
        const [added, middle] = withPoint(next, via!);
        [next, curve] = withCurve(added, { kind: 'arc', from, via: middle, to, ...helper });
      }
      done(next, isClosed ? null : to, curve, tool === 'line' ? 'Line drawn.' : 'Arc drawn.');
      return;
    }
    const reach = Math.hypot(at[0] - fromAt[0], at[1] - fromAt[1]);
    if (reach === 0) return;
    if (tool === 'circle') {
      const [next] = withCurve(outline, {
        kind: 'circle',
        middle: from,
        diameter: numberValue(2 * reach),
        ...helper,
      });
      done(next, null, null, 'Circle drawn.');
    } else if (tool === 'rectangle')
      done(withRectangle(outline, from, fromAt, at), null, null, 'Rectangle drawn.');
    else done(withPolygon(outline, from, fromAt, at), null, null, 'Polygon drawn.');
  };
  const begun = [...(fromAt ? [fromAt] : []), ...(via ? [via] : [])];
  return {
    tool,
    begun: tool ? begun : [],
    looks,
    hint: tool
      ? `${caught ? `${caught} ` : ''}${HINTS[tool][Math.min(begun.length, HINTS[tool].length - 1)]}`
      : '',
    isHelper,
    take: start,
    setHelper,
    tap: (hit, at, perPx) => draw(hit, at, perPx * SNAP_PX),
    typed: ([dx, dy]) => {
      const [x, y] = fromAt ?? [0, 0];
      const at: Place = [x + dx, y + dy];
      // A place that is there already is that point.
      const there = [...(drawing?.studied.points ?? [])].find(([, point]) => isSamePoint(point, at));
      draw(there ? { point: there[0] } : null, at, 0);
    },
    takeLook: (relation) => {
      if (!drawing) return;
      drawing.keep(withRelation(drawing.outline, relation), 'Relation taken.');
      setLooks(looks.filter((one) => one !== relation));
    },
  };
}

/** A point that was put on a curve is held there. */
const onCurveIf = (outline: DrawnOutline, point: string, hit: Hit): DrawnOutline => {
  if (hit?.curve === undefined) return outline;
  const curve = outline.curves.find((one, index) => curveName(one, index) === hit.curve);
  return curve && curve.kind !== 'spline'
    ? withRelation(outline, { kind: 'onCurve', point, curve: hit.curve })
    : outline;
};

/** A place made level or upright with the one before it, where it nearly is. */
function snappedTo(at: Place, from: Place | undefined, snapMm: number): { at: Place; words: string } {
  if (!from || snapMm === 0) return { at, words: '' };
  if (Math.abs(at[1] - from[1]) < snapMm)
    return { at: [at[0], from[1]], words: 'Level with the last point.' };
  if (Math.abs(at[0] - from[0]) < snapMm)
    return { at: [from[0], at[1]], words: 'Upright over the last point.' };
  return { at, words: '' };
}

function withRectangle(outline: DrawnOutline, first: string, [ax, ay]: Place, [bx, by]: Place): DrawnOutline {
  const [one, b] = withPoint(outline, [bx, ay]);
  const [two, c] = withPoint(one, [bx, by]);
  const [three, d] = withPoint(two, [ax, by]);
  let next = three;
  const corners = [first, b, c, d];
  for (const [index, from] of corners.entries())
    [next] = withCurve(next, { kind: 'line', from, to: corners[(index + 1) % 4]! });
  next = withRelation(next, { kind: 'level', points: [first, b] });
  next = withRelation(next, { kind: 'upright', points: [b, c] });
  next = withRelation(next, { kind: 'level', points: [c, d] });
  return withRelation(next, { kind: 'upright', points: [d, first] });
}

/** A regular one: every corner is the one before it, turned about the middle. */
function withPolygon(outline: DrawnOutline, middle: string, [mx, my]: Place, [ax, ay]: Place): DrawnOutline {
  const angle = (2 * Math.PI) / SIDES;
  const corners: string[] = [];
  let next = outline;
  for (let index = 0; index < SIDES; index += 1) {
    const [cos, sin] = [Math.cos(index * angle), Math.sin(index * angle)];
    const [dx, dy] = [ax - mx, ay - my];
    const [added, id] = withPoint(next, [mx + cos * dx - sin * dy, my + sin * dx + cos * dy]);
    next = added;
    corners.push(id);
  }
  for (const [index, from] of corners.entries())
    [next] = withCurve(next, { kind: 'line', from, to: corners[(index + 1) % SIDES]! });
  for (let index = 1; index < SIDES; index += 1)
    next = withRelation(next, {
      kind: 'turned',
      points: [corners[index - 1]!, corners[index]!],
      about: middle,
      angle,
    });
  return next;
}
