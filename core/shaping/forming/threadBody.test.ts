import { checkSolid, type Kernel } from '@core/shaping/kernel';
import type { FaceTag } from '@core/shaping/part';
import { ridgeOf, THREADS, threadForm, type Ridge } from '@core/foundations/standards';
import { testKernel } from '@core/testing/kernel';
import { LONG } from '@core/testing/long';
import { integral } from '@core/testing/parts/volumes';

import { mouthDepth, threadBody } from './threadBody';
import { threadedRod } from './threaded';
import type { ThreadEnd } from './threadFaces';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const PLAY = 0.1;
const FOOT = 5;

/**
 * Volume by shells about the axis: of each radius between core and crest the ridge's share of the pitch over the height between its ends, and all of the rest within a
 * mouth. Simpson's rule is exact for what is of the third degree in the radius.
 */
function volumeByShells(ridge: Ridge, pitch: number, low: ThreadEnd, high: ThreadEnd): number {
  const { coreRadius, crestRadius, coreHalf, crestHalf } = ridge;
  const wide = coreRadius + mouthDepth(ridge, pitch);
  /** How far the ridge ends below an end at a radius, and how far from there on all is full. */
  const atEnd = (end: ThreadEnd, radius: number): [short: number, full: number] => {
    if (end.is !== 'mouth') return [end.is === 'eased' ? radius - coreRadius : 0, 0];
    const depth = Math.abs(end.up - end.mouth) + wide - radius;
    return [depth, depth];
  };
  const shell = (radius: number) => {
    const share = (radius - coreRadius) / (crestRadius - coreRadius);
    const width = radius > crestRadius + 1e-12 ? 0 : 2 * (coreHalf + share * (crestHalf - coreHalf));
    const [one, other] = [atEnd(low, radius), atEnd(high, radius)];
    const high2 = high.up - low.up - one[0] - other[0];
    return 2 * Math.PI * radius * ((width / pitch) * high2 + one[1] + other[1]);
  };
  const simpson = (f: (radius: number) => number, a: number, b: number) =>
    ((b - a) / 6) * (f(a) + 4 * f((a + b) / 2) + f(b));
  return (
    Math.PI * coreRadius ** 2 * (high.up - low.up) +
    simpson(shell, coreRadius, crestRadius) +
    simpson((radius) => shell(radius + 2e-12), crestRadius, wide)
  );
}

/** Ends of each kind, for a thread so long; mouths 1 mm within. */
const endsOf = (length: number): [ThreadEnd, ThreadEnd][] => [
  [
    { is: 'level', up: 0 },
    { is: 'eased', up: length },
  ],
  [
    { is: 'level', up: 0 },
    { is: 'level', up: length },
  ],
  [
    { is: 'mouth', up: -1, mouth: 0 },
    { is: 'mouth', up: length + 1, mouth: length },
  ],
  [
    { is: 'level', up: 0 },
    { is: 'mouth', up: length + 1, mouth: length },
  ],
];

test.each(['outside', 'inside'] as const)(
  'threads that are known, %s, with every kind of end: sound, and as large as they are',
  (side) => {
    for (const [index, thread] of THREADS.entries()) {
      if (!LONG && index % 5 !== 0) continue;
      const form = threadForm(thread);
      const ridge = ridgeOf(form, side, PLAY);
      // Too fine for that play.
      if (!ridge) continue;
      const [low, high] = endsOf(form.pitchMm * (1.5 + 0.97 * (index % 9)))[index % 4]!;
      const body = threadBody(
        kernel,
        ridge,
        form.pitchMm,
        { x: 3, y: -2, z: FOOT, low, high },
        (role) => `t:${role}` as FaceTag,
      );
      const expected = volumeByShells(ridge, form.pitchMm, low, high);
      const { valid, closed, pieces, volumeMm3 } = checkSolid(body);
      expect([thread.name, low.is, high.is, valid, closed, pieces]).toEqual([
        thread.name,
        low.is,
        high.is,
        true,
        true,
        1,
      ]);
      expect([thread.name, low.is, high.is, volumeMm3 / expected]).toEqual([
        thread.name,
        low.is,
        high.is,
        expect.closeTo(1, 6),
      ]);
      const roles = new Set(body.tagList().map((tag) => tag.split(':')[1]));
      const wanted = ['bottom', 'root', 'thread', 'top'];
      if (low.is !== 'level' || high.is !== 'level') wanted.push('lead');
      expect([...roles].sort()).toEqual(wanted.sort());
      body.dispose();
    }
  },
  60_000,
);

test('of a hole through a plate that is thinner than its two mouths are deep, the rod is whole too', () => {
  const form = threadForm(THREADS.find(({ name }) => name === 'M10')!);
  const ridge = ridgeOf(form, 'inside', PLAY)!;
  const { coreRadius, crestRadius, coreHalf, crestHalf } = ridge;
  const thick = 0.9 * form.pitchMm;
  const wide = coreRadius + mouthDepth(ridge, form.pitchMm);
  const rod = threadedRod(
    kernel,
    ridge,
    form.pitchMm,
    {
      x: 0,
      y: 0,
      z: -1,
      length: thick + 2,
      hasLead: false,
      mouths: [
        { z: 0, way: -1 },
        { z: thick, way: 1 },
      ],
    },
    (role) => `t:${role}` as FaceTag,
  );
  // Within the plate: full up to the nearer mouth's cone, and the ridge's share of the rest.
  const area = (z: number) => {
    const full = Math.min(wide, Math.max(coreRadius, wide - Math.min(z, thick - z)));
    const width = (r: number) =>
      2 * (coreHalf + ((r - coreRadius) / (crestRadius - coreRadius)) * (crestHalf - coreHalf));
    const beyond =
      full < crestRadius
        ? integral((r) => (2 * Math.PI * r * width(r)) / form.pitchMm, full, crestRadius, 40)
        : 0;
    return Math.PI * full ** 2 + beyond;
  };
  const expected = 2 * integral(area, 0, thick / 2, 4000) + 2 * Math.PI * wide ** 2;
  const { valid, closed, pieces, volumeMm3 } = checkSolid(rod);
  expect([valid, closed, pieces]).toEqual([true, true, 1]);
  expect(volumeMm3 / expected).toBeCloseTo(1, 4);
  rod.dispose();
});

test.each(endsOf(threadForm(THREADS.find(({ name }) => name === 'M10')!).pitchMm).slice(0, 2))(
  'one turn is the shortest thread, and is as sound',
  (low, high) => {
    const form = threadForm(THREADS.find(({ name }) => name === 'M10')!);
    const ridge = ridgeOf(form, 'outside', PLAY)!;
    const body = threadBody(
      kernel,
      ridge,
      form.pitchMm,
      { x: 0, y: 0, z: FOOT, low, high },
      (role) => `t:${role}` as FaceTag,
    );
    const { valid, closed, pieces, volumeMm3 } = checkSolid(body);
    expect([valid, closed, pieces]).toEqual([true, true, 1]);
    expect(volumeMm3 / volumeByShells(ridge, form.pitchMm, low, high)).toBeCloseTo(1, 6);
    body.dispose();
  },
);
