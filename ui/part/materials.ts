import { BackSide, Color, GreaterDepth, MeshLambertMaterial, ShaderMaterial, Vector2 } from 'three';
import { LineMaterial } from 'three/examples/jsm/lines/LineMaterial.js';

import { colours } from '../theme/colours';

/** Flat, warm faces of a spare; pushed back a little so that the ink on their edges is never cut up. */
export const faceMaterial = (colour: string) =>
  new MeshLambertMaterial({
    color: new Color(colour),
    polygonOffset: true,
    polygonOffsetFactor: 1.5,
    polygonOffsetUnits: 2,
  });

/** A counterpart is there without hiding the spare. */
export const ghostMaterial = () =>
  new MeshLambertMaterial({
    color: new Color(colours.slate.line),
    transparent: true,
    opacity: 0.32,
    depthWrite: false,
    polygonOffset: true,
    polygonOffsetFactor: 1.5,
    polygonOffsetUnits: 2,
  });

/** Lines of a width in pixels. `resolution` must follow the size of the view. */
export function inkMaterial(
  colour: string,
  widthPx: number,
  style: 'visible' | 'hidden' | 'over' = 'visible',
) {
  const material = new LineMaterial({ color: new Color(colour).getHex(), linewidth: widthPx });
  if (style === 'hidden') {
    // Hidden edges are drawn only where something is in front of them, thin and dashed (ISO 128-2, type 02).
    material.depthFunc = GreaterDepth;
    material.depthWrite = false;
    material.transparent = true;
    material.opacity = 0.5;
    material.dashed = true;
    material.dashSize = 4;
    material.gapSize = 3;
  }
  if (style === 'over') material.depthTest = false;
  return material;
}

/**
 * The silhouette of round faces, which are no edges of the solid: its back faces, grown by a line's width on
 * the screen, in ink.
 */
export function silhouetteMaterial(colour: string, widthPx: number) {
  return new ShaderMaterial({
    side: BackSide,
    uniforms: {
      ink: { value: new Color(colour) },
      widthPx: { value: widthPx },
      resolution: { value: new Vector2(1, 1) },
    },
    vertexShader: `
      uniform vec2 resolution;
      uniform float widthPx;
      void main() {
        vec4 place = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
        vec3 facing = normalize(normalMatrix * normal);
        place.xy += facing.xy / resolution * widthPx * 2.0 * place.w;
        gl_Position = place;
      }`,
    fragmentShader: `
      uniform vec3 ink;
      void main() {
        gl_FragColor = vec4(ink, 1.0);
        #include <colorspace_fragment>
      }`,
  });
}
