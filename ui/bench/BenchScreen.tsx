import { useEffect, useRef, useState } from 'react';
import { Text, View } from 'react-native';
import {
  BufferAttribute,
  BufferGeometry,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  OrthographicCamera,
  Scene,
  WebGLRenderer,
  type Object3D,
} from 'three';

import type { SolidMesh } from '@core/shaping/part';

import { LayerScene } from '../layers/layerScene';
import { between } from '../part/followed';
import { PartScene } from '../part/partScene';
import { manyLines, seenOf } from './manyLines';
import { manyTriangles } from './manyTriangles';

const SIZE_PX = 390;
const FRAMES = 40;
const WARM_UP = 8;
/** A frame's turn, radians. */
const TURN = 0.026;

/** How many of what, and how long a frame of them takes, ms: as a view of ours draws it, and plainly. */
interface FrameTimes {
  count: number;
  oursMs: number;
  plainMs: number;
}

/** Draws a heavy part and a heavy job as their views do and plainly, in turn, and tells how long a frame of each takes. */
export function BenchScreen() {
  const canvases = useRef<Partial<Record<CanvasName, HTMLCanvasElement | null>>>({});
  const [times, setTimes] = useState<{ part: FrameTimes; layers: FrameTimes; thumb: FrameTimes } | null>(
    null,
  );
  useEffect(() => {
    const timer = setTimeout(() => {
      const { part, plain, layers, lines, thumb, still } = canvases.current;
      setTimes({
        part: ofPart(part!, plain!),
        layers: ofLayers(layers!, lines!),
        thumb: ofThumb(thumb!, still!),
      });
    }, 300);
    return () => clearTimeout(timer);
  }, []);
  const told = ({ count, oursMs, plainMs }: FrameTimes, what: string, as: string) =>
    `${count} ${what}: ${oursMs.toFixed(2)} ms as ${as}, ${plainMs.toFixed(2)} ms plainly`;
  return (
    <View className="flex-1 items-center gap-3 bg-paper p-4">
      <Text role="status" className="font-number text-[16px] text-ink">
        {times
          ? `${told(times.part, 'triangles', 'a part')}; ${told(times.layers, 'lines', 'layers')}; ${told(times.thumb, 'triangles', 'a part under the thumb')}`
          : 'Drawing…'}
      </Text>
      {CANVASES.map((name) => (
        <canvas
          key={name}
          ref={(canvas) => {
            canvases.current[name] = canvas;
          }}
          width={SIZE_PX}
          height={SIZE_PX}
          aria-label={LABELS[name]}
        />
      ))}
    </View>
  );
}

const CANVASES = ['part', 'plain', 'layers', 'lines', 'thumb', 'still'] as const;
type CanvasName = (typeof CANVASES)[number];
const LABELS: Record<CanvasName, string> = {
  part: 'Drawn as a part',
  plain: 'Its triangles drawn plainly',
  layers: 'Drawn as layers',
  lines: 'Their lines drawn plainly',
  thumb: 'Drawn as a part under the thumb',
  still: 'The triangles of that part drawn plainly',
};

function sceneOf(canvas: HTMLCanvasElement, mesh: SolidMesh): PartScene {
  const scene = new PartScene(canvas);
  scene.resize(SIZE_PX, SIZE_PX, 1);
  scene.setBodies([{ id: 'part', ghost: false, mesh, opened: null, centreLines: [], failedTool: null }]);
  return scene;
}

/** The triangles of a mesh and nothing else. */
function plainly(mesh: SolidMesh): Mesh {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  geometry.setIndex(new BufferAttribute(mesh.indices, 1));
  return new Mesh(geometry, new MeshBasicMaterial({ color: 0xb8a88a }));
}

function ofPart(ours: HTMLCanvasElement, plain: HTMLCanvasElement): FrameTimes {
  const mesh = manyTriangles();
  const scene = sceneOf(ours, mesh);
  const object = plainly(mesh);
  const drawOurs = () => {
    scene.turn(0.2, 0);
    scene.draw();
  };
  return { count: mesh.indices.length / 3, ...inTurn(ours, drawOurs, plain, object, 40) };
}

/** A part of as many triangles and edges as the heaviest of the demo's, at another point of its way each frame. */
function ofThumb(ours: HTMLCanvasElement, plain: HTMLCanvasElement): FrameTimes {
  const mesh = manyTriangles(DEMO_BANDS);
  const target = { positions: mesh.positions.map((mm) => 1.1 * mm), edges: mesh.edges.map((mm) => 1.1 * mm) };
  const morph = { mesh, low: null, high: { mesh, target } };
  const scene = sceneOf(ours, mesh);
  const object = plainly(mesh);
  let frame = 0;
  const drawOurs = () => {
    frame += 1;
    const { mesh: of, ...at } = between({ morph, share: (frame % FRAMES) / FRAMES });
    scene.follow('part', of, at);
    scene.draw();
  };
  return { count: mesh.indices.length / 3, ...inTurn(ours, drawOurs, plain, object, 40) };
}

/** Bands of a thousand triangles each: the heaviest part of the demo has 12,000. */
const DEMO_BANDS = 12;

function ofLayers(ours: HTMLCanvasElement, plain: HTMLCanvasElement): FrameTimes {
  const drawing = manyLines();
  const scene = new LayerScene(ours);
  scene.resize(SIZE_PX, SIZE_PX, 1);
  scene.setDrawing(drawing);
  scene.show(drawing.begins.length - 2, false);
  scene.look(false);
  const seen = seenOf(drawing);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(seen, 3));
  const object = new LineSegments(geometry, new LineBasicMaterial({ color: 0x1c2326 }));
  const drawOurs = () => {
    scene.turn(TURN);
    scene.draw();
  };
  return { count: seen.length / 6, ...inTurn(ours, drawOurs, plain, object, 40) };
}

/** Middle times of a frame of each, ms. @param reach of what is drawn plainly, mm from its middle. */
function inTurn(
  ours: HTMLCanvasElement,
  drawOurs: () => void,
  plain: HTMLCanvasElement,
  object: Object3D,
  reach: number,
): Pick<FrameTimes, 'oursMs' | 'plainMs'> {
  const renderer = new WebGLRenderer({ canvas: plain, antialias: true, alpha: true });
  renderer.setSize(SIZE_PX, SIZE_PX, false);
  const world = new Scene().add(object);
  const camera = new OrthographicCamera(-reach, reach, reach, -reach, -1000, 1000);
  camera.position.set(30, -30, 25);
  camera.lookAt(0, 0, 0);
  const drawPlain = () => {
    object.rotation.z += TURN;
    renderer.render(world, camera);
  };
  const taken: [number[], number[]] = [[], []];
  const both = [
    { canvas: ours, draw: drawOurs },
    { canvas: plain, draw: drawPlain },
  ];
  for (let frame = 0; frame < FRAMES + WARM_UP; frame += 1) {
    for (const [index, { canvas, draw }] of both.entries()) {
      const start = performance.now();
      draw();
      finish(canvas);
      if (frame >= WARM_UP) taken[index]!.push(performance.now() - start);
    }
  }
  const middle = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  return { oursMs: middle(taken[0]), plainMs: middle(taken[1]) };
}

/** Waits until what was asked of the graphics is drawn: a pixel can't be read before. */
function finish(canvas: HTMLCanvasElement): void {
  const gl = canvas.getContext('webgl2')!;
  gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
}
