import { XMLParser } from 'fast-xml-parser';
import { strFromU8, unzipSync } from 'fflate';
import { Matrix4, Vector3 } from 'three';
import { z } from 'zod';

import { MOST_FOUND_BYTES, type FoundMesh } from './foundMesh';
import { countOf, mostCorners, mostParts, mostTriangles, OddFile } from './limits';

/** Units of a 3MF (core specification 1.3, 3.4), mm. */
const UNITS = { micron: 0.001, millimeter: 1, centimeter: 10, inch: 25.4, foot: 304.8, meter: 1000 } as const;

const number = z.coerce.number();
const Item = z.object({
  objectid: z.string(),
  transform: z.string().optional(),
  path: z.string().optional(),
});
const Model = z.object({
  unit: z.enum(Object.keys(UNITS) as [keyof typeof UNITS]).default('millimeter'),
  resources: z.object({
    object: z
      .array(
        z.object({
          id: z.string(),
          type: z.string().default('model'),
          mesh: z
            .object({
              vertices: z.object({ vertex: z.array(z.object({ x: number, y: number, z: number })) }),
              triangles: z.object({ triangle: z.array(z.object({ v1: number, v2: number, v3: number })) }),
            })
            .optional(),
          components: z.object({ component: z.array(Item) }).optional(),
        }),
      )
      .default([]),
  }),
  build: z.object({ item: z.array(Item).default([]) }).default({ item: [] }),
});
type Model = z.infer<typeof Model>;

/** How deep objects may be made of others. */
const MOST_DEEP = 20;

/** A 3MF is a ZIP archive. */
export const isThreeMf = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/**
 * The triangles of all that a 3MF lays on the bed (core specification 1.3): objects, made of others or not, each where its item puts it.
 * Supports that came with it are left out. Objects in other files of the package (production extension) are found by their path.
 *
 * @throws anything, for what is no such file.
 */
export function readThreeMf(bytes: Uint8Array): FoundMesh {
  let [bytesInAll, entries] = [0, 0];
  const files = unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      if (!name.endsWith('.model')) return false;
      bytesInAll += originalSize;
      entries += 1;
      mostParts(entries);
      if (bytesInAll > MOST_FOUND_BYTES) throw new OddFile('counts');
      return true;
    },
  });
  const texts = Object.entries(files).map(([name, file]) => [`/${name}`, strFromU8(file)] as const);
  // Looked at before a tree of objects is made of it.
  const inAll = (words: string) => texts.reduce((sum, [, text]) => sum + countOf(text, words), 0);
  mostTriangles(inAll('triangle '));
  mostCorners(inAll('vertex '));
  mostParts(inAll('component '));
  mostParts(inAll('object '));
  mostParts(inAll('item '));
  const models = new Map<string, Model>(texts.map(([path, text]) => [path, parsed(text)]));
  const [rootPath, root] = [...models].find(([, { build }]) => build.item.length > 0)!;
  const positions: number[] = [];
  const indices: number[] = [];
  let parts = 0;
  const lay = (path: string, id: string, place: Matrix4, deep: number): void => {
    parts += 1;
    mostParts(parts);
    const object = models.get(path)?.resources.object.find((one) => one.id === id);
    if (!object || deep > MOST_DEEP) throw new Error(`no object ${id}`);
    if (object.type === 'support' || object.type === 'solidsupport') return;
    const first = positions.length / 3;
    mostCorners(first + (object.mesh?.vertices.vertex.length ?? 0));
    mostTriangles(indices.length / 3 + (object.mesh?.triangles.triangle.length ?? 0));
    const corner = new Vector3();
    for (const { x, y, z: up } of object.mesh?.vertices.vertex ?? []) {
      corner.set(x, y, up).applyMatrix4(place);
      positions.push(corner.x, corner.y, corner.z);
    }
    // A place that mirrors turns the triangles inside out.
    const [one, other] = place.determinant() < 0 ? (['v3', 'v2'] as const) : (['v2', 'v3'] as const);
    for (const triangle of object.mesh?.triangles.triangle ?? []) {
      indices.push(first + triangle.v1, first + triangle[one], first + triangle[other]);
    }
    for (const part of object.components?.component ?? []) {
      lay(part.path ?? path, part.objectid, place.clone().multiply(placeOf(part.transform)), deep + 1);
    }
  };
  for (const item of root.build.item) lay(item.path ?? rootPath, item.objectid, placeOf(item.transform), 0);
  return {
    positions: new Float32Array(positions),
    indices: new Uint32Array(indices),
    unitMm: UNITS[root.unit],
  };
}

/** Twelve numbers, for rows that are multiplied from the left (3.3). */
function placeOf(transform: string | undefined): Matrix4 {
  if (!transform) return new Matrix4();
  const m = transform.trim().split(/\s+/).map(Number);
  if (m.length !== 12) throw new Error('a transform has twelve numbers');
  return new Matrix4().set(
    ...([m[0], m[3], m[6], m[9], m[1], m[4], m[7], m[10], m[2], m[5], m[8], m[11], 0, 0, 0, 1] as [
      ...Parameters<Matrix4['set']>,
    ]),
  );
}

function parsed(text: string): Model {
  const lists = new Set(['object', 'vertex', 'triangle', 'component', 'item']);
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '',
    removeNSPrefix: true,
    processEntities: false,
    isArray: (name) => lists.has(name),
  });
  return Model.parse((parser.parse(text) as { model: unknown }).model);
}
