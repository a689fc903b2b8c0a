import { ridgeOf, threadArea, threadForm, THREADS } from '@core/foundations/standards';

const form = (name: string) => threadForm(THREADS.find((thread) => thread.name === name)!);

describe('sections of threads', () => {
  test('M8: height 5/8 H, crest an eighth of the pitch, 60° between the flanks (ISO 68-1)', () => {
    const m8 = form('M8');
    expect(m8.heightMm).toBeCloseTo(0.541266 * 1.25, 5);
    expect(m8.crestMm).toBeCloseTo(0.15625, 9);
    const ridge = ridgeOf(m8, 'outside', 0)!;
    expect(ridge.coreRadius).toBeCloseTo(4 - 0.676582, 5);
    // ISO 68-1: at the minor diameter the ridge is three quarters of the pitch wide.
    expect(2 * ridge.coreHalf).toBeCloseTo(0.75 * 1.25, 5);
    expect(2 * ridge.crestHalf).toBeCloseTo(m8.crestMm, 9);
  });

  test('pipe threads have 55° and the height of ISO 228', () => {
    const quarter = form('G 1/4');
    expect((2 * quarter.flank * 180) / Math.PI).toBeCloseTo(55, 9);
    // ISO 228-1, G 1/4: major 13.157, minor 11.445.
    expect(quarter.majorMm - 2 * quarter.heightMm).toBeCloseTo(11.445, 2);
  });

  test('play is kept square to every face: an outside and an inside thread stay as far apart as it says', () => {
    const m8 = form('M8');
    const [outside, inside] = [ridgeOf(m8, 'outside', 0.05)!, ridgeOf(m8, 'inside', 0.05)!];
    expect(inside.crestRadius - outside.crestRadius).toBeCloseTo(0.1, 9);
    expect(inside.coreRadius - outside.coreRadius).toBeCloseTo(0.1, 9);
    // At one radius the flanks are apart by 0.1 / cos 30° along the axis.
    const halfAt = ({ coreHalf, crestHalf, coreRadius, crestRadius }: typeof outside, r: number) =>
      coreHalf + ((r - coreRadius) * (crestHalf - coreHalf)) / (crestRadius - coreRadius);
    expect(halfAt(inside, 3.7) - halfAt(outside, 3.7)).toBeCloseTo(0.1 / Math.cos(Math.PI / 6), 9);
  });

  test('play that leaves nothing to hold by is refused, play that only blunts a crest is not', () => {
    const m8 = form('M8');
    const blunt = ridgeOf(m8, 'outside', 0.15)!;
    expect(blunt.crestRadius).toBeLessThan(4 - 0.15);
    expect(blunt.crestHalf).toBeGreaterThan(0);
    expect(ridgeOf(m8, 'outside', 0.5)).toBeNull();
    expect(ridgeOf(m8, 'inside', 0.4)).toBeNull();
  });

  test('the area of a level section is that of the core and a spiral, cut off at a radius', () => {
    const m8 = form('M8');
    const ridge = ridgeOf(m8, 'outside', 0)!;
    const core = Math.PI * ridge.coreRadius ** 2;
    expect(threadArea(m8, ridge, ridge.coreRadius)).toBeCloseTo(core, 9);
    expect(threadArea(m8, ridge, 1)).toBeCloseTo(Math.PI, 9);
    // By many thin rings: each is ridge over a share 2 w / P of its turn.
    let sum = core;
    const steps = 20_000;
    for (let i = 0; i < steps; i += 1) {
      const width = (ridge.crestRadius - ridge.coreRadius) / steps;
      const r = ridge.coreRadius + (i + 0.5) * width;
      const half = ridge.coreHalf + ((ridge.crestHalf - ridge.coreHalf) * (i + 0.5)) / steps;
      sum += 2 * Math.PI * r * width * ((2 * half) / m8.pitchMm);
    }
    expect(threadArea(m8, ridge)).toBeCloseTo(sum, 6);
  });

  test('every thread of the tables can be modelled with a tenth of its height as play', () => {
    for (const thread of THREADS) {
      const of = threadForm(thread);
      for (const side of ['outside', 'inside'] as const) {
        const ridge = ridgeOf(of, side, of.heightMm / 10);
        expect({ name: thread.name, side, holds: ridge !== null }).toEqual({
          name: thread.name,
          side,
          holds: true,
        });
      }
    }
  });
});
