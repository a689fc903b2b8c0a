import { XMLBuilder } from 'fast-xml-parser';
import { strToU8, zipSync } from 'fflate';

import type { WeldedMesh } from '@core/shaping/part';

export interface NamedMesh {
  name: string;
  mesh: WeldedMesh;
  /** What it is to be made of. */
  material?: string;
  /** Where each of its pieces lies on the bed. Without, one lies as it is. */
  placed?: readonly Placing[];
}

/** Nine numbers of a turn, row by row, and three of a way, mm. */
export interface Placing {
  turn: readonly number[];
  by: readonly [number, number, number];
}

const CORE_NAMESPACE = 'http://schemas.microsoft.com/3dmanufacturing/core/2015/02';
/** What the core specification has no name for is said under names of our own (4.1). */
const OWN_NAMESPACE = 'urn:even-spare:making';
/** Materials stand in one resource, whose id comes before those of objects. */
const MATERIALS_ID = 1;
const FIRST_OBJECT_ID = 2;
/** Of a putty, opaque: what its material looks like is not known. */
const ANY_COLOUR = '#C9B8A0FF';

const RELATIONSHIP = 'http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel';

/**
 * A 3MF package (core specification 1.3): one object with its name and material for each mesh, where its pieces lie on the bed, millimetres.
 * @param when ISO 8601 instant of writing.
 * @param making how it is to be made, by names of our own: `Printer`, `Settings`.
 */
export function writeThreeMf(
  meshes: readonly NamedMesh[],
  title: string,
  when: string,
  making: Readonly<Record<string, string>> = {},
): Uint8Array {
  const materials = [...new Set(meshes.flatMap(({ material }) => (material ? [material] : [])))];
  return zipSync({
    '[Content_Types].xml': xml({
      Types: {
        '@xmlns': 'http://schemas.openxmlformats.org/package/2006/content-types',
        Default: [
          {
            '@Extension': 'rels',
            '@ContentType': 'application/vnd.openxmlformats-package.relationships+xml',
          },
          { '@Extension': 'model', '@ContentType': 'application/vnd.ms-package.3dmanufacturing-3dmodel+xml' },
        ],
      },
    }),
    '_rels/.rels': xml({
      Relationships: {
        '@xmlns': 'http://schemas.openxmlformats.org/package/2006/relationships',
        Relationship: { '@Target': '/3D/3dmodel.model', '@Id': 'rel0', '@Type': RELATIONSHIP },
      },
    }),
    '3D/3dmodel.model': xml({
      model: {
        '@unit': 'millimeter',
        '@xml:lang': 'en',
        '@xmlns': CORE_NAMESPACE,
        ...(Object.keys(making).length > 0 ? { '@xmlns:es': OWN_NAMESPACE } : {}),
        metadata: [
          { '@name': 'Title', '#text': xmlText(title) },
          { '@name': 'Application', '#text': 'Even Spare' },
          { '@name': 'CreationDate', '#text': when.slice(0, 10) },
          ...Object.entries(making).map(([name, text]) => ({
            '@name': `es:${name}`,
            '#text': xmlText(text),
          })),
        ],
        resources: {
          ...(materials.length > 0 ? { basematerials: materialsOf(materials) } : {}),
          object: meshes.map((mesh, index) => objectOf(mesh, index, materials)),
        },
        build: {
          item: meshes.flatMap(({ placed }, index) => {
            const id = { '@objectid': FIRST_OBJECT_ID + index };
            return placed ? placed.map((piece) => ({ ...id, '@transform': transformOf(piece) })) : [id];
          }),
        },
      },
    }),
  });
}

const materialsOf = (names: readonly string[]) => ({
  '@id': MATERIALS_ID,
  base: names.map((name) => ({ '@name': xmlText(name), '@displaycolor': ANY_COLOUR })),
});

/** Rows are multiplied from the left (3.3): a turn stands there with its rows as columns. */
function transformOf({ turn, by }: Placing): string {
  const columns = [0, 1, 2].flatMap((column) => [0, 1, 2].map((row) => turn[3 * row + column]!));
  return [...columns, ...by].map((value) => Number(value.toFixed(6))).join(' ');
}

function objectOf({ name, mesh, material }: NamedMesh, index: number, materials: readonly string[]) {
  const { positions, indices } = mesh;
  const vertex = [];
  for (let at = 0; at < positions.length; at += 3) {
    vertex.push({ '@x': positions[at]!, '@y': positions[at + 1]!, '@z': positions[at + 2]! });
  }
  const triangle = [];
  for (let at = 0; at < indices.length; at += 3) {
    triangle.push({ '@v1': indices[at]!, '@v2': indices[at + 1]!, '@v3': indices[at + 2]! });
  }
  return {
    '@id': FIRST_OBJECT_ID + index,
    '@type': 'model',
    '@name': xmlText(name),
    ...(material ? { '@pid': MATERIALS_ID, '@pindex': materials.indexOf(material) } : {}),
    mesh: { vertices: { vertex }, triangles: { triangle } },
  };
}

/** What XML 1.0 has no place for (2.2, Char) is shown as a replacement character: a name may hold anything. */
const NO_XML = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Surrogate}/gu;
const xmlText = (text: string) => text.replace(NO_XML, '\ufffd');

function xml(tree: object): Uint8Array {
  const builder = new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    suppressEmptyNode: true,
    suppressBooleanAttributes: false,
  });
  return strToU8(`<?xml version="1.0" encoding="UTF-8"?>\n${builder.build(tree)}`);
}
