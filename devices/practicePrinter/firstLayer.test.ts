import { firstLayerLearned } from '@core/fitting/learn';
import { BENCH_CALIPER_ID } from '@core/record/model';
import { elephantFootOf } from '@core/fitting/trial';
import { DEFAULT_WORKSHOP, layerPrinterFor, machineIn } from '@core/record/workshop';

import { PracticePrinter } from './printer';

const reading = (mm: number) => ({ typed: mm.toFixed(2), mm, instrumentId: BENCH_CALIPER_ID });

test('what the practice printer spreads is found from what it made, whatever was taken back', () => {
  // A printer of its own, so that nothing of it is known; numbers that are always the same.
  let seed = 11;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const beats: (() => void)[] = [];
  const world = {
    now: () => (seed += 1e7),
    random,
    every: (_: number, work: () => void) => (beats.push(work), () => {}),
  };
  const made = (takenBackMm: number) => {
    const printer = new PracticePrinter(world);
    const asked = { kind: 'outside', jaw: 'outside', name: 'Peg' } as const;
    let dimensions: { id: string; trueMm: number }[] = [];
    void printer.start(
      {
        id: `job ${takenBackMm}`,
        machine: 'bench-printer',
        family: 'plastic',
        gcode: 'G90\nG1 X0 Y0 F600\nG1 X100 Y0 E5 F600\n',
        asked: [
          { ...asked, id: 'peg', mm: 20 },
          { ...asked, id: 'peg:foot', mm: 20 - 2 * takenBackMm, foot: true },
        ],
        speedUp: 1e6,
        mishap: 'none',
        from: 0,
      },
      (report) => {
        if (report.what === 'done') dimensions = report.made;
      },
    );
    for (let beat = 0; beat < 50 && dimensions.length === 0; beat += 1) for (const work of beats) work();
    const [peg, at] = dimensions.map(({ trueMm }) => trueMm);
    return elephantFootOf({
      feature: 'peg',
      made: [reading(peg!)],
      foot: { takenBackMm, made: [reading(at!)] },
    })!;
  };
  const found = [0, 0.1, 0.1, 0.2, 0.15, 0.1, 0.05, 0.1].map((takenBackMm, index) => ({
    id: `${index}`,
    trialId: `${index}`,
    mm: made(takenBackMm),
    handMm: 0.007,
  }));
  const printer = layerPrinterFor(DEFAULT_WORKSHOP, 'bench-printer', 'plastic')!;
  const learned = firstLayerLearned(printer, machineIn(DEFAULT_WORKSHOP, 'bench-printer'), found)!;
  // It stands in for one whose first layer spreads by 0.17.
  expect(Math.abs(learned.mm - 0.17)).toBeLessThan(learned.plusMinusMm);
  expect(learned.plusMinusMm).toBeLessThan(0.02);
});
