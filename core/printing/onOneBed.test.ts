import { AS_IT_STANDS, LayerBench, MOST_PIECES, type Laying } from '@core/printing';
import { meshVolume } from '@core/part';
import { footReachMm } from '@core/slice';
import { settingsNamed } from '@core/testing/laid';
import { bar, block } from '@core/testing/solids3d';
import { FILAMENTS, LAYER_PRINTERS } from '@core/workshop';
import { jobSentence, sentenceOf } from '@core/wording';

import { onOneBed } from './onOneBed';

const everyday = { ...settingsNamed('everyday'), foot: 'none' as const };
const machine = LAYER_PRINTERS[0]!;

test('several pieces are closed, apart, and so many times the volume; one stays the very mesh', () => {
  const wheel = bar(20, 6);
  const bed = machine.envelopeMm;
  expect(onOneBed(wheel, 1, bed, everyday)).toEqual({ ok: true, value: wheel });
  const five = onOneBed(wheel, 5, bed, everyday);
  if (!five.ok) throw new Error(sentenceOf(five.fault));
  expect(meshVolume(five.value) / meshVolume(wheel)).toBeCloseTo(5, 4);
  // A rim of 6 mm needs room for two of them, and goes out beyond the outermost.
  const rimmed = onOneBed(block(100, 100, 5), 2, [220, 220, 200], {
    foot: 'brim',
    footMm: 6,
    lineMm: 0.44,
  });
  expect(rimmed).toEqual({ ok: false, fault: { code: 'slice.piecesDoNotFit', pieces: 2, most: 1 } });
  expect(onOneBed(block(100, 100, 5), 4, [220, 220, 200], everyday).ok).toBe(true);
});

test('more than go on the bed are refused with how many do', () => {
  const refused = onOneBed(block(60, 60, 5), 16, [220, 220, 200], everyday);
  expect(refused).toEqual({ ok: false, fault: { code: 'slice.piecesDoNotFit', pieces: 16, most: 9 } });
  if (!refused.ok) expect(sentenceOf(refused.fault)).toMatch(/^16 pieces do not go .* at once: 9 do\./);
  expect(onOneBed(block(1, 1, 5), MOST_PIECES + 1, [220, 220, 200], everyday)).toMatchObject({
    fault: { most: MOST_PIECES },
  });
});

test('a job of three takes three times the material, and less than three times the minutes, since it warms up once', () => {
  const laid = (pieces: number) => {
    const laying: Laying = {
      mesh: bar(16, 5),
      down: AS_IT_STANDS,
      machine,
      material: FILAMENTS[0]!,
      settings: everyday,
      density: 1.27,
      pieces,
    };
    const work = new LayerBench().layOut(laying);
    let step = work.next();
    while (!step.done) step = work.next();
    if (!step.value.ok) throw new Error(sentenceOf(step.value.fault));
    return step.value.value;
  };
  const [one, three] = [laid(1), laid(3)];
  expect(three.figures.grams / one.figures.grams).toBeCloseTo(3, 1);
  expect(three.figures.layers).toBe(one.figures.layers);
  expect(three.figures.minutes).toBeLessThan(3 * one.figures.minutes);
  // In the middle of the bed, as one is.
  const [x, y] = three.job.at;
  expect(Math.abs(x - machine.envelopeMm[0] / 2)).toBeLessThan(15);
  expect(Math.abs(y - machine.envelopeMm[1] / 2)).toBeLessThan(15);
  expect(jobSentence(three.figures, 3)).toMatch(/ For each of 3 pieces \d+ min and \d\.\d g\.$/);
});

test('a bench lays another number anew, and as many again at once', () => {
  const bench = new LayerBench();
  const layers = (pieces: number) => {
    const laying = { mesh: bar(16, 2), down: AS_IT_STANDS, machine, material: FILAMENTS[0]! };
    const work = bench.layOut({ ...laying, settings: everyday, density: 1.27, pieces });
    let step = work.next();
    while (!step.done) step = work.next();
    return step.value.ok ? step.value.value.figures.grams : 0;
  };
  const one = layers(1);
  expect(layers(2)).toBeCloseTo(2 * one, 2);
  expect(layers(1)).toBe(one);
});

test.each(['skirt', 'brim', 'ears'] as const)(
  'what is laid round the foot (%s) reaches as far as is told, and no further',
  (foot) => {
    const settings = { ...everyday, foot };
    const work = new LayerBench().layOut({
      mesh: block(20, 20, 2),
      down: AS_IT_STANDS,
      machine: { ...machine, firstLayerSpreadMm: 0 },
      material: FILAMENTS[0]!,
      settings,
      density: 1.27,
    });
    let step = work.next();
    while (!step.done) step = work.next();
    if (!step.value.ok) throw new Error(sentenceOf(step.value.fault));
    const paths = step.value.value.sliced.layers[0]!.paths.filter(({ kind }) => kind === 'foot');
    const farthest = Math.max(...paths.flatMap(({ points }) => [...points].map(Math.abs)));
    // The middle of the outermost line; half of its breadth lies beyond.
    const reach = farthest + settings.lineMm / 2 - 10;
    expect(reach).toBeLessThanOrEqual(footReachMm(settings) + 0.05);
    expect(reach).toBeGreaterThan(footReachMm(settings) - settings.lineMm);
  },
);
