import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { evaluateRepair, type EvaluatedRepair } from '@core/fitting/fit';
import { emptyRepair, readRepairFile, type Body } from '@core/record/model';
import { RepairBuilder, type Built } from '@core/shaping/solid';
import type { Kernel } from '@core/shaping/kernel';
import type { Vec3 } from '@core/foundations/vectors';
import { beginWith, STARTERS } from '@core/shaping/starters';
import { testKernel } from '@core/testing/kernel';
import { LONG } from '@core/testing/long';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

import { placeLabels, type View } from '@ui/part/placeLabels';
import { STANCE_ORDER, STANCES, type Stance } from '@ui/part/stances';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** The repair files of the demo. */
const FOLDER = join(__dirname, 'repairs');

/** The part of a telephone's screen and of a wide one, px. */
const PANES = [
  [390, 312],
  [390, 185],
  [738, 800],
] as const;
const LABEL = { width: 84, height: 30 };

const dot = (a: Vec3, b: Vec3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vec3): Vec3 => {
  const length = Math.hypot(...a);
  return [a[0] / length, a[1] / length, a[2] / length];
};

/** The view as the part is fitted into its pane: a margin all round, the box of the part within it. */
function viewOf({ box }: Built, stance: Stance, [width, height]: readonly [number, number]): View {
  const [x0, y0, z0, x1, y1, z1] = box!;
  const corners = [x0, x1].flatMap((x) => [y0, y1].flatMap((y) => [z0, z1].map((z): Vec3 => [x, y, z])));
  const middle: Vec3 = [(x0 + x1) / 2, (y0 + y1) / 2, (z0 + z1) / 2];
  const { towards, up: above } = STANCES[stance];
  const right = unit(cross(above, towards));
  const up = cross(towards, right);
  const flat = (point: Vec3) => {
    const from: Vec3 = [point[0] - middle[0], point[1] - middle[1], point[2] - middle[2]];
    return { x: dot(from, right), y: dot(from, up) };
  };
  const margin = (px: number) => Math.min(Math.max(px * 0.17, 24), 78);
  const reach = (axis: 'x' | 'y') => 2 * Math.max(...corners.map((corner) => Math.abs(flat(corner)[axis])));
  const perMm = Math.min(
    (width - 2 * margin(width)) / reach('x'),
    (height - 2 * margin(height)) / reach('y'),
  );
  const project = (point: Vec3) => {
    const { x, y } = flat(point);
    return { x: width / 2 + perMm * x, y: height / 2 - perMm * y };
  };
  return { width, height, corners, project };
}

interface Part {
  name: string;
  bodies: Body[];
  numbers: EvaluatedRepair;
}

function parts(): Part[] {
  const demos = readdirSync(FOLDER).map((name): Part => {
    const file = readRepairFile(readFileSync(join(FOLDER, name), 'utf8'));
    if (!file.ok) throw new Error(file.fault.code);
    const { repair } = file.value;
    return { name: repair.head.name, bodies: repair.bodies, numbers: evaluateRepair(repair) };
  });
  let made = 0;
  const starters = STARTERS.map((starter): Part => {
    const begun = beginWith(starter, { sizes: [] }, new Set(), () => `id-${(made += 1)}`);
    const repair = {
      ...emptyRepair({ id: 'r', name: 'r', place: '' }, '2026-06-01T08:00:00.000Z'),
      ...begun,
    };
    return { name: starter.id, bodies: begun.bodies, numbers: evaluateRepair(repair) };
  });
  // Every second one, and all of them in the long run.
  const real = REAL_PARTS.filter((_, index) => LONG || index % 2 === 0).map((part): Part => {
    const repair = repairOf(part);
    return { name: part.name, bodies: repair.bodies, numbers: evaluateRepair(repair) };
  });
  return [...demos, ...starters, ...real];
}

test('sizes on the picture lie on no other and none outside, on demo parts, starters and real parts, from all sides', () => {
  let [shown, all] = [0, 0];
  for (const { name, bodies, numbers } of parts()) {
    const builder = new RepairBuilder(kernel);
    for (const built of builder.build(bodies, numbers).values()) {
      if (!built.box) continue;
      for (const stance of STANCE_ORDER) {
        for (const pane of PANES) {
          const view = viewOf(built, stance, pane);
          const placed = placeLabels(built.annotations, view);
          shown += placed.length;
          all += built.annotations.length;
          const at = `${name}, ${stance}, ${pane.join(' by ')}`;
          for (const [index, { label }] of placed.entries()) {
            const isInside =
              label.x >= LABEL.width / 2 &&
              label.x <= pane[0] - LABEL.width / 2 &&
              label.y >= LABEL.height / 2 &&
              label.y <= pane[1] - LABEL.height / 2;
            expect(`${at}: ${isInside}`).toBe(`${at}: true`);
            for (const other of placed.slice(index + 1)) {
              const isApart =
                Math.abs(label.x - other.label.x) >= LABEL.width ||
                Math.abs(label.y - other.label.y) >= LABEL.height;
              expect(`${at}: ${isApart}`).toBe(`${at}: true`);
            }
          }
        }
      }
    }
    builder.dispose();
  }
  // Those seen end on are left out, and hardly any others.
  expect(shown / all).toBeGreaterThan(0.6);
}, 180_000);
