import * as space from '@core/foundations/vectors';
import type { Vec3 } from '@core/foundations/vectors';
import type { Annotation } from '@core/shaping/part';

export interface Point {
  x: number;
  y: number;
}

/** A size as it is drawn on the picture, in pixels of the view. */
export interface PlacedLabel {
  annotation: Annotation;
  /** Centre of the label. */
  label: Point;
  /** The dimension line, with an arrow at each end that is marked; null for a leader's own line. */
  line: { from: Point; to: Point; bothEnds: boolean };
  /** Thin lines from the part to the ends of the dimension line. */
  extensions: { from: Point; to: Point }[];
  /** Where its arrows are, each of which may be pulled. */
  arrows: Arrow[];
}

/** The end of a size, as it stands on the part and on the screen. */
export interface Arrow {
  /** The place on the part, mm, and the unit direction in which it points. */
  at: Vec3;
  along: Vec3;
  /** The tip, and by how many pixels it goes on for each millimetre along. */
  tip: Point;
  perMm: Point;
}

export interface View {
  project(point: Vec3): Point;
  width: number;
  height: number;
  /** Corners of the box that holds the part. */
  corners: Vec3[];
  /** So much of the view's lower left corner is taken by something else, px. */
  corner?: { width: number; height: number };
  /** How much larger than usual labels are. */
  labelScale?: number;
}

/** Label of about this size, for keeping labels apart. */
const LABEL = { width: 84, height: 30 };
/** From the part's outline to the first dimension line, and from one line to the next. */
const CLEAR = 30;
const STACK = 34;
/** Between one label and the next, and from the edge of the view. */
const [ROOM, MARGIN] = [4, 4];
/** A dimension shorter than this on the screen is seen end on and is left out. */
const SHORTEST = 10;

const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
const along = (a: Point, direction: Point, k: number): Point => ({
  x: a.x + k * direction.x,
  y: a.y + k * direction.y,
});
const dot = (a: Point, b: Point) => a.x * b.x + a.y * b.y;
const size = (a: Point) => Math.hypot(a.x, a.y);

/**
 * Places sizes round a picture as ISO 129-1 asks: lines clear of the part, text not crossing. Each size takes
 * the form that faces the viewer best; those seen end on are left out.
 */
export function placeLabels(annotations: readonly Annotation[], view: View): PlacedLabel[] {
  const placed: PlacedLabel[] = [];
  const corners = view.corners.map((corner) => view.project(corner));
  for (const annotation of annotations) {
    const found =
      annotation.form === 'span'
        ? placeSpan(annotation, view, corners, placed)
        : placeLeader(annotation, view, placed);
    if (found) placed.push(found);
  }
  return placed;
}

/** An end of a size that points away from its other end. */
function arrowOf(at: Vec3, from: Vec3, tip: Point, view: View): Arrow {
  const out = space.unit(space.minus(at, from));
  return { at, along: out, tip, perMm: minus(view.project(space.along(at, out, 1)), view.project(at)) };
}

/** Where along its line a label may stand, the middle first. */
const ALONG = [0.5, 0.3, 0.7, 0.12, 0.88];
const ROWS = 5;

interface Facing {
  span: { from: Vec3; to: Vec3 };
  from: Point;
  to: Point;
  out: Point;
  score: number;
}

function placeSpan(
  annotation: Annotation,
  view: View,
  corners: readonly Point[],
  placed: readonly PlacedLabel[],
): PlacedLabel | null {
  const facing = annotation.spans.flatMap((span): Facing[] => {
    const [from, to] = [view.project(span.from), view.project(span.to)];
    const tip = minus(view.project(space.along(span.from, span.out, 1)), from);
    const run = minus(to, from);
    if (size(run) < SHORTEST || size(tip) < 1e-6) return [];
    // Faces best: long on the screen, and drawn clear square to its own line.
    const square = Math.abs(run.x * tip.y - run.y * tip.x) / (size(run) * size(tip));
    const outScale = size(tip) / Math.hypot(...span.out);
    const score = size(run) * square * Math.sqrt(outScale);
    return square > 0.2 ? [{ span, from, to, out: along({ x: 0, y: 0 }, tip, 1 / size(tip)), score }] : [];
  });
  // Of two that face alike the first is kept, so that small turns do not change sides.
  const best = facing.reduce<Facing | null>(
    (most, one) => (most && one.score <= most.score * 1.05 ? most : one),
    null,
  );
  if (!best) return null;
  const others = facing.filter((one) => one !== best).sort((x, y) => y.score - x.score);
  for (const { span, from, to, out } of [best, ...others]) {
    const edge = Math.max(...corners.map((corner) => dot(minus(corner, from), out)), 0);
    for (let row = 0; row < ROWS; row += 1) {
      const distance = edge + CLEAR + row * STACK * (view.labelScale ?? 1);
      const line = { from: along(from, out, distance), to: along(to, out, distance), bothEnds: true };
      for (const share of ALONG) {
        const label = along(line.from, minus(line.to, line.from), share);
        if (!isFree(label, view, placed)) continue;
        const extensions = [from, to].map((end) => ({ from: end, to: along(end, out, distance + 5) }));
        const arrows = [
          arrowOf(span.from, span.to, line.from, view),
          arrowOf(span.to, span.from, line.to, view),
        ];
        return { annotation, label, line, extensions, arrows };
      }
    }
  }
  // No room for its line anywhere: it is pointed at instead.
  const middle = along(best.from, minus(best.to, best.from), 0.5);
  return pointedAt(annotation, middle, view, placed);
}

function placeLeader(annotation: Annotation, view: View, placed: readonly PlacedLabel[]): PlacedLabel | null {
  let best: { point: { at: Vec3; out: Vec3 }; at: Point; out: Point; score: number } | null = null;
  for (const point of annotation.points) {
    const at = view.project(point.at);
    const tip = minus(view.project(space.along(point.at, point.out, 1)), at);
    if (!best || size(tip) > best.score * 1.05) {
      best = {
        point,
        at,
        out: size(tip) > 0 ? along({ x: 0, y: 0 }, tip, 1 / size(tip)) : { x: 0.7, y: -0.7 },
        score: size(tip),
      };
    }
  }
  if (!best) return null;
  const { point, at, out } = best;
  const turned = (angle: number): Point => ({
    x: out.x * Math.cos(angle) - out.y * Math.sin(angle),
    y: out.x * Math.sin(angle) + out.y * Math.cos(angle),
  });
  for (const reach of [74, 104, 134]) {
    for (const angle of [0, 0.6, -0.6, 1.2, -1.2]) {
      const label = along(at, turned(angle), reach);
      if (!isFree(label, view, placed)) continue;
      const back = space.minus(point.at, point.out);
      const arrows = [arrowOf(point.at, back, at, view)];
      return { annotation, label, line: { from: at, to: label, bothEnds: false }, extensions: [], arrows };
    }
  }
  return pointedAt(annotation, at, view, placed);
}

/** With a label at the nearest place that is free; null where there is none in all of the view. */
function pointedAt(
  annotation: Annotation,
  at: Point,
  view: View,
  placed: readonly PlacedLabel[],
): PlacedLabel | null {
  let best: { label: Point; away: number } | null = null;
  const own = labelOf(view);
  const step = { x: own.width / 3, y: (own.height + ROOM) / 2 };
  for (let y = own.height / 2 + MARGIN; y < view.height; y += step.y) {
    for (let x = own.width / 2 + MARGIN; x < view.width; x += step.x) {
      const label = { x, y };
      const away = size(minus(label, at));
      if ((best && away >= best.away) || !isFree(label, view, placed)) continue;
      best = { label, away };
    }
  }
  return (
    best && {
      annotation,
      label: best.label,
      line: { from: at, to: best.label, bothEnds: false },
      extensions: [],
      arrows: [],
    }
  );
}

const labelOf = ({ labelScale = 1 }: View) => ({
  width: LABEL.width * labelScale,
  height: LABEL.height * labelScale,
});

const overlaps = (a: Point, b: Point, { width, height }: { width: number; height: number }) =>
  Math.abs(a.x - b.x) < width && Math.abs(a.y - b.y) < height + ROOM;

/** Whether a label stands whole inside the view and on no other. */
function isFree(label: Point, view: View, placed: readonly PlacedLabel[]): boolean {
  const { width, height, corner } = view;
  const own = labelOf(view);
  const [halfX, halfY] = [own.width / 2 + MARGIN, own.height / 2 + MARGIN];
  const isInside =
    label.x >= halfX && label.x <= width - halfX && label.y >= halfY && label.y <= height - halfY;
  const isInCorner =
    corner !== undefined && label.x < corner.width + halfX && label.y > height - corner.height - halfY;
  return isInside && !isInCorner && !placed.some((other) => overlaps(other.label, label, own));
}
