import { useMemo, useState } from 'react';

import type { DrawnOutline } from '@core/foundations/fields';
import { isSamePoint } from '@core/foundations/tolerance';
import { numberValue } from '@core/record/model';
import { AREAS_FAULT_SENTENCES, CUT_FAULT_SENTENCES } from '@core/reporting/wording';
import { curveName } from '@core/shaping/drawn';
import {
  areaAt,
  areasOf,
  faultOfAreas,
  goesOnFrom,
  looksOf,
  withArcAbout,
  withAreas,
  withCurve,
  withExtended,
  withPoint,
  withPolygon,
  withRectangle,
  withRelation,
  withSlot,
  withSplit,
  withTangentArc,
  withTrimmed,
  type Area,
  type NewRelation,
} from '@core/shaping/drawnEdits';

import { curveNear, type Hit } from './boardView';
import { HINTS, isCutTool, isDrawTool, isRunTool, type CutTool, type Tool } from './tools';
import type { Drawing } from './useDrawing';
import type { Follow } from './useFollowing';

type Place = readonly [x: number, y: number];

/** A line this near to level or upright, px, is drawn so. */
const SNAP_PX = 11;
/** A finger means a curve this near to it, px. */
const CUT_REACH_PX = 24;
const NO_SIZE = 'That would have no size.';
/** What says how broad something is lies off its first point both ways: it is not drawn onto it. */
const isAcross = (tool: Tool, count: number) =>
  tool === 'rectangle' || tool === 'ellipse' || (tool === 'slot' && count === 2);
/** Sides of the first polygon. */
const SIDES = 6;

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
  sides: number;
  /** Areas that the outline is to go round. */
  filled: readonly Area[];
  /** Makes them the outline, and what else is drawn construction lines. */
  takeAreas(): void;
  /** A smooth curve has points enough to end. */
  mayEnd: boolean;
  take(tool: Tool | null): void;
  setHelper(isHelper: boolean): void;
  setSides(sides: number): void;
  /** Ends a smooth curve. */
  end(): void;
  tap(hit: Hit, at: Place, perPx: number): void;
  /** To a place by its numbers, mm: from the last point, or from where the outline begins. */
  typed(offset: Place): void;
  takeLook(relation: NewRelation): void;
}

/** Areas that are chosen, of a drawing as it was then. */
interface Taken {
  of: DrawnOutline | null;
  areas: ReadonlySet<number>;
}
const NONE_TAKEN: Taken = { of: null, areas: new Set() };

/** @param follow lets the drawing follow what lies at a place. */
export function useLines(drawing: Drawing | null, follow: Follow): Lines {
  const [tool, setTool] = useState<Tool | null>(null);
  /** Points that the curve has so far. */
  const [through, setThrough] = useState<readonly string[]>([]);
  const [via, setVia] = useState<Place | null>(null);
  const [looks, setLooks] = useState<readonly NewRelation[]>([]);
  const [caught, setCaught] = useState('');
  const [isHelper, setHelper] = useState(false);
  const [sides, setSides] = useState(SIDES);
  const [taken, setTaken] = useState<Taken>(NONE_TAKEN);
  const placeOf = (id: string) => drawing?.studied.points.get(id);
  const places = through.map(placeOf).filter((place) => place !== undefined);
  const from = through.at(-1);
  const fromAt = from === undefined ? undefined : placeOf(from);
  const helper = isHelper ? { helper: true as const } : {};
  const start = (next: Tool | null) => {
    // What has points enough is a curve, and not lost.
    if (tool === 'smooth') endSmooth(through, false);
    setTool(next);
    setTaken(NONE_TAKEN);
    setVia(null);
    setLooks([]);
    setCaught('');
    // From line to arc and back the run goes on.
    if (!(isRunTool(next) && isRunTool(tool))) setThrough([]);
  };
  const endSmooth = (points: readonly string[], closed: boolean) => {
    setThrough([]);
    if (!drawing || points.length < (closed ? 3 : 2)) return;
    const [next, curve] = withCurve(drawing.outline, {
      kind: 'spline',
      points: [...points],
      closed,
      ...helper,
    });
    drawing.keep(next, 'Smooth curve drawn.');
    setLooks(looksOf(drawing.tried(next), next, curve));
  };

  /** The point at a place: the one that was hit, or a new one, held to the curve that was hit. */
  const pointAt = (outline: DrawnOutline, hit: Hit, at: Place): [DrawnOutline, string] => {
    if (hit?.point !== undefined) return [outline, hit.point];
    const [next, id] = withPoint(outline, at);
    return [onCurveIf(next, id, hit), id];
  };

  const draw = (hit: Hit, tapped: Place, snapMm: number) => {
    if (!drawing || !tool || !isDrawTool(tool)) return;
    const { outline } = drawing;
    const onPoint = hit?.point;
    const snapped =
      onPoint !== undefined
        ? { at: placeOf(onPoint)!, words: 'On a point that is there.' }
        : snappedTo(tapped, fromAt, isAcross(tool, through.length) ? 0 : snapMm);
    const at = snapped.at;
    setCaught(snapped.words);
    const goOn = (next: DrawnOutline, id: string) => {
      if (next !== outline) drawing.keep(next, 'Point drawn.');
      setThrough([...through, id]);
    };
    const done = (next: DrawnOutline, last: string | null, curve: string | null, words: string) => {
      const studied = drawing.tried(next);
      drawing.keep(next, words);
      setVia(null);
      setThrough(last === null ? [] : [last]);
      setLooks(curve ? looksOf(studied, next, curve) : []);
    };
    if (from === undefined || !fromAt) {
      goOn(...pointAt(outline, hit, at));
      setLooks([]);
      return;
    }
    const reach = Math.hypot(at[0] - fromAt[0], at[1] - fromAt[1]);
    switch (tool) {
      case 'smooth':
        if (onPoint === through[0] && through.length > 2) endSmooth(through, true);
        else if (onPoint === undefined || !through.includes(onPoint)) goOn(...pointAt(outline, hit, at));
        return;
      case 'slot': {
        if (through.length === 1) {
          if (reach > 0 && onPoint !== from) goOn(...pointAt(outline, hit, at));
          return;
        }
        const [a, b] = [places[0]!, fromAt];
        const radius = Math.abs(offLine(at, a, b));
        if (radius <= 0) setCaught(NO_SIZE);
        else done(withSlot(outline, [through[0]!, from], [a, b], radius), null, null, 'Slot drawn.');
        return;
      }
      case 'line':
      case 'arc': {
        if (tool === 'arc' && !via) {
          setVia(at);
          return;
        }
        if (onPoint === from) return;
        const [ended, to] = pointAt(outline, hit, at);
        const last = isEndOfRun(outline, to) ? null : to;
        if (tool === 'line') {
          const [next, curve] = withCurve(ended, { kind: 'line', from, to, ...helper });
          done(next, last, curve, 'Line drawn.');
        } else {
          const [added, middle] = withPoint(ended, via!);
          const [next, curve] = withCurve(added, { kind: 'arc', from, via: middle, to, ...helper });
          done(next, last, curve, 'Arc drawn.');
        }
        return;
      }
      case 'tangentArc': {
        if (onPoint === from) return;
        const [ended, to] = pointAt(outline, hit, at);
        const arc = withTangentArc(ended, drawing.studied, from, { id: to, at }, helper);
        if (arc) done(arc[0], isEndOfRun(outline, to) ? null : to, null, 'Arc drawn.');
        else
          setCaught(goesOnFrom(outline, drawing.studied, from) ? 'Straight ahead it is no arc.' : NO_TANGENT);
        return;
      }
      case 'arcAbout': {
        if (through.length === 1) {
          if (reach > 0 && onPoint !== from) goOn(...pointAt(outline, hit, at));
          return;
        }
        const arc = withArcAbout(outline, [through[0]!, from], [places[0]!, fromAt, at], helper);
        if (arc) done(arc[0], null, null, 'Arc drawn.');
        else setCaught('Tap less or more than half round.');
        return;
      }
      case 'circle':
        if (reach <= 0) setCaught(NO_SIZE);
        else {
          const diameter = numberValue(2 * reach);
          const [next] = withCurve(outline, { kind: 'circle', middle: from, diameter, ...helper });
          done(next, null, null, 'Circle drawn.');
        }
        return;
      case 'ellipse': {
        const [length, breadth] = [Math.abs(at[0] - fromAt[0]), Math.abs(at[1] - fromAt[1])];
        if (length <= 0 || breadth <= 0) setCaught(NO_SIZE);
        else {
          const [next] = withCurve(outline, {
            kind: 'ellipse',
            middle: from,
            length: numberValue(2 * length),
            breadth: numberValue(2 * breadth),
            ...helper,
          });
          done(next, null, null, 'Ellipse drawn.');
        }
        return;
      }
      case 'rectangle':
        if (at[0] === fromAt[0] || at[1] === fromAt[1]) setCaught(NO_SIZE);
        else done(withRectangle(outline, from, fromAt, at), null, null, 'Rectangle drawn.');
        return;
      case 'polygon':
        if (reach <= 0) setCaught(NO_SIZE);
        else done(withPolygon(outline, from, fromAt, at, sides), null, null, 'Polygon drawn.');
    }
  };
  const cut = (act: CutTool, at: Place, reachMm: number) => {
    if (!drawing) return;
    const curve = curveNear(at, drawing.studied.curves, reachMm);
    if (curve === null) {
      setCaught('No curve is there.');
      return;
    }
    const result = CUTS[act].cut(drawing.outline, drawing.studied, curve, at);
    if (!result.ok) {
      setCaught(CUT_FAULT_SENTENCES[result.fault]);
      return;
    }
    const { outline, isLoosened } = result.value;
    const words = isLoosened
      ? `${CUTS[act].done} What held it from end to end (halfway, equal, its rise) is let go.`
      : CUTS[act].done;
    setCaught(words);
    drawing.keep(outline, words);
  };
  const areas = useMemo(
    () => (tool === 'area' && drawing ? areasOf(drawing.studied.curves) : null),
    [tool, drawing],
  );
  // Of a drawing that has changed since, they would be others.
  const chosen = taken.of === drawing?.outline ? taken.areas : NONE_TAKEN.areas;
  const toggleArea = (at: Place) => {
    const area = areas && areaAt(areas, at);
    setCaught(areas ? '' : 'Smooth curves and ellipses can’t cross others here.');
    if (area === null) {
      if (areas) setCaught('No curves go all round that place.');
      return;
    }
    const next = new Set(chosen);
    if (!next.delete(area)) next.add(area);
    setTaken({ of: drawing!.outline, areas: next });
  };
  const begun = [...places, ...(via ? [via] : [])];
  return {
    tool,
    begun: tool ? begun : [],
    looks,
    hint: tool
      ? `${caught ? `${caught} ` : ''}${HINTS[tool][Math.min(begun.length, HINTS[tool].length - 1)]}`
      : '',
    isHelper,
    sides,
    mayEnd: tool === 'smooth' && through.length > 1,
    take: start,
    setHelper,
    setSides,
    end: () => endSmooth(through, false),
    filled: areas ? [...chosen].flatMap((index) => areas.areas[index] ?? []) : [],
    takeAreas: () => {
      if (!drawing || !areas) return;
      const fault = faultOfAreas(areas, chosen);
      if (fault) {
        setCaught(AREAS_FAULT_SENTENCES[fault]);
        return;
      }
      drawing.keep(withAreas(drawing.outline, drawing.studied, areas, chosen), 'The areas are the outline.');
      start(null);
    },
    tap: (hit, at, perPx) => {
      if (tool === 'area') toggleArea(at);
      else if (tool === 'follow') follow(at, perPx * CUT_REACH_PX, setCaught);
      else if (tool && isCutTool(tool)) cut(tool, at, perPx * CUT_REACH_PX);
      else draw(hit, at, perPx * SNAP_PX);
    },
    typed: ([dx, dy]) => {
      if (tool === 'area') return toggleArea([dx, dy]);
      if (tool === 'follow') return follow([dx, dy], Infinity, setCaught);
      if (tool && isCutTool(tool)) return cut(tool, [dx, dy], Infinity);
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

const CUTS = {
  trim: { cut: withTrimmed, done: 'Trimmed.' },
  extend: { cut: withExtended, done: 'Extended.' },
  split: { cut: withSplit, done: 'Split.' },
} as const;

const NO_TANGENT = 'There no single line or arc ends. Begin at the end of one.';

/** Whether a line or an arc ends at a point already: a run that comes there is closed. */
const isEndOfRun = ({ curves }: DrawnOutline, point: string): boolean =>
  curves.some(
    (curve) =>
      (curve.kind === 'line' || curve.kind === 'arc') && (curve.from === point || curve.to === point),
  );

/** How far a place is from the line through two others, mm. */
const offLine = ([x, y]: Place, [ax, ay]: Place, [bx, by]: Place) =>
  ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay);

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
