import { Box3, OrthographicCamera, Scene, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';

/** How far the eye stands from what it looks at, mm: without perspective it makes nothing larger or smaller. */
const AWAY_MM = 1000;
const ZOOM = { least: 0.2, most: 60 };

/** A drawing in space on a canvas: looked at without perspective, turned and zoomed by the person, drawn only when something changed. */
export class SpaceView {
  readonly scene = new Scene();
  readonly camera = new OrthographicCamera();
  readonly controls: OrbitControls;
  readonly #renderer: WebGLRenderer;
  size = { width: 1, height: 1 };
  #frame = 0;

  /** @param beforeDraw told each time it is about to be drawn. @param afterDraw and once it is. */
  constructor(
    canvas: HTMLCanvasElement,
    private readonly beforeDraw: () => void,
    private readonly afterDraw: () => void = () => {},
  ) {
    this.#renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
    this.camera.up.set(0, 0, 1);
    this.camera.near = -10_000;
    this.camera.far = 10_000;
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.enableDamping = false;
    this.controls.zoomToCursor = true;
    this.controls.addEventListener('change', () => this.invalidate());
  }

  resize(width: number, height: number, pixelRatio: number): void {
    this.size = { width: Math.max(1, width), height: Math.max(1, height) };
    this.#renderer.setPixelRatio(pixelRatio);
    this.#renderer.setSize(this.size.width, this.size.height, false);
  }

  /**
   * Brings a box into view.
   *
   * @param towards the way from it to the viewer.
   * @param room what is left for it of the view, px.
   */
  lookAt(box: Box3, towards: Vector3, room: { x: number; y: number }): void {
    const { camera } = this;
    const centre = box.getCenter(new Vector3());
    this.controls.target.copy(centre);
    camera.position.copy(centre).addScaledVector(towards.clone().normalize(), AWAY_MM);
    camera.zoom = 1;
    camera.lookAt(centre);
    camera.updateMatrixWorld();
    const seen = new Box3();
    for (const corner of cornersOf(box)) seen.expandByPoint(corner.applyMatrix4(camera.matrixWorldInverse));
    const extent = seen.getSize(new Vector3());
    const { width, height } = this.size;
    const mmPerPx = Math.max(extent.x / Math.max(room.x, 1), extent.y / Math.max(room.y, 1), 1e-6);
    camera.left = (-width / 2) * mmPerPx;
    camera.right = (width / 2) * mmPerPx;
    camera.top = (height / 2) * mmPerPx;
    camera.bottom = (-height / 2) * mmPerPx;
    camera.updateProjectionMatrix();
    this.controls.update();
    this.invalidate();
  }

  zoom(factor: number): void {
    this.camera.zoom = Math.min(Math.max(this.camera.zoom * factor, ZOOM.least), ZOOM.most);
    this.camera.updateProjectionMatrix();
    this.invalidate();
  }

  /** Turns about the upright axis through what it looks at, and up; radians. Not further than straight down or up. */
  turn(right: number, up: number): void {
    const offset = this.camera.position.clone().sub(this.controls.target);
    const level = Math.hypot(offset.x, offset.y);
    const azimuth = Math.atan2(offset.y, offset.x) + right;
    const height = Math.min(Math.max(Math.atan2(offset.z, level) + up, -1.57), 1.57);
    const length = offset.length();
    offset.set(
      length * Math.cos(height) * Math.cos(azimuth),
      length * Math.cos(height) * Math.sin(azimuth),
      length * Math.sin(height),
    );
    this.camera.position.copy(this.controls.target).add(offset);
    this.controls.update();
    this.invalidate();
  }

  /** The way from what it looks at to the viewer; a unit vector. */
  towards(): Vector3 {
    return this.camera.position.clone().sub(this.controls.target).normalize();
  }

  /** How many mm a pixel is. */
  mmPerPx(): number {
    return (this.camera.right - this.camera.left) / this.size.width / this.camera.zoom;
  }

  /** Drawn with the next frame. */
  invalidate(): void {
    if (this.#frame) return;
    this.#frame = requestAnimationFrame(() => {
      this.#frame = 0;
      this.draw();
    });
  }

  /** At once, as it stands. */
  draw(): void {
    this.beforeDraw();
    this.#renderer.render(this.scene, this.camera);
    this.afterDraw();
  }

  dispose(): void {
    cancelAnimationFrame(this.#frame);
    this.controls.dispose();
    this.#renderer.dispose();
  }
}

export function cornersOf({ min, max }: Box3): Vector3[] {
  return [min.x, max.x].flatMap((x) =>
    [min.y, max.y].flatMap((y) => [min.z, max.z].map((z) => new Vector3(x, y, z))),
  );
}
