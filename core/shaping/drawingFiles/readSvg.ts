import { XMLParser, XMLValidator } from 'fast-xml-parser';
import svgpath from 'svgpath';

import { ownValue } from '@core/foundations/own';
import type { Curve, Point } from '@core/shaping/outline';

import { LeftOut, MOST_BYTES, type DrawingFile, type DrawingFileFault } from './drawingFile';
import { after, arcAbout, followedCurve, mappedCurve, mappedPoint, ROUNDING, type Affine } from './plane';

/** Millimetres to a unit of length (CSS Values and Units 3, absolute lengths); pixels are left to be asked for. */
const UNITS_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  q: 0.25,
};
/** Millimetres to a pixel, as a browser has it. */
export const PIXEL_MM = 25.4 / 96;

/** Elements that hold others. */
const GROUPS = new Set(['svg', 'g', 'a', 'switch']);
/** What draws nothing, and is not missed. */
const NOT_MISSED = new Set(['title', 'desc', 'metadata', 'style', '#text', '#comment', '?xml', '#cdata']);
/** What is drawn only where something else names it. */
const DEFINITIONS = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'linearGradient',
  'radialGradient',
  'filter',
]);

type Element = Readonly<Record<string, unknown>> & { ':@'?: Readonly<Record<string, string>> };

/** Reads an SVG file (paths with arcs and curves, basic shapes, transforms, units). Nothing in it runs, and nothing outside of it is fetched. */
export function readSvg(
  text: string,
): { ok: true; value: DrawingFile } | { ok: false; fault: DrawingFileFault } {
  const refused = (fault: DrawingFileFault) => ({ ok: false, fault }) as const;
  if (text.length > MOST_BYTES)
    return refused({ code: 'tooLarge', mb: text.length / 1024 ** 2, mostMb: MOST_BYTES / 1024 ** 2 });
  if (/<!ENTITY/i.test(text)) return refused({ code: 'entities' });
  const root = rootOf(text);
  if (!root) return refused({ code: 'unreadable', form: 'SVG' });
  const leftOut = new LeftOut();
  const curves = elementCurves('svg', root, FLIPPED, leftOut, true);
  return {
    ok: true,
    value: {
      curves: curves.map((curve) => ({ curve, layer: '' })),
      unitMm: unitOf(attributesOf(root)),
      leftOut: leftOut.kinds,
    },
  };
}

/** SVG counts downward. */
const FLIPPED: Affine = [1, 0, 0, -1, 0, 0];

function rootOf(text: string): Element | null {
  if (XMLValidator.validate(text) !== true) return null;
  const parser = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: '',
    processEntities: false,
    parseAttributeValue: false,
  });
  const all = parser.parse(text) as Element[];
  return all.find((one) => 'svg' in one) ?? null;
}

const attributesOf = (element: Element): ReadonlyMap<string, string> =>
  new Map(Object.entries(element[':@'] ?? {}));

/** A number of an attribute, in units of the file; 0 if it has none. */
const numberIn = (of: ReadonlyMap<string, string>, name: string): number => {
  const number = Number.parseFloat(of.get(name) ?? '');
  return Number.isFinite(number) ? number : 0;
};

function lengthOf(text: string | undefined): { value: number; unitMm: number | null } | null {
  const found = /^\s*([-+]?[\d.]+(?:e[-+]?\d+)?)\s*([a-z%]*)\s*$/i.exec(text ?? '');
  if (!found || found[2] === '%') return null;
  const unit = found[2]!.toLowerCase();
  return { value: Number(found[1]), unitMm: ownValue(UNITS_MM, unit) ?? null };
}

/** Millimetres to a unit of the file: of its width over that of its view; null where it is told in pixels, or not at all. */
function unitOf(root: ReadonlyMap<string, string>): number | null {
  const view = (root.get('viewBox') ?? '').split(/[\s,]+/).map(Number);
  const [width, height] = [lengthOf(root.get('width')), lengthOf(root.get('height'))];
  const scales = [
    [width, view[2]],
    [height, view[3]],
  ] as const;
  const found = scales.flatMap(([length, units]) => {
    if (!length || length.unitMm === null) return [];
    // Without a view a unit is a pixel, whatever the width is told in.
    return [units && units > 0 ? (length.value * length.unitMm) / units : PIXEL_MM];
  });
  // All of it is shown: the smaller one says.
  return found.length > 0 ? Math.min(...found) : null;
}

function elementCurves(
  name: string,
  element: Element,
  map: Affine,
  leftOut: LeftOut,
  isRoot = false,
): Curve[] {
  const of = attributesOf(element);
  if (of.get('display') === 'none' || /display\s*:\s*none/.test(of.get('style') ?? '')) {
    leftOut.add('hidden');
    return [];
  }
  // Where a style moves it to is not read: at its own place it would be wrong.
  if (/(^|[;\s])(transform|translate|rotate|scale)\s*:/.test(of.get('style') ?? '')) {
    leftOut.add('moved by its style');
    return [];
  }
  const own = isRoot ? map : after(map, transformOf(of.get('transform')));
  if (GROUPS.has(name)) {
    if (name === 'svg' && !isRoot) {
      leftOut.add('drawing within the drawing');
      return [];
    }
    const children = (ownValue(element, name) ?? []) as Element[];
    return children.flatMap((child) => {
      const kind = Object.keys(child).find((key) => key !== ':@') ?? '#text';
      return elementCurves(kind, child, own, leftOut);
    });
  }
  const shape = shapeOf(name, of);
  if (shape) return shape.map((curve) => mappedCurve(curve, own));
  // Names with a colon are a program's own notes.
  if (!NOT_MISSED.has(name) && !name.includes(':')) leftOut.add(DEFINITIONS.has(name) ? 'definitions' : name);
  return [];
}

/** Where a transform takes the plane. */
function transformOf(text: string | undefined): Affine {
  if (!text) return [1, 0, 0, 1, 0, 0];
  const corners: Point[] = [];
  svgpath('M0 0L1 0L0 1')
    .transform(text)
    .iterate((segment) => void corners.push([segment[1] as number, segment[2] as number]));
  const [[e, f], [ax, ay], [bx, by]] = corners as [Point, Point, Point];
  return [ax - e, ay - f, bx - e, by - f, e, f];
}

/** A basic shape or a path; null for what is none. */
function shapeOf(name: string, of: ReadonlyMap<string, string>): Curve[] | null {
  const n = (key: string) => numberIn(of, key);
  switch (name) {
    case 'path':
      return pathCurves(of.get('d') ?? '');
    case 'line':
      return pathCurves(`M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`);
    case 'polyline':
      return pathCurves(`M${of.get('points') ?? ''}`);
    case 'polygon':
      return pathCurves(`M${of.get('points') ?? ''}Z`);
    case 'circle':
      return n('r') > 0 ? [{ kind: 'circle', middle: [n('cx'), n('cy')], radius: n('r'), role: '' }] : [];
    case 'ellipse':
      return n('rx') > 0 && n('ry') > 0
        ? [{ kind: 'ellipse', middle: [n('cx'), n('cy')], alongX: n('rx'), alongY: n('ry'), role: '' }]
        : [];
    case 'rect':
      return rectangle(of);
    default:
      return null;
  }
}

function rectangle(of: ReadonlyMap<string, string>): Curve[] {
  const n = (key: string) => numberIn(of, key);
  const [x, y, width, height] = ['x', 'y', 'width', 'height'].map(n) as [number, number, number, number];
  if (!(width > 0 && height > 0)) return [];
  // One radius stands for both.
  const rx = Math.min(of.has('rx') ? n('rx') : n('ry'), width / 2);
  const ry = Math.min(of.has('ry') ? n('ry') : n('rx'), height / 2);
  const corner = (dx: number, dy: number) => (rx > 0 && ry > 0 ? `a${rx} ${ry} 0 0 1 ${dx} ${dy}` : '');
  const [cx, cy] = rx > 0 && ry > 0 ? [rx, ry] : [0, 0];
  return pathCurves(
    `M${x + cx} ${y}h${width - 2 * cx}${corner(cx, cy)}v${height - 2 * cy}${corner(-cx, cy)}h${2 * cx - width}${corner(-cx, -cy)}v${2 * cy - height}${corner(cx, -cy)}z`,
  );
}

/** Curves of a path: lines, arcs, and Béziers as lines or arcs where they are, else smooth. */
function pathCurves(d: string): Curve[] {
  const curves: Curve[] = [];
  let start: Point = [0, 0];
  const line = (from: Point, to: Point) => {
    if (Math.hypot(to[0] - from[0], to[1] - from[1]) > 0) curves.push({ kind: 'line', from, to, role: '' });
  };
  svgpath(d)
    .abs()
    .unshort()
    .iterate((segment, _, x, y) => {
      const from: Point = [x, y];
      const numbers = segment.slice(1) as number[];
      const end: Point = [numbers.at(-2) ?? 0, numbers.at(-1) ?? 0];
      switch (segment[0]) {
        case 'M':
          start = end;
          break;
        case 'L':
          line(from, end);
          break;
        case 'H':
          line(from, [numbers[0]!, y]);
          break;
        case 'V':
          line(from, [x, numbers[0]!]);
          break;
        case 'Z':
        case 'z':
          line(from, start);
          break;
        case 'C':
        case 'Q': {
          const poles = [from, ...pairs(numbers)];
          curves.push(followedCurve((t) => bezier(poles, t)));
          break;
        }
        case 'A':
          curves.push(...ellipticalArc(from, numbers, end));
          break;
        default:
          // What is relative or short was made whole before.
          throw new Error(`a path of ${segment[0]}`);
      }
    });
  return curves;
}

const pairs = (numbers: readonly number[]): Point[] =>
  Array.from({ length: numbers.length / 2 }, (_, index): Point => [
    numbers[2 * index]!,
    numbers[2 * index + 1]!,
  ]);

/** A point of a Bézier (de Casteljau). */
export function bezier(poles: readonly Point[], t: number): Point {
  const [only] = poles;
  if (poles.length === 1) return only!;
  return bezier(
    poles.slice(1).map(([x, y], index): Point => {
      const [px, py] = poles[index]!;
      return [px + t * (x - px), py + t * (y - py)];
    }),
    t,
  );
}

/** An arc by its ends (SVG 1.1, F.6.5 and F.6.6). */
function ellipticalArc(from: Point, numbers: readonly number[], to: Point): Curve[] {
  const [rx0, ry0, degrees, large, sweep] = numbers as [number, number, number, number, number];
  if (from[0] === to[0] && from[1] === to[1]) return [];
  if (rx0 === 0 || ry0 === 0) return [{ kind: 'line', from, to, role: '' }];
  const turn = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [hx, hy] = [(from[0] - to[0]) / 2, (from[1] - to[1]) / 2];
  const [x1, y1] = [cos * hx + sin * hy, -sin * hx + cos * hy];
  const over = Math.sqrt(x1 ** 2 / rx0 ** 2 + y1 ** 2 / ry0 ** 2);
  const [rx, ry] = [Math.abs(rx0) * Math.max(1, over), Math.abs(ry0) * Math.max(1, over)];
  const [a, b] = [rx ** 2 * y1 ** 2, ry ** 2 * x1 ** 2];
  const factor = (large === sweep ? -1 : 1) * Math.sqrt(Math.max(0, (rx ** 2 * ry ** 2 - a - b) / (a + b)));
  const [cx1, cy1] = [(factor * rx * y1) / ry, (-factor * ry * x1) / rx];
  const place: Affine = [
    cos,
    sin,
    -sin,
    cos,
    cos * cx1 - sin * cy1 + (from[0] + to[0]) / 2,
    sin * cx1 + cos * cy1 + (from[1] + to[1]) / 2,
  ];
  const start = Math.atan2((y1 - cy1) / ry, (x1 - cx1) / rx);
  const end = Math.atan2((-y1 - cy1) / ry, (-x1 - cx1) / rx);
  const full = 2 * Math.PI;
  const by = sweep === 1 ? (end - start + 2 * full) % full : -((start - end + 2 * full) % full);
  if (Math.abs(rx - ry) < ROUNDING * rx) {
    const arc = arcAbout(mappedPoint(place, [0, 0]), rx, start + turn, by);
    // Its ends are those that were given, to the last digit.
    return [arc.kind === 'arc' ? { ...arc, from, to } : arc];
  }
  return [
    followedCurve((t) => mappedPoint(place, [rx * Math.cos(start + t * by), ry * Math.sin(start + t * by)])),
  ];
}
