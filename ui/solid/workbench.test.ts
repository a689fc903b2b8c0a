import { KernelTrap } from '@core/shaping/part';
import type { RepairState } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import type { BuildReply, SolidWorker, WorkerWatcher } from './protocol';
import { mergeShown, type ShownBody } from './useSolid';
import { Workbench } from './workbench';

jest.mock('./spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));

const LIMITS = { stepMs: 200, quietMs: 50 };
const never = () => new Promise<never>(() => {});
const state: RepairState = rackWheel();

/** A worker that does what the test says; counts how many were started and ended. */
function bench(build: (start: number, watcher: WorkerWatcher) => Promise<BuildReply>) {
  const count = { started: 0, ended: 0 };
  const hang = { start: false, picture: false, pictureMs: 0 };
  const workbench = new Workbench(() => {
    count.started += 1;
    const mine = count.started;
    let watcher: WorkerWatcher;
    const worker: SolidWorker = {
      start: async (given) => {
        watcher = given;
        if (hang.start) return never();
      },
      build: () => build(mine, watcher),
      cutOpen: async () => null,
      file: never,
      bedFile: never,
      picture: async () => {
        if (hang.picture) return never();
        await new Promise((resolve) => setTimeout(resolve, hang.pictureMs));
        return null;
      },
      stage: async () => null,
      behind: async () => null,
      seen: async () => [],
      countEdges: async () => [],
      showEdges: never,
      measure: async () => null,
      clearances: async () => [],
      layerMesh: never,
      lyingPictures: async () => [],
      slide: () => Promise.resolve(null),
      compareShapes: () => Promise.resolve(null),
      meshFrom: () => Promise.resolve(null),
      morph: () => Promise.resolve(null),
    };
    return { worker, end: () => (count.ended += 1) };
  }, LIMITS);
  return { workbench, count, hang };
}
const reply = (memoryBytes = 0): BuildReply => ({ bodies: [], memoryBytes });
const failedStep = (given: BuildReply | null) =>
  given?.bodies.flatMap((body) => body.steps).find((step) => step.state === 'failed');

test('a worker that hangs is ended, its step is named, and the next build has a new one', async () => {
  const { workbench, count } = bench((start, watcher) => {
    watcher.step('wheel', 'groove');
    return start === 1 ? never() : Promise.resolve(reply());
  });
  const first = await workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  expect(failedStep(first)).toEqual({
    stepId: 'groove',
    state: 'failed',
    fault: { code: 'step.timedOut', seconds: 0.2 },
  });
  expect(count).toEqual({ started: 1, ended: 1 });
  expect(await workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).toEqual(reply());
  expect(count).toEqual({ started: 2, ended: 1 });
});

test('what a worker calls out after its reply is no sign of work any more', async () => {
  let watch: WorkerWatcher | null = null;
  const { workbench } = bench(async (_, watcher) => {
    watch = watcher;
    watcher.step('wheel', 'disc');
    return reply();
  });
  expect(await workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).toEqual(reply());
  watch!.step('wheel', 'rims');
  watch!.loading(0.9);
  await new Promise((resolve) => setTimeout(resolve, 120));
  expect(workbench.status).toEqual({ kind: 'idle' });
});

test('a slow build whose steps go on is left alone', async () => {
  const { workbench, count } = bench(async (_, watcher) => {
    for (const step of ['disc', 'groove', 'bore', 'mouths']) {
      watcher.step('wheel', step);
      await new Promise((resolve) => setTimeout(resolve, LIMITS.stepMs * 0.6));
    }
    return reply();
  });
  expect(await workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).toEqual(reply());
  expect(count.ended).toBe(0);
});

test('a trapped kernel is replaced', async () => {
  const { workbench, count } = bench((start, watcher) => {
    watcher.step('wheel', 'bore');
    return start === 1 ? Promise.reject(new KernelTrap('unreachable')) : Promise.resolve(reply());
  });
  expect(failedStep(await workbench.build(state, DEFAULT_WORKSHOP, () => ({})))).toMatchObject({
    stepId: 'bore',
    fault: { code: 'step.kernelFailed' },
  });
  expect(await workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).toEqual(reply());
  expect(count.started).toBe(2);
});

test('stopping a build names its step and drops what waits behind it', async () => {
  const { workbench } = bench((_, watcher) => {
    watcher.step('wheel', 'groove');
    return never();
  });
  const first = workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  await new Promise((resolve) => setTimeout(resolve, 20));
  const second = workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  expect(workbench.status).toEqual({ kind: 'building', bodyId: 'wheel', stepId: 'groove' });
  workbench.cancel();
  expect(failedStep(await first)).toMatchObject({ stepId: 'groove', fault: { code: 'step.stopped' } });
  expect(await second).toBeNull();
});

test('a build can be stopped while the kernel is still being started, and the next one starts it anew', async () => {
  const { workbench, count, hang } = bench(async () => reply());
  hang.start = true;
  const first = workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  await new Promise((resolve) => setTimeout(resolve, 10));
  expect(workbench.status).toEqual({ kind: 'loading', share: 0 });
  workbench.cancel();
  expect(failedStep(await first)).toMatchObject({ fault: { code: 'step.stopped' } });
  expect(workbench.status).toEqual({ kind: 'idle' });
  expect(count).toEqual({ started: 1, ended: 1 });
  hang.start = false;
  expect(await workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).toEqual(reply());
});

test('stopping something else than a build lets the builds behind it go on', async () => {
  const { workbench } = bench(async () => reply());
  await workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  const file = workbench.ask
    .file('wheel', 'stl', '', '2026-05-04T09:00:00Z')
    .catch((error: Error) => error.name);
  const build = workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  await new Promise((resolve) => setTimeout(resolve, 10));
  workbench.cancel();
  expect(await file).toBe('WorkerLost');
  expect(await build).toEqual(reply());
});

test('who stops while a build waits behind quiet work stops that build, and the next one is built', async () => {
  const { workbench, count, hang } = bench(async () => reply());
  await workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  hang.picture = true;
  const picture = workbench.ask.picture('wheel').catch((error: Error) => error.name);
  const build = workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  await new Promise((resolve) => setTimeout(resolve, 10));
  expect(workbench.status.kind).toBe('building');
  workbench.cancel();
  expect(await picture).toBe('WorkerLost');
  expect(failedStep(await build)).toMatchObject({ fault: { code: 'step.stopped' } });
  expect(workbench.status).toEqual({ kind: 'idle' });
  expect(count).toEqual({ started: 1, ended: 1 });
  expect(await workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).toEqual(reply());
});

test('a build does not wait for quiet work that hangs, whether it was asked for before or after it', async () => {
  const { workbench, count, hang } = bench(async () => reply());
  await workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  hang.picture = true;
  for (const isAskedFirst of [true, false]) {
    const picture = () => workbench.ask.picture('wheel').catch((error: Error) => error.name);
    const before = count.ended;
    // The second time the picture begins with a build behind it that was asked for in the same breath.
    const [lost, built] = isAskedFirst
      ? [picture(), new Promise((resolve) => setTimeout(resolve, 10)).then(build)]
      : [picture(), build()];
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(workbench.status).toEqual({ kind: 'building', bodyId: null, stepId: null });
    expect(await lost).toBe('WorkerLost');
    expect(await built).toEqual(reply());
    expect(workbench.status).toEqual({ kind: 'idle' });
    expect(count.ended).toBe(before + 1);
  }
  function build() {
    return workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  }
});

test('quiet work that ends in time is left alone by the build behind it', async () => {
  const { workbench, count, hang } = bench(async () => reply());
  await workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  hang.pictureMs = LIMITS.quietMs / 2;
  const picture = workbench.ask.picture('wheel');
  expect(await workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).toEqual(reply());
  expect(await picture).toBeNull();
  await new Promise((resolve) => setTimeout(resolve, 2 * LIMITS.quietMs));
  expect(count.ended).toBe(0);
});

test('of builds asked for in a row only the first and the newest are done', async () => {
  let builds = 0;
  const { workbench } = bench(async () => {
    builds += 1;
    await new Promise((resolve) => setTimeout(resolve, 20));
    return reply();
  });
  const first = workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  await new Promise((resolve) => setTimeout(resolve, 5));
  const rest = [1, 2, 3].map(() => workbench.build(state, DEFAULT_WORKSHOP, () => ({})));
  expect(await first).toEqual(reply());
  expect(await Promise.all(rest)).toEqual([null, null, reply()]);
  expect(builds).toBe(2);
});

test('a worker whose memory has grown is replaced, and builds again before it is asked for more', async () => {
  let builds = 0;
  const { workbench, count } = bench(async (start) => {
    builds += 1;
    return reply(start === 1 ? 100e6 + builds * 0.5e6 : 100e6);
  });
  while (count.ended === 0 && builds < 300) await workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  // A fresh one stands by, with nothing built on it.
  expect(count).toEqual({ started: 2, ended: 1 });
  const before = builds;
  await workbench.ask.cutOpen('wheel', { towards: [1, 0, 0], at: 0 }, 1);
  expect(builds).toBe(before + 1);
  await workbench.ask.cutOpen('wheel', { towards: [1, 0, 0], at: 1 }, 1);
  expect(builds).toBe(before + 1);
});

test('a failure to load is said, and tried again at the next build', async () => {
  let tries = 0;
  const workbench = new Workbench(() => {
    tries += 1;
    const start = tries === 1 ? () => Promise.reject(new Error('could not be loaded')) : async () => {};
    const worker = { start, build: async () => reply() } as unknown as SolidWorker;
    return { worker, end: () => {} };
  }, LIMITS);
  await expect(workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).rejects.toThrow('could not be loaded');
  expect(workbench.status).toEqual({ kind: 'failed', sentence: 'could not be loaded' });
  expect(await workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).toEqual(reply());
});

describe('what is shown of a body', () => {
  const mesh = { positions: new Float32Array(3) } as ShownBody['mesh'];
  const built = {
    bodyId: 'b',
    build: 1,
    mesh,
    annotations: [],
    centreLines: [],
    figures: null,
    findings: [],
    failedTool: null,
    cautions: [],
  };
  const step = { stepId: 's', state: 'built' } as const;
  const failed = { stepId: 's', state: 'failed', fault: { code: 'step.nothingLeft' } } as const;

  test('keeps the last sound solid while a step fails', () => {
    const good = mergeShown([], { ...built, steps: [step] });
    const bad = mergeShown([good], { ...built, build: 2, mesh: null, steps: [failed] });
    expect(bad).toMatchObject({ mesh, build: 1, outOfDate: true, steps: [failed] });
    const other = { positions: new Float32Array(6) } as ShownBody['mesh'];
    expect(mergeShown([bad], { ...built, build: 3, mesh: other, steps: [step] })).toMatchObject({
      mesh: other,
      outOfDate: false,
    });
  });

  test('keeps the mesh that the worker did not send again', () => {
    const good = mergeShown([], { ...built, steps: [step] });
    expect(mergeShown([good], { ...built, mesh: null, steps: [step] }).mesh).toBe(mesh);
  });
});

test('a fault of the program itself is a state of its own, with its step, until the next build', async () => {
  const { workbench, count } = bench((start, watcher) => {
    watcher.step('wheel', 'groove');
    return start === 1 ? Promise.reject(new TypeError('x is undefined')) : Promise.resolve(reply());
  });
  await expect(workbench.build(state, DEFAULT_WORKSHOP, () => ({}))).rejects.toThrow('x is undefined');
  expect(workbench.status).toMatchObject({
    kind: 'broken',
    at: { bodyId: 'wheel', stepId: 'groove' },
    thrown: expect.any(TypeError) as unknown,
  });
  // What the worker held is not to be trusted.
  expect(count).toEqual({ started: 1, ended: 1 });
  await workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  expect(workbench.status).toEqual({ kind: 'idle' });
});

test('a kernel that is begun ahead is the one that builds', async () => {
  const { workbench, count } = bench(() => Promise.resolve(reply()));
  workbench.begin();
  workbench.begin();
  expect(count.started).toBe(1);
  await workbench.build(state, DEFAULT_WORKSHOP, () => ({}));
  expect(count).toMatchObject({ started: 1, ended: 0 });
});
