import fc from 'fast-check';

import { AS_IT_STANDS, LayerBench, MOST_PIECES, type Laying } from '@core/printing';
import { meshVolume } from '@core/part';
import { settingsNamed } from '@core/testing/laid';
import { bar, block } from '@core/testing/solids3d';
import { FILAMENTS, LAYER_PRINTERS } from '@core/workshop';
import { jobSentence, sentenceOf } from '@core/wording';

import { inRows, onOneBed, type Footprint } from './onOneBed';

const everyday = { ...settingsNamed('everyday'), foot: 'none' as const };
const machine = LAYER_PRINTERS[0]!;

/** The least distance between the rectangles of two pieces, along the better of both axes. */
const apart = (a: Footprint, [ax, ay]: [number, number], b: Footprint, [bx, by]: [number, number]) =>
  Math.max(Math.abs(ax - bx) - (a.width + b.width) / 2, Math.abs(ay - by) - (a.depth + b.depth) / 2);

test('whatever is packed lies on the bed, about its middle, and none nearer to another than the gap', () => {
  const footprint = fc.record({
    width: fc.double({ min: 1, max: 60, noNaN: true }),
    depth: fc.double({ min: 1, max: 60, noNaN: true }),
  });
  const room = { width: 220, depth: 180 };
  fc.assert(
    fc.property(fc.array(footprint, { minLength: 1, maxLength: 9 }), (pieces) => {
      const middles = inRows(pieces, room, 5);
      // Nine of 60 × 60 with gaps take 190 × 190.
      if (!middles) return pieces.length > 6;
      for (const [index, [x, y]] of middles.entries()) {
        expect(Math.abs(x) + pieces[index]!.width / 2).toBeLessThanOrEqual(room.width / 2 + 1e-9);
        expect(Math.abs(y) + pieces[index]!.depth / 2).toBeLessThanOrEqual(room.depth / 2 + 1e-9);
        for (let other = 0; other < index; other += 1) {
          expect(apart(pieces[index]!, [x, y], pieces[other]!, middles[other]!)).toBeGreaterThanOrEqual(
            5 - 1e-9,
          );
        }
      }
      return true;
    }),
    { numRuns: 200 },
  );
});

test('four squares lie two by two, six narrow ones as near to a square as they can', () => {
  const room = { width: 200, depth: 200 };
  const square = { width: 20, depth: 20 };
  expect(inRows([square, square, square, square], room, 5)).toEqual([
    [-12.5, -12.5],
    [12.5, -12.5],
    [-12.5, 12.5],
    [12.5, 12.5],
  ]);
  const narrow = { width: 10, depth: 40 };
  const middles = inRows(Array<Footprint>(6).fill(narrow), room, 5)!;
  // Six in a row: 85 × 40. Three and three are as long, 40 × 85, but deep; four and two cover more; two by two are 130 deep.
  expect(2 * Math.max(...middles.map(([x]) => x)) + narrow.width).toBeCloseTo(85, 9);
  expect(middles.map(([, y]) => y)).toEqual([0, 0, 0, 0, 0, 0]);
  expect(inRows([{ width: 250, depth: 1 }], room, 5)).toBeNull();
});

test('several pieces are closed, apart, and so many times the volume; one stays the very mesh', () => {
  const wheel = bar(20, 6);
  const bed = machine.envelopeMm;
  expect(onOneBed(wheel, 1, bed, everyday)).toEqual({ ok: true, value: wheel });
  const five = onOneBed(wheel, 5, bed, everyday);
  if (!five.ok) throw new Error(sentenceOf(five.fault));
  expect(meshVolume(five.value) / meshVolume(wheel)).toBeCloseTo(5, 4);
  // A rim of 6 mm needs room for two of them, and goes out beyond the outermost.
  const rimmed = onOneBed(block(100, 100, 5), 2, [220, 220, 200], { foot: 'brim', footMm: 6 });
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
