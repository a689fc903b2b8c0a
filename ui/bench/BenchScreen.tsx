import { useEffect, useRef, useState } from 'react';
import { Text, View } from 'react-native';
import {
  BufferAttribute,
  BufferGeometry,
  Mesh,
  MeshBasicMaterial,
  OrthographicCamera,
  Scene,
  WebGLRenderer,
} from 'three';

import { PartScene } from '../part/partScene';
import { manyTriangles } from './manyTriangles';

const SIZE_PX = 390;
const FRAMES = 40;
const WARM_UP = 8;

/** Times of a frame, ms: as the part view draws it, and its triangles drawn plainly. */
interface FrameTimes {
  triangles: number;
  partMs: number;
  plainMs: number;
}

/** Draws a heavy part as the part view does and plainly, in turn, and tells how long a frame of each takes. */
export function BenchScreen() {
  const part = useRef<HTMLCanvasElement>(null);
  const plain = useRef<HTMLCanvasElement>(null);
  const [times, setTimes] = useState<FrameTimes | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setTimes(measure(part.current!, plain.current!)), 300);
    return () => clearTimeout(timer);
  }, []);
  return (
    <View className="flex-1 items-center gap-3 bg-paper p-4">
      <Text role="status" className="font-number text-[16px] text-ink">
        {times
          ? `${times.triangles} triangles: ${times.partMs.toFixed(2)} ms as a part, ${times.plainMs.toFixed(2)} ms plainly`
          : 'Drawing…'}
      </Text>
      <canvas ref={part} width={SIZE_PX} height={SIZE_PX} aria-label="Drawn as a part" />
      <canvas ref={plain} width={SIZE_PX} height={SIZE_PX} aria-label="Drawn plainly" />
    </View>
  );
}

function measure(partCanvas: HTMLCanvasElement, plainCanvas: HTMLCanvasElement): FrameTimes {
  const mesh = manyTriangles();
  const scene = new PartScene(partCanvas);
  scene.resize(SIZE_PX, SIZE_PX, 1);
  scene.setBodies([{ id: 'part', ghost: false, mesh, opened: null, centreLines: [], failedTool: null }]);
  const drawPart = () => {
    scene.turn(0.2, 0);
    scene.draw();
    finish(partCanvas);
  };

  const renderer = new WebGLRenderer({ canvas: plainCanvas, antialias: true, alpha: true });
  renderer.setSize(SIZE_PX, SIZE_PX, false);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  geometry.setIndex(new BufferAttribute(mesh.indices, 1));
  const object = new Mesh(geometry, new MeshBasicMaterial({ color: 0xb8a88a }));
  const world = new Scene().add(object);
  const camera = new OrthographicCamera(-40, 40, 40, -40, -1000, 1000);
  camera.position.set(30, -30, 25);
  camera.lookAt(0, 0, 0);
  const drawPlain = () => {
    object.rotation.z += 0.026;
    renderer.render(world, camera);
    finish(plainCanvas);
  };

  const taken: [number[], number[]] = [[], []];
  for (let frame = 0; frame < FRAMES + WARM_UP; frame += 1) {
    for (const [index, draw] of [drawPart, drawPlain].entries()) {
      const start = performance.now();
      draw();
      if (frame >= WARM_UP) taken[index]!.push(performance.now() - start);
    }
  }
  const middle = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  return { triangles: mesh.indices.length / 3, partMs: middle(taken[0]), plainMs: middle(taken[1]) };
}

/** Waits until what was asked of the graphics is drawn: a pixel can't be read before. */
function finish(canvas: HTMLCanvasElement): void {
  const gl = canvas.getContext('webgl2')!;
  gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
}
