import { BackSide, Color, GreaterDepth, LineBasicMaterial, ShaderMaterial, Vector2, Vector3 } from 'three';
import { LineMaterial } from 'three/examples/jsm/lines/LineMaterial.js';

import { paletteNow } from '../preferences/benchLight';

/** Light that comes from all around, and what the light at the viewer's shoulder adds. */
const AROUND = 0.72;
const FROM_SHOULDER = 0.3;

/**
 * Lit at its corners, by the cosine of the light's angle (Lambert) and between them by their mean (Gouraud): on a part
 * whose corners lie as close as ours nobody sees the difference, and it costs a fraction. `light` is a way of the view.
 * Pushed back a little so that the ink on its edges is never cut up.
 */
const litMaterial = (colour: string, opacity: number) =>
  new ShaderMaterial({
    uniforms: {
      colour: { value: new Color(colour) },
      opacity: { value: opacity },
      light: { value: new Vector3(0, 0, 1) },
    },
    transparent: opacity < 1,
    depthWrite: opacity === 1,
    polygonOffset: true,
    polygonOffsetFactor: 1.5,
    polygonOffsetUnits: 2,
    vertexShader: `
      uniform vec3 light;
      varying float lit;
      void main() {
        gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
        lit = ${AROUND} + ${FROM_SHOULDER} * max(dot(normalize(normalMatrix * normal), normalize(light)), 0.0);
      }`,
    fragmentShader: `
      uniform vec3 colour;
      uniform float opacity;
      varying float lit;
      void main() {
        gl_FragColor = vec4(colour * lit, opacity);
        #include <colorspace_fragment>
      }`,
  });

/** Flat, warm faces of a spare. */
export const faceMaterial = (colour: string) => litMaterial(colour, 1);

/** A counterpart is there without hiding the spare. */
export const ghostMaterial = () => litMaterial(paletteNow().slate.line, 0.32);

/** Lines a pixel wide. */
export const thinMaterial = (colour: string) => new LineBasicMaterial({ color: new Color(colour) });

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
