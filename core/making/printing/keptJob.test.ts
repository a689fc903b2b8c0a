import type { WeldedMesh } from '@core/shaping/part';
import { bar, block } from '@core/testing/solids3d';
import { type LayerSettings } from '@core/making/slice';
import { jobOf, sliceNow, partOf, settingsNamed } from '@core/testing/sliced';

import { drawingOf } from './drawing';
import { writeGcode } from './gcode';
import { lengthsOf, MOVE_KINDS } from './toolpath';
import { keptJob } from './keptJob';
import { readGcode } from './readGcode';

const TRAVEL = MOVE_KINDS.indexOf('travel');

const laidJob = (mesh: WeldedMesh, more: Partial<LayerSettings> = {}) =>
  sliceNow(jobOf([partOf(mesh, { settings: { ...settingsNamed('everyday'), ...more } })])).job;

describe('a job that is read back from its file', () => {
  const job = laidJob(block(20, 14, 3));
  const written = drawingOf(job);
  const text = writeGcode(job, 'Block', '2026-11-29T08:00:00.000Z');
  if (!text.ok) throw new Error(text.fault.code);
  const kept = keptJob(readGcode(text.value))!;

  test('has the layers that were sent, at their heights, with the same lines', () => {
    const { drawing, unsaid, unknown } = kept;
    expect(drawing.topMm.length).toBe(written.topMm.length);
    for (const [index, topMm] of written.topMm.entries()) {
      expect(drawing.topMm[index]).toBeCloseTo(topMm, 2);
      expect(drawing.heightMm[index]).toBeCloseTo(written.heightMm[index]!, 2);
    }
    const laid = ({ kind, begins }: typeof drawing, layer: number) => {
      const own = [...kind.subarray(begins[layer]! + 1, begins[layer + 1])].filter((one) => one !== TRAVEL);
      return MOVE_KINDS.map((_, at) => own.filter((one) => one === at).length);
    };
    for (let layer = 0; layer < written.topMm.length; layer += 1) {
      expect(laid(drawing, layer)).toEqual(laid(written, layer));
    }
    expect(unsaid).toBe(0);
    expect(unknown).toEqual([]);
  });

  test('has their lengths and their filament', () => {
    let [metres, filament] = [0, 0];
    for (const layer of job.layers) {
      filament += layer.filamentMm.reduce((sum, one) => sum + one, 0) / 1000;
      lengthsOf(layer).forEach((mm, move) => {
        if (layer.kind[move] !== TRAVEL) metres += mm / 1000;
      });
    }
    expect(kept.laidMetres / metres).toBeCloseTo(1, 4);
    // What is drawn back and pushed again comes to nothing.
    expect(kept.filamentMetres / filament).toBeCloseTo(1, 2);
  });
});

test('a single wall that rises without a seam has as many turns as were sent', () => {
  const job = laidJob(bar(20, 4), { singleWall: true, foot: 'none' });
  expect(job.layers.at(-1)!.rising).toBe(true);
  const text = writeGcode(job, 'Cup', '2026-11-29T08:00:00.000Z');
  if (!text.ok) throw new Error(text.fault.code);
  const { drawing } = keptJob(readGcode(text.value))!;
  expect(drawing.topMm.length).toBe(job.layers.length);
  expect(drawing.topMm.at(-1)).toBeCloseTo(job.layers.at(-1)!.zMm, 2);
});

test('arcs are laid round their middle', () => {
  const { drawing, laidMetres } = keptJob(
    readGcode('G21\nG90\nM83\nG1 Z0.2 F600\nG0 X10 Y0\nG2 X10 Y10 I0 J5 E1 F1200\nG3 X10 Y10 I4 J0 E1'),
  )!;
  expect(laidMetres).toBeCloseTo((Math.PI * 5 + 2 * Math.PI * 4) / 1000, 9);
  const laid = (axis: Float32Array) => [...axis].filter((_, at) => drawing.width[at]! > 0);
  const [x, y] = [laid(drawing.x), laid(drawing.y)];
  // Clockwise from below to above goes by the left; a whole turn anticlockwise ends where it began.
  expect(Math.min(...x)).toBeCloseTo(5, 1);
  expect(Math.max(...x)).toBeCloseTo(18, 1);
  expect([x.at(-1), y.at(-1)]).toEqual([10, 10]);
  expect(drawing.seconds[0]).toBeCloseTo((Math.PI * 13) / 20 + 0.2 / 10 + 1, 4);
});

test('a file that says nothing of its lines, and has arcs without a middle, is drawn as far as it is understood, and that is told', () => {
  const kept = keptJob(
    readGcode(
      'G21\nG90\nM83\nG1 Z0.2 F600\nG0 X0 Y0\nG1 X10 Y0 E0.4 F1200\nG2 X10 Y10 I0 J9 E1\nG1 Z0.4\nG1 X0 Y0 E0.4',
    ),
  )!;
  expect([...kept.drawing.topMm].map((mm) => Number(mm.toFixed(3)))).toEqual([0.2, 0.4]);
  expect(kept.unsaid).toBe(2);
  expect(kept.unknown).toEqual([{ command: 'G2', times: 1, line: 7 }]);
  expect([...kept.drawing.width].filter((mm) => mm > 0).every((mm) => Math.abs(mm - 0.4) < 1e-6)).toBe(true);
  expect(keptJob(readGcode('G21\nG90\nG0 X5 Y5\n'))).toBeNull();
});
