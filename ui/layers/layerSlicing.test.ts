import type { SliceRequest } from '@core/making/printing';
import { unzipSync } from 'fflate';
import { BoxGeometry } from 'three';

import { weld } from '@core/shaping/part';
import { settingsNamed } from '@core/testing/sliced';
import { FILAMENTS, LAYER_PRINTERS, RESIN_PRINTERS, RESIN_SETS, RESINS } from '@core/record/workshop';

import { LayerSlicing } from './layerSlicing';

const block = () => {
  const { index, attributes } = new BoxGeometry(20, 20, 10);
  return weld({
    positions: new Float32Array(attributes.position!.array),
    indices: new Uint32Array(index!.array),
  });
};
const part = {
  bodyId: 'block',
  name: 'Block',
  down: [0, 0, -1] as [number, number, number],
  settings: settingsNamed('everyday'),
  support: 'none' as const,
  pieces: 1,
};
const request: SliceRequest = {
  parts: [part],
  machine: { id: 'bench-printer', name: 'Bench printer', printer: LAYER_PRINTERS[0]! },
  material: { id: 'petg', name: 'PETG', density: 1.27, filament: FILAMENTS[0]! },
  resin: null,
};
const inSet = (id: 'draft' | 'fine'): SliceRequest => ({
  ...request,
  parts: [{ ...part, settings: settingsNamed(id) }],
});
const atOnce = () => Promise.resolve();

test('lays a block, tells its figures, and gives its job', async () => {
  const desk = new LayerSlicing(atOnce);
  expect(await desk.gcode('Block', '2026-11-28T08:00:00Z')).toMatchObject({ ok: false });
  await desk.setMesh('block', block());
  const reply = await desk.slice(request, () => {});
  if (!reply?.ok) throw new Error(reply ? reply.fault.code : 'ended');
  expect(reply.value.drawing.begins).toHaveLength(51);
  expect(reply.value.summary.figures.layers).toBe(50);
  expect(reply.value.summary.warnings).toEqual([]);
  const job = await desk.gcode('Block', '2026-11-28T08:00:00Z');
  expect(job.ok && job.value.split('\n').filter((line) => line.startsWith('; layer'))).toHaveLength(50);
});

test('a newer request ends the one before it, and stopping ends it at once', async () => {
  const waiting: (() => void)[] = [];
  const clock = jest.spyOn(performance, 'now');
  let now = 0;
  // Every look at the clock is a second later, so that it rests after each step.
  clock.mockImplementation(() => (now += 1000));
  const desk = new LayerSlicing(() => new Promise((resolve) => waiting.push(resolve)));
  await desk.setMesh('block', block());
  const shares: number[] = [];
  const first = desk.slice(request, (share) => shares.push(share));
  expect(waiting).toHaveLength(1);
  const second = desk.slice(inSet('draft'), () => {});
  waiting.shift()!();
  expect(await first).toBeNull();
  await desk.cancel();
  waiting.shift()!();
  expect(await second).toBeNull();
  expect(shares[0]).toBeGreaterThan(0);
  clock.mockRestore();
});

test('comparing while a spare is being laid ends neither; another part ends both', async () => {
  const waiting: (() => void)[] = [];
  const clock = jest.spyOn(performance, 'now');
  let now = 0;
  clock.mockImplementation(() => (now += 1000));
  const desk = new LayerSlicing(() => new Promise((resolve) => waiting.push(resolve)));
  await desk.setMesh('block', block());
  const goOn = async (until: Promise<unknown>) => {
    let isOver = false;
    void until.finally(() => (isOver = true));
    while (!isOver) {
      waiting.splice(0).forEach((go) => go());
      await Promise.resolve();
    }
  };
  const both = Promise.all([desk.slice(request, () => {}), desk.compare(request)]);
  await goOn(both);
  expect(await both).toMatchObject([{ ok: true }, { ok: true }]);
  const ended = Promise.all([desk.slice(inSet('fine'), () => {}), desk.compare(inSet('fine'))]);
  await desk.setMesh('block', block());
  await goOn(ended);
  expect(await ended).toEqual([null, null]);
  clock.mockRestore();
});

test('comparing leaves the job that was laid', async () => {
  const desk = new LayerSlicing(atOnce);
  await desk.setMesh('block', block());
  const laid = await desk.slice(request, () => {});
  const other = await desk.compare({
    ...request,
    machine: { id: 'quick-printer', name: 'Quick printer', printer: LAYER_PRINTERS[1]! },
  });
  if (!laid?.ok || !other?.ok) throw new Error('not laid');
  expect(other.value.figures.minutes).toBeLessThan(0.8 * laid.value.summary.figures.minutes);
  const job = await desk.gcode('Block', '2026-11-28T08:00:00Z');
  expect(job.ok && job.value).toContain('F2400');
  const none = await desk.compare({
    ...request,
    machine: { id: 'casting-bench', name: 'Casting bench', printer: null },
  });
  expect(none).toMatchObject({ ok: false, fault: { code: 'slice.noLayerMachine' } });
});

test('a spare whose mesh is not there yet is told, and nothing is laid without it', async () => {
  const desk = new LayerSlicing(atOnce);
  await desk.setMesh('block', block());
  const other = { ...part, bodyId: 'hub', name: 'Hub' };
  const two = { ...request, parts: [part, other] };
  expect(await desk.slice(two, () => {})).toMatchObject({ ok: false, fault: { code: 'slice.notLaid' } });
  await desk.setMesh('hub', block());
  const laid = await desk.slice(two, () => {});
  if (!laid?.ok) throw new Error('not laid');
  expect(laid.value.placements.map(({ name, at }) => [name, at.length])).toEqual([
    ['Block', 1],
    ['Hub', 1],
  ]);
  await desk.forget();
  expect(await desk.slice(two, () => {})).toMatchObject({ ok: false, fault: { code: 'slice.notLaid' } });
  expect(await desk.gcode('Both', '2026-11-30T08:00:00Z')).toMatchObject({ ok: false });
});

test('in resin it gives a stack of pictures and no G-code, and can be stopped while it draws', async () => {
  const desk = new LayerSlicing(atOnce);
  await desk.setMesh('block', block());
  expect(await desk.pictures('Block', '2026-11-30T08:00:00Z', () => {})).toMatchObject({ ok: false });
  const printer = { ...RESIN_PRINTERS[0]!, pixels: [306, 172] as [number, number] };
  const set = { ...RESIN_SETS[0]!, layerMm: 0.1 };
  const inResin: SliceRequest = { ...request, resin: { printer, resin: RESINS[0]!, set } };
  const reply = await desk.slice(inResin, () => {});
  if (!reply?.ok) throw new Error('not laid');
  expect(reply.value.summary).toMatchObject({ by: 'resin', figures: { layers: 100 }, warnings: [] });
  expect(await desk.gcode('Block', '2026-11-30T08:00:00Z')).toMatchObject({ ok: false });
  const drawn = await desk.pictures('Block', '2026-11-30T08:00:00Z', () => {});
  expect(drawn?.ok && Object.keys(unzipSync(drawn.value))).toHaveLength(101);
  const clock = jest.spyOn(performance, 'now');
  let now = 0;
  clock.mockImplementation(() => (now += 1000));
  const stopped = desk.pictures('Block', '2026-11-30T08:00:00Z', () => void desk.cancel());
  expect(await stopped).toBeNull();
  clock.mockRestore();
  const plastic = await desk.slice({ ...inResin, resin: { printer, resin: null, set } }, () => {});
  expect(plastic).toMatchObject({ ok: false, fault: { code: 'slice.noResin', material: 'PETG' } });
});
