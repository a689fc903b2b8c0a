import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IDxf,
  type IEllipseEntity,
  type IEntity,
  type IInsertEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPoint,
  type IPolylineEntity,
  type ISplineEntity,
} from 'dxf-parser';

import { ownValue } from '@core/foundations/own';
import type { Curve, Point } from '@core/shaping/outline';

import { splineCurve } from './basisSpline';
import {
  LeftOut,
  MOST_BYTES,
  MOST_ENTITIES,
  type DrawingFile,
  type DrawingFileFault,
  type LayeredCurve,
} from './drawingFile';
import {
  after,
  arcAbout,
  bulged,
  ellipseThrough,
  followedCurve,
  IDENTITY,
  mappedCurve,
  ROUNDING,
  type Affine,
} from './plane';

/** Millimetres to a unit by its number in the header (DXF reference, $INSUNITS). */
const UNITS_MM = new Map([
  [1, 25.4],
  [2, 304.8],
  [4, 1],
  [5, 10],
  [6, 1000],
  [8, 25.4e-6],
  [9, 25.4e-3],
  [10, 914.4],
  [13, 1e-3],
  [14, 100],
]);
/** Blocks within blocks are followed this deep: one may name itself. */
const DEEPEST = 8;
/** What has nothing to draw, and is not missed. */
const NOT_MISSED = new Set(['SEQEND', 'VERTEX', 'VIEWPORT', 'ATTDEF', 'ENDBLK', 'BLOCK', 'EOF']);
/** Kinds of which the parser tells the way that their plane looks. */
const TELLS_WAY = new Set(['ARC', 'LWPOLYLINE', 'POLYLINE']);

const full = 2 * Math.PI;
const flat = ({ x, y }: IPoint): Point => [x, y];

/** Reads a DXF file (lines, arcs, circles, ellipses, polylines with bulges, splines, blocks; layers, units). */
export function readDxf(
  text: string,
): { ok: true; value: DrawingFile } | { ok: false; fault: DrawingFileFault } {
  const refused = (fault: DrawingFileFault) => ({ ok: false, fault }) as const;
  if (text.length > MOST_BYTES)
    return refused({ code: 'tooLarge', mb: text.length / 1024 ** 2, mostMb: MOST_BYTES / 1024 ** 2 });
  if (text.startsWith('AutoCAD Binary DXF')) return refused({ code: 'binary' });
  const file = parsed(text);
  if (!file) return refused({ code: 'unreadable', form: 'DXF' });
  const { kinds, fromBelow } = scanned(text);
  if (fromBelow > 0) return refused({ code: 'fromBelow', count: fromBelow });
  const leftOut = new LeftOut();
  for (const [kind, count] of kinds) if (!READ.has(kind) && !NOT_MISSED.has(kind)) leftOut.add(kind, count);
  const curves = file.entities.flatMap((entity) => curvesOf(entity, file, IDENTITY, 0, leftOut));
  const units = (file.header as Record<string, unknown> | undefined)?.$INSUNITS;
  return {
    ok: true,
    value: {
      curves,
      unitMm: typeof units === 'number' ? (UNITS_MM.get(units) ?? null) : null,
      leftOut: leftOut.kinds,
    },
  };
}

/** Null where it is no DXF, or ends in the middle. */
function parsed(text: string): IDxf | null {
  try {
    const file = new DxfParser().parseSync(text);
    return file && Array.isArray(file.entities) ? file : null;
  } catch {
    // The parser throws texts of its own for whatever it can't read: all of them mean the same to a person.
    return null;
  }
}

const READ = new Set(['LINE', 'ARC', 'CIRCLE', 'ELLIPSE', 'LWPOLYLINE', 'POLYLINE', 'SPLINE', 'INSERT']);

/** What kinds stand in the file, so that none is lost unsaid, and how many are drawn in a plane that looks the other way. */
function scanned(text: string): { kinds: Map<string, number>; fromBelow: number } {
  const lines = text.split(/\r\n|\r|\n/);
  const kinds = new Map<string, number>();
  let [section, kind, fromBelow] = ['', '', 0];
  for (let at = 0; at + 1 < lines.length; at += 2) {
    const [code, value] = [lines[at]!.trim(), lines[at + 1]!.trim()];
    if (code === '2' && kind === 'SECTION') section = value;
    if (code === '0') {
      kind = value;
      if ((section === 'ENTITIES' || section === 'BLOCKS') && kind !== 'SECTION' && kind !== 'ENDSEC')
        kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
    }
    if (code === '230' && Number(value) < 0 && READ.has(kind) && !TELLS_WAY.has(kind)) fromBelow += 1;
  }
  return { kinds, fromBelow };
}

/** Curves of an entity as its place in the drawing takes it. */
function curvesOf(entity: IEntity, file: IDxf, map: Affine, depth: number, leftOut: LeftOut): LayeredCurve[] {
  leftOut.room -= 1;
  if (leftOut.room < 0) {
    leftOut.add(`beyond ${MOST_ENTITIES} entities`);
    return [];
  }
  // What is on a sheet of paper is not the drawing.
  if ((entity as { inPaperSpace?: boolean }).inPaperSpace || entity.visible === false) {
    leftOut.add('hidden or on paper');
    return [];
  }
  const own = (curves: readonly Curve[]): LayeredCurve[] =>
    curves.map((curve) => ({ curve: mappedCurve(curve, map), layer: entity.layer ?? '' }));
  switch (entity.type) {
    case 'LINE': {
      const [from, to] = (entity as ILineEntity).vertices;
      return from && to ? own([{ kind: 'line', from: flat(from), to: flat(to), role: '' }]) : [];
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity;
      return own([{ kind: 'circle', middle: flat(center), radius, role: '' }]);
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle, extrusionDirectionZ } = entity as IArcEntity;
      const sweep = (endAngle - startAngle + 2 * full) % full || full;
      const arc = arcAbout(flat(center), radius, startAngle, sweep);
      return own([extrusionDirectionZ < 0 ? mappedCurve(arc, MIRRORED) : arc]);
    }
    case 'ELLIPSE':
      return own([ellipseOf(entity as IEllipseEntity)]);
    case 'LWPOLYLINE': {
      const { vertices, shape, extrusionDirectionZ } = entity as ILwpolylineEntity;
      const run = polyline(vertices, shape);
      return own(extrusionDirectionZ < 0 ? run.map((curve) => mappedCurve(curve, MIRRORED)) : run);
    }
    case 'POLYLINE': {
      const line = entity as IPolylineEntity;
      if (line.is3dPolygonMesh || line.isPolyfaceMesh) {
        leftOut.add('mesh');
        return [];
      }
      const run = polyline(line.vertices, line.shape);
      const isBelow = (line.extrusionDirection?.z ?? 1) < 0;
      return own(isBelow ? run.map((curve) => mappedCurve(curve, MIRRORED)) : run);
    }
    case 'SPLINE': {
      const curve = splineCurve(entity as ISplineEntity);
      if (curve) return own([curve]);
      leftOut.add('spline with weights');
      return [];
    }
    case 'INSERT':
      return inserted(entity as IInsertEntity, file, map, depth, leftOut);
    default:
      return [];
  }
}

/** As it is seen from the other side. */
const MIRRORED: Affine = [-1, 0, 0, 1, 0, 0];

function ellipseOf({ center, majorAxisEndPoint, axisRatio, startAngle, endAngle }: IEllipseEntity): Curve {
  const u = flat(majorAxisEndPoint);
  const v: Point = [-u[1] * axisRatio, u[0] * axisRatio];
  const sweep = (endAngle - startAngle + 2 * full) % full;
  const middle = flat(center);
  if (sweep < ROUNDING || sweep > full - ROUNDING) return ellipseThrough(middle, u, v);
  return followedCurve((t) => {
    const [cos, sin] = [Math.cos(startAngle + t * sweep), Math.sin(startAngle + t * sweep)];
    return [middle[0] + u[0] * cos + v[0] * sin, middle[1] + u[1] * cos + v[1] * sin];
  });
}

function polyline(vertices: readonly (IPoint & { bulge?: number })[], closed: boolean): Curve[] {
  const count = closed ? vertices.length : vertices.length - 1;
  return Array.from({ length: Math.max(0, count) }, (_, index) => {
    const [from, to] = [vertices[index]!, vertices[(index + 1) % vertices.length]!];
    return bulged(flat(from), flat(to), from.bulge ?? 0);
  }).filter(
    (curve) =>
      curve.kind !== 'line' || Math.hypot(curve.to[0] - curve.from[0], curve.to[1] - curve.from[1]) > 0,
  );
}

/** What a block holds, at each place of an insert's rows and columns. */
function inserted(
  insert: IInsertEntity,
  file: IDxf,
  map: Affine,
  depth: number,
  leftOut: LeftOut,
): LayeredCurve[] {
  const block = ownValue(file.blocks ?? {}, insert.name);
  if (!block || depth >= DEEPEST) {
    leftOut.add(block ? 'block within itself' : 'block that is not there');
    return [];
  }
  const turn = ((insert.rotation ?? 0) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [sx, sy] = [insert.xScale ?? 1, insert.yScale ?? 1];
  const [columns, rows] = [Math.max(1, insert.columnCount ?? 1), Math.max(1, insert.rowCount ?? 1)];
  const { x: px, y: py } = insert.position;
  const { x: bx = 0, y: by = 0 } = block.position ?? {};
  // Each place counts, whatever the block holds.
  if (columns * rows > leftOut.room) {
    leftOut.add('block repeated too often');
    return [];
  }
  leftOut.room -= columns * rows;
  return Array.from({ length: columns * rows }, (_, index) => {
    const [column, row] = [index % columns, Math.floor(index / columns)];
    const [dx, dy] = [column * (insert.columnSpacing ?? 0), row * (insert.rowSpacing ?? 0)];
    const placed: Affine = [
      sx * cos,
      sx * sin,
      -sy * sin,
      sy * cos,
      px + cos * dx - sin * dy,
      py + sin * dx + cos * dy,
    ];
    const own = after(after(map, placed), [1, 0, 0, 1, -bx, -by]);
    return (block.entities ?? []).flatMap((entity) => curvesOf(entity, file, own, depth + 1, leftOut));
  }).flat();
}
