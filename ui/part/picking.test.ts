import type { Vec3 } from '@core/foundations/vectors';
import type { SolidMesh } from '@core/shaping/part';

import { cornerAt, edgeAt, pickables, rimOf, segmentsOf } from './pickOnMesh';
import { patchOfPicks, pickableFor, samePick, usePartTool, type PickJob } from './partTool';

/** Two edges side by side between the same faces, one in front of the other, and a third elsewhere. */
const mesh: SolidMesh = {
  positions: new Float32Array([0, 0, 0, 10, 0, 0, 0, 10, 0]),
  normals: new Float32Array(9),
  indices: new Uint32Array([0, 1, 2]),
  faces: [{ start: 0, count: 3, tag: 's:top' }],
  edges: new Float32Array([0, 0, 0, 100, 0, 0, 0, 0, 50, 100, 0, 50, 0, 80, 0, 100, 80, 0]),
  edgeRuns: [
    { start: 0, count: 1, tags: ['s:top', 's:front'] },
    { start: 1, count: 1, tags: ['s:front', 's:top'] },
    { start: 2, count: 1, tags: ['s:top', 's:back'] },
  ],
};
/** Looking along z: x and y are pixels, and what is higher is nearer. */
const project = ([x, y, z]: Vec3) => ({ x, y, depth: -z });

describe('what a tap means', () => {
  test('the nearest edge within a finger’s reach, and of two at one place the one in front', () => {
    const found = edgeAt(mesh, { x: 40, y: 3 }, project)!;
    expect(found.tags).toEqual(['s:front', 's:top']);
    expect(found.near).toEqual([40, 0, 50]);
    expect(edgeAt(mesh, { x: 40, y: 70 }, project)!.tags).toEqual(['s:top', 's:back']);
    expect(edgeAt(mesh, { x: 40, y: 40 }, project)).toBeNull();
  });

  test('never one that is hidden, unless nothing hides it', () => {
    const behind = edgeAt(mesh, { x: 40, y: 3 }, project, ([, , z]) => z === 0)!;
    expect(behind.tags).toEqual(['s:top', 's:front']);
    expect(edgeAt(mesh, { x: 40, y: 3 }, project, () => false)).toBeNull();
  });

  test('past the end of an edge its end is the nearest', () => {
    expect(edgeAt(mesh, { x: 108, y: 80 }, project)!.near).toEqual([100, 80, 0]);
    expect(edgeAt(mesh, { x: 130, y: 80 }, project)).toBeNull();
  });
});

describe('a tap on a corner', () => {
  test('takes the end of an edge, the one in front, if it is hit well and can be seen', () => {
    expect(cornerAt(mesh, { x: 4, y: 5 }, project)).toEqual({ kind: 'corner', near: [0, 0, 50] });
    expect(cornerAt(mesh, { x: 4, y: 5 }, project, ([, , z]) => z === 0)).toEqual({
      kind: 'corner',
      near: [0, 0, 0],
    });
    expect(cornerAt(mesh, { x: 20, y: 0 }, project)).toBeNull();
  });

  test('an edge that comes back to where it began has none', () => {
    const closed: SolidMesh = {
      ...mesh,
      edges: new Float32Array([0, 0, 0, 9, 0, 0, 9, 0, 0, 0, 0, 0]),
      edgeRuns: [{ start: 0, count: 2, tags: ['s:top', 's:front'] }],
    };
    expect(cornerAt(closed, { x: 0, y: 0 }, project)).toBeNull();
    expect(pickables(closed, 'corner')).toEqual([]);
    // The three edges of the other have six ends.
    expect(pickables(mesh, 'corner')).toHaveLength(6);
  });
});

test('the edge that was picked is shown, not its neighbour between the same faces', () => {
  const tags = ['s:top', 's:front'] as const;
  expect([...segmentsOf(mesh, { kind: 'edge', tags, near: [40, 0, 49] })]).toEqual([0, 0, 50, 100, 0, 50]);
  expect([...segmentsOf(mesh, { kind: 'edge', tags, near: [40, 0, 1] })]).toEqual([0, 0, 0, 100, 0, 0]);
  expect(segmentsOf(mesh, { kind: 'edge', tags: ['gone:a', 'gone:b'], near: [0, 0, 0] })).toHaveLength(0);
});

test('a face is shown by the edges round it, and of copies of a face only the one that was picked', () => {
  expect(rimOf(mesh, { kind: 'face', tag: 's:top', near: [1, 1, 0] })).toHaveLength(18);
  expect(rimOf(mesh, { kind: 'face', tag: 's:gone', near: [1, 1, 0] })).toHaveLength(0);
  const copies: SolidMesh = {
    ...mesh,
    positions: new Float32Array([0, 0, 0, 100, 0, 0, 0, 10, 0, 0, 80, 0, 100, 80, 0, 0, 99, 0]),
    indices: new Uint32Array([0, 1, 2, 3, 4, 5]),
    faces: [
      { start: 0, count: 3, tag: 's:top' },
      { start: 3, count: 3, tag: 's:top' },
    ],
  };
  expect([...rimOf(copies, { kind: 'face', tag: 's:top', near: [30, 90, 0] })]).toEqual([
    0, 80, 0, 100, 80, 0,
  ]);
});

test('everything that can be picked can be stepped through', () => {
  expect(pickables(mesh, 'edge')).toHaveLength(3);
  expect(pickables(mesh, 'face')).toEqual([{ kind: 'face', tag: 's:top', near: [0, 0, 0] }]);
});

describe('what a pick does to its step', () => {
  const job = (picks: PickJob['want']['picks'], field = 'where', forBody = 'b'): PickJob => ({
    bodyId: 'b',
    forBody,
    stepId: 's2',
    steps: 1,
    what: 'which',
    want: { field, picks },
  });
  const face = (tag: string) => ({
    bodyId: 'b',
    picked: { kind: 'face' as const, tag, near: [1.23456, 0, 0] as const },
  });
  const edge = (near: number) => ({
    bodyId: 'b',
    picked: { kind: 'edge' as const, tags: ['s:a', 's:b'] as const, near: [near, 0, 0] as const },
  });

  test('a face to stand on begins in its middle, and where it was tapped is kept to a thousandth', () => {
    expect(patchOfPicks(job('ground', 'on'), [face('s:top')])).toMatchObject({
      on: { face: { tag: 's:top', near: [1.235, 0, 0] } },
      x: { from: 'number', mm: 0 },
      xFrom: undefined,
    });
  });

  test('edges and faces go in together; nothing picked changes nothing', () => {
    expect(patchOfPicks(job('edges'), [edge(0), edge(9)])).toMatchObject({
      where: { edges: 'picked', picks: [{ near: [0, 0, 0] }, { near: [9, 0, 0] }] },
    });
    expect(patchOfPicks(job('rim'), [face('s:top')])).toMatchObject({
      where: { edges: 'face', face: { tag: 's:top' } },
    });
    expect(patchOfPicks(job('faces', 'open'), [face('s:top'), face('s:front')])).toMatchObject({
      open: [{ tag: 's:top' }, { tag: 's:front' }],
    });
    for (const picks of ['ground', 'rim', 'edges', 'faces', 'outline', 'face'] as const)
      expect(patchOfPicks(job(picks), [])).toBeNull();
  });

  test('a face gives its outline, of another body with its name, or is where a step goes up to', () => {
    const of = { tag: 's:top', near: [1.235, 0, 0] };
    const by = { from: 'number', mm: 0 };
    expect(patchOfPicks(job('outline', 'outline'), [face('s:top')])).toEqual({
      outline: { shape: 'offset', of: { face: of }, by },
    });
    expect(patchOfPicks(job('outline', 'outline', 'lid'), [face('s:top')])).toEqual({
      outline: { shape: 'offset', of: { face: of, body: 'b' }, by },
    });
    // Of a step that has a place it stays where it stands.
    const raise = job('outline', 'outline');
    expect(patchOfPicks({ ...raise, want: { ...raise.want, stays: true } }, [face('s:top')])).toMatchObject({
      outline: { shape: 'offset' },
      xFrom: 'there',
      yFrom: 'there',
      x: by,
      y: by,
    });
    expect(patchOfPicks(job('face', 'upTo'), [face('s:top')])).toEqual({ upTo: of });
  });

  test('only what is wanted can be tapped', () => {
    expect(pickableFor({ field: 'where', picks: 'edges' })).toEqual(['edge']);
    expect(pickableFor({ field: 'on', picks: 'ground' })).toEqual(['face']);
  });

  test('two taps on one thing are one pick, on two edges between the same faces two', () => {
    expect(samePick(face('s:top'), face('s:top'))).toBe(true);
    expect(samePick(edge(0), edge(1))).toBe(true);
    expect(samePick(edge(0), edge(40))).toBe(false);
    expect(samePick(face('s:top'), edge(0))).toBe(false);
  });
});

test('one thing is done with the part at a time', () => {
  const tool = () => usePartTool.getState();
  tool().setMeasuring(true);
  tool().setPicked([{ bodyId: 'b', picked: { kind: 'face', tag: 's:top', near: [0, 0, 0] } }]);
  tool().beginPick({
    bodyId: 'b',
    forBody: 'b',
    stepId: 's',
    steps: 2,
    what: 'x',
    want: { field: 'on', picks: 'ground' },
  });
  expect(tool()).toMatchObject({ measuring: false, picked: [], stage: { bodyId: 'b', steps: 2 } });
  tool().setStage({ bodyId: 'b', steps: 1 });
  expect(tool()).toMatchObject({ job: null, stage: { steps: 1 } });
  tool().end();
  expect(tool()).toMatchObject({ job: null, stage: null, measuring: false });
});
