/** Formats that a spare can be had in; how each is written stands in `core/reporting/make`. */
const FORMATS = {
  stl: { name: 'STL', mime: 'model/stl', what: 'triangles, for any slicer' },
  '3mf': { name: '3MF', mime: 'model/3mf', what: 'triangles with millimetres and names' },
  step: { name: 'STEP', mime: 'model/step', what: 'the exact solid, for machining and drawing' },
} as const satisfies Record<string, { name: string; mime: string; what: string }>;

export type SpareFormat = keyof typeof FORMATS;

export const SPARE_FORMATS = Object.entries(FORMATS).map(([id, words]) => ({
  id: id as SpareFormat,
  ...words,
}));
export const mimeOf = (format: SpareFormat): string => FORMATS[format].mime;

/** A file as it is handed out. */
export interface SpareFile {
  name: string;
  mime: string;
  bytes: Uint8Array;
}
