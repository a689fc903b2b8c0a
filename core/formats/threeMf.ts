import { XMLBuilder } from 'fast-xml-parser';
import { strToU8, zipSync } from 'fflate';

import type { WeldedMesh } from '@core/part';

export interface NamedMesh {
  name: string;
  mesh: WeldedMesh;
}

const CORE_NAMESPACE = 'http://schemas.microsoft.com/3dmanufacturing/core/2015/02';
const RELATIONSHIP = 'http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel';

/**
 * A 3MF package (core specification 1.3): one object with its name for each mesh, millimetres.
 * @param when ISO 8601 instant of writing.
 */
export function writeThreeMf(meshes: readonly NamedMesh[], title: string, when: string): Uint8Array {
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
        metadata: [
          { '@name': 'Title', '#text': xmlText(title) },
          { '@name': 'Application', '#text': 'Even Spare' },
          { '@name': 'CreationDate', '#text': when.slice(0, 10) },
        ],
        resources: { object: meshes.map(objectOf) },
        build: { item: meshes.map((_, index) => ({ '@objectid': index + 1 })) },
      },
    }),
  });
}

function objectOf({ name, mesh }: NamedMesh, index: number) {
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
    '@id': index + 1,
    '@type': 'model',
    '@name': xmlText(name),
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
