import { drawingFileSentence, leftOutSentence } from '@core/reporting/wording';
import type { DrawnData } from '@core/shaping/drawn';
import { drawnFromFile, PIXEL_MM, readDxf, readSvg, sizeOfCurves } from '@core/shaping/drawingFiles';
import { drawnRegion, regionArea } from '@core/shaping/outline';
import type { NamedLength } from '@core/foundations/fault';

/**
 * Tells what a DXF or an SVG holds, in one JSON line. Where the file does not say what it is measured in, a unit is a millimetre in a DXF and a pixel in an SVG,
 * which the line says.
 *
 * @returns the line, and whether an outline can be made of it.
 */
export function drawingFileLine(name: string, text: string): { well: boolean; line: string } {
  const isSvg = /\.svg$/i.test(name);
  const read = isSvg ? readSvg(text) : readDxf(text);
  if (!read.ok)
    return { well: false, line: JSON.stringify({ file: name, sentence: drawingFileSentence(read.fault) }) };
  const { curves, leftOut } = read.value;
  const mm = read.value.unitMm ?? (isSvg ? PIXEL_MM : 1);
  const kinds: Record<string, number> = {};
  for (const { curve } of curves) kinds[curve.kind] = (kinds[curve.kind] ?? 0) + 1;
  const drawn = drawnFromFile(curves, mm);
  const region = drawn.ok ? regionOf(drawn.value as DrawnData) : null;
  return {
    well: drawn.ok,
    line: JSON.stringify({
      file: name,
      unitMm: read.value.unitMm,
      ...(read.value.unitMm === null ? { takenUnitMm: mm } : {}),
      curves: kinds,
      layers: [...new Set(curves.map(({ layer }) => layer))],
      leftOut: Object.fromEntries(leftOut),
      sizeMm: curves.length > 0 ? sizeOfCurves(curves).map((units) => units * mm) : null,
      regions: region?.ok ? 1 + region.value.holes.length : 0,
      areaMm2: region?.ok ? regionArea(region.value) : 0,
      sentence: drawn.ok ? leftOutSentence(leftOut) : drawingFileSentence(drawn.fault),
    }),
  };
}

/** The region of a drawing whose numbers are all plain. */
function regionOf(data: DrawnData) {
  const lengths: Record<string, NamedLength> = {};
  const look = (inside: unknown, path: string): void => {
    if (typeof inside !== 'object' || inside === null) return;
    if ('mm' in inside) lengths[path] = { what: 'measure', tag: null, mm: inside.mm as number };
    else for (const [key, one] of Object.entries(inside)) look(one, path ? `${path}.${key}` : key);
  };
  look(data, '');
  return drawnRegion(data, lengths);
}
