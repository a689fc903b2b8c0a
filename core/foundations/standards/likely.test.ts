import {
  BEARINGS,
  CLEARANCE_HOLES,
  externalMajorMm,
  HEX_FLATS,
  internalMinorMm,
  likelyStandards,
  NUT_HEIGHTS_MM,
  STANDARD_THINGS,
  THREADS,
  type Form,
  type StandardThing,
} from '@core/foundations/standards';
import { noiseFrom } from '@core/testing/layoutDraft';

const thread = (name: string) => THREADS.find((entry) => entry.name === name)!;
const first = (
  mm: number,
  side: 'outside' | 'inside',
  standardMm = 0.012,
  pitchMm?: number,
  form: Form | null = null,
) => likelyStandards({ mm, standardMm, side, form, pitchMm: pitchMm ?? null })[0];

describe('the tables, by entries of the standards', () => {
  test.each([
    // ISO 15: the bearings every workshop has.
    [8, 22, 7],
    [5, 16, 5],
    [10, 26, 8],
    [12, 28, 8],
    [6, 19, 6],
    [20, 47, 14],
    [15, 32, 9],
    [25, 52, 15],
  ])('ISO 15 has a bearing of %d × %d × %d', (boreMm, outsideMm, widthMm) =>
    expect(BEARINGS).toContainEqual(expect.objectContaining({ boreMm, outsideMm, widthMm })),
  );

  test.each([
    ['M3', 3.2, 3.4, 3.6],
    ['M5', 5.3, 5.5, 5.8],
    ['M8', 8.4, 9, 10],
    ['M10', 10.5, 11, 12],
    ['M16', 17, 17.5, 18.5],
    ['M24', 25, 26, 28],
  ])('ISO 273: %s clears through %d, %d and %d', (name, ...series) =>
    expect(CLEARANCE_HOLES.find(([entry]) => entry === name)!.slice(1)).toEqual(series),
  );

  test.each([
    ['M3', 5.5, 2.4],
    ['M5', 8, 4.7],
    ['M8', 13, 6.8],
    ['M12', 18, 10.8],
    ['M20', 30, 18],
  ])('ISO 4032: a nut %s is %d over flats and %d high', (name, flats, height) => {
    expect(HEX_FLATS.find(([entry]) => entry === name)![1]).toBe(flats);
    expect(NUT_HEIGHTS_MM[name]).toBe(height);
  });

  test.each([
    ['M8', 1.25],
    ['M3', 0.5],
    ['M20', 2.5],
    ['1/4-20 UNC', 1.27],
    ['3/8-24 UNF', 25.4 / 24],
    ['G 1/2', 25.4 / 14],
  ])('%s has a pitch of %d', (name, pitch) => expect(thread(name).pitchMm).toBeCloseTo(pitch, 9));

  // The standard rounds its computed tolerances to preferred numbers, up to 4 % away.
  test.each([
    ['M8', 7.76, 7.972, 6.647, 6.912],
    ['M3', 2.874, 2.98, 2.459, 2.599],
    ['M20', 19.623, 19.958, 17.294, 17.744],
  ])('ISO 965-2: a screw %s 6g measures %d to %d, its nut 6H %d to %d', (name, from, to, nutFrom, nutTo) => {
    const [outer, inner] = [externalMajorMm(thread(name)), internalMinorMm(thread(name))];
    const worst = Math.max(
      Math.abs(outer.from - from),
      Math.abs(outer.to - to),
      Math.abs(inner.from - nutFrom),
      Math.abs(inner.to - nutTo),
    );
    expect(worst).toBeLessThan(0.04 * (nutTo - nutFrom) + 0.001);
    expect(inner.from).toBeCloseTo(nutFrom, 3);
  });

  test('every thing has limits the right way round, a source, and a name of its own on its side', () => {
    const names = new Set<string>();
    for (const thing of STANDARD_THINGS) {
      expect(thing.toMm).toBeGreaterThanOrEqual(thing.fromMm);
      expect(thing.fromMm).toBeGreaterThan(0);
      expect(thing.source).not.toBe('');
      expect(names).not.toContain(`${thing.name} ${thing.source}`);
      names.add(`${thing.name} ${thing.source}`);
    }
    expect(STANDARD_THINGS.length).toBeGreaterThan(400);
  });
});

describe('what a size is likely to be', () => {
  test('21.97 inside a hole is a seat for a bearing of 22', () => {
    expect(first(21.97, 'inside')).toMatchObject({
      nominalMm: 22,
      source: 'ISO 15, tables of diameter series',
    });
    expect(first(21.97, 'inside')!.name).toContain('8 × 22 × 7');
  });

  test('7.86 outside is a thread M8, and 6.75 inside its nut', () => {
    expect(first(7.86, 'outside')!.name).toBe('Thread M8');
    expect(first(6.75, 'inside')!.name).toBe('Nut thread M8');
  });

  test('a pitch tells coarse from fine, and metric from inch', () => {
    expect(first(7.85, 'outside', 0.012, 1)!.name).toBe('Thread M8 × 1');
    expect(first(7.85, 'outside', 0.012, 1.25)!.name).toBe('Thread M8');
    // 1/4-20 and M6 differ in diameter too; 9.45 is within both 3/8-16 and 3/8-24.
    expect(first(9.45, 'outside', 0.012, 25.4 / 24)!.name).toBe('Thread 3/8-24 UNF');
    expect(first(9.45, 'outside', 0.012, 25.4 / 16)!.name).toBe('Thread 3/8-16 UNC');
  });

  test('12.95 over flats is an M8 hexagon; 9.02 inside clears an M8', () => {
    expect(
      likelyStandards({ mm: 12.95, standardMm: 0.012, side: 'outside' }).map(({ name }) => name),
    ).toContain('Hexagon of M8, across flats');
    expect(
      likelyStandards({ mm: 9.02, standardMm: 0.012, side: 'inside' }).map(({ name }) => name),
    ).toContain('Clearance hole for M8, medium');
  });

  test('most likely first; the shares leave room for its being none of them', () => {
    const found = likelyStandards({ mm: 10, standardMm: 0.02, side: 'outside' }, 100);
    const shares = found.map(({ probability }) => probability);
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    const sum = shares.reduce((all, share) => all + share, 0);
    expect(sum).toBeGreaterThan(0.8);
    expect(sum).toBeLessThan(1);
    expect(found.length).toBeGreaterThan(2);
  });

  test('the only thing that agrees is still not sure to be it', () => {
    const [only] = likelyStandards({ mm: 38.2, standardMm: 0.013, side: 'outside', form: 'round' });
    expect(only!.name).toContain('1 1/2 in');
    expect(only!.probability).toBeLessThan(0.7);
  });

  test('nothing is made up where nothing stands', () => {
    expect(likelyStandards({ mm: 58.4, standardMm: 0.012, side: 'outside' })).toEqual([]);
    expect(likelyStandards({ mm: 0.05, standardMm: 0.012, side: 'inside' })).toEqual([]);
  });

  test('measured less well, more things agree', () => {
    const count = (standardMm: number) =>
      likelyStandards({ mm: 21.95, standardMm, side: 'outside' }, 1000).length;
    expect(count(0.3)).toBeGreaterThan(count(0.012));
  });

  test('each thing is found from the middle of its own limits', () => {
    for (const thing of STANDARD_THINGS) {
      const side = thing.side === 'width' ? 'inside' : thing.side;
      const mm = (thing.fromMm + thing.toMm) / 2;
      const found = likelyStandards({ mm, standardMm: 0.012, side }, 1000);
      expect(found.map(({ name }) => name)).toContain(thing.name);
    }
  });
});

describe('once it is told what a thing is to the eye', () => {
  test.each([
    [9.98, 'outside', 'flats', 'Hexagon of M6, across flats'],
    [12.7, 'outside', 'round', 'Bar or tube 1/2 in'],
    [13.16, 'outside', 'thread', 'Thread G 1/4'],
    [11.6, 'inside', 'thread', 'Nut thread G 1/4'],
    [18.9, 'inside', 'thread', 'Nut thread G 1/2'],
    [24.3, 'inside', 'thread', 'Nut thread G 3/4'],
    [8.7, 'inside', 'thread', 'Nut thread G 1/8'],
    [21.4, 'outside', 'round', 'Steel pipe 21.3'],
    [23.9, 'outside', 'groove', 'Ring groove on a shaft of 25'],
  ] as const)('%d %s, %s, is first of all %s', (mm, side, form, name) => {
    const found = likelyStandards({ mm, standardMm: 0.015, side, form }).map((thing) => thing.name);
    expect(found[0]).toContain(name);
  });

  test('a hundred real things, measured with noise, are told apart where the data can tell', () => {
    const { uniform, normal } = noiseFrom(3);
    let [right, sure] = [0, 0];
    for (let trial = 0; trial < 100; trial += 1) {
      const thing = drawn(
        STANDARD_THINGS.filter(({ side, nominalMm }) => side !== 'width' && nominalMm <= 60),
        uniform(),
      );
      const mm = thing.fromMm + uniform() * (thing.toMm - thing.fromMm) + 0.015 * normal();
      const side = thing.side as 'outside' | 'inside';
      const found = likelyStandards({ mm, standardMm: 0.019, side, form: thing.form }, 100);
      // It is among what is offered, and where the odds are high it is it.
      expect(found.map(({ name }) => name)).toContain(thing.name);
      if (found[0]!.probability < 0.6) continue;
      sure += 1;
      if (found[0]!.name === thing.name) right += 1;
    }
    expect(sure).toBeGreaterThan(15);
    expect(right / sure).toBeGreaterThan(0.75);
  });

  test('stated odds come true, half of all sizes being standard ones, and little is claimed of those that are none', () => {
    const { uniform, normal } = noiseFrom(5);
    for (const side of ['outside', 'inside'] as const) {
      // The width of a groove is taken with the inside jaws.
      const things = STANDARD_THINGS.filter(
        (thing) =>
          thing.nominalMm <= 60 && (thing.side === side || (thing.side === 'width' && side === 'inside')),
      );
      const bins = new Map<number, { count: number; stated: number; right: number }>();
      let [random, claimed] = [0, 0];
      for (let trial = 0; trial < 20_000; trial += 1) {
        const thing = uniform() < 0.5 ? drawn(things, uniform()) : null;
        const mm = thing
          ? thing.fromMm + uniform() * (thing.toMm - thing.fromMm) + 0.015 * normal()
          : 1.5 + 58.5 * uniform();
        const best = likelyStandards({ mm, standardMm: 0.015, side })[0];
        if (!thing) random += 1;
        if (!best) continue;
        if (!thing && best.probability > 0.5) claimed += 1;
        const key = Math.floor(best.probability * 5);
        const bin = bins.get(key) ?? { count: 0, stated: 0, right: 0 };
        bins.set(key, {
          count: bin.count + 1,
          stated: bin.stated + best.probability,
          right: bin.right + (best.name === thing?.name ? 1 : 0),
        });
      }
      for (const { count, stated, right } of bins.values()) {
        if (count < 800) continue;
        expect(Math.abs(stated - right) / count).toBeLessThan(0.05);
      }
      // It was 19 to 27 in a hundred.
      expect(claimed / random).toBeLessThan(0.12);
    }
  });
});

/** One of some things, as often as it is common; `share` from 0 to 1. */
function drawn(things: readonly StandardThing[], share: number): StandardThing {
  let rest = share * things.reduce((sum, { common }) => sum + common, 0);
  return things.find(({ common }) => (rest -= common) <= 0) ?? things.at(-1)!;
}
