import {
  AmbientLight,
  Box3,
  DirectionalLight,
  type Mesh,
  ShaderMaterial,
  type Vector2,
  Vector3,
} from 'three';

import { SpaceView } from './spaceView';

/** Of the view, what is left free at each side. */
const MARGIN = 1.15;
/** From where it is looked at first. */
const CORNER = new Vector3(0.612, -0.612, 0.5);

/** Pieces in an even light, with a lamp at the viewer's left shoulder; turned, zoomed and brought into view. */
export class LitScene {
  protected readonly view: SpaceView;
  /** What is brought into view. */
  protected box = new Box3();
  readonly #shoulder = new DirectionalLight('white', 0.3 * Math.PI);

  constructor(canvas: HTMLCanvasElement) {
    this.view = new SpaceView(canvas, () => this.#beforeDraw());
    this.view.scene.add(new AmbientLight('white', 0.74 * Math.PI), this.#shoulder);
  }

  resize(width: number, height: number, pixelRatio: number): void {
    this.view.resize(width, height, pixelRatio);
    this.fit();
  }

  fit(): void {
    if (this.box.isEmpty()) return;
    const { width, height } = this.view.size;
    this.view.lookAt(this.box, CORNER, { x: width / MARGIN, y: height / MARGIN });
  }

  turn(right: number, up: number): void {
    this.view.turn(right, up);
  }

  zoom(factor: number): void {
    this.view.zoom(factor);
  }

  /** For what has to face the viewer, or to stay as large whatever the zoom. */
  protected faceViewer(): void {}

  #beforeDraw(): void {
    const { camera, scene, size } = this.view;
    const away = this.view.towards();
    const left = new Vector3().crossVectors(away, camera.up);
    this.#shoulder.position.copy(away).addScaledVector(left, 0.6).addScaledVector(camera.up, 0.7);
    this.faceViewer();
    scene.traverse((object) => {
      const { material } = object as Mesh;
      if (!(material instanceof ShaderMaterial)) return;
      (material.uniforms.resolution?.value as Vector2 | undefined)?.set(size.width, size.height);
    });
  }

  dispose(): void {
    this.view.dispose();
  }
}
