import { numberValue, type DrawnOutline } from '@core/foundations/fields';
import { isMet } from '@core/shaping/drawn';
import { noiseFrom } from '@core/testing/layoutDraft';
import { areaOf, closedLines, EMPTY_OUTLINE, length, solved, studied } from '@core/testing/drawnOutline';

import { isPlain, placeAt } from './crossings';
import {
  cornerCutBy,
  withCurve,
  withDimension,
  withEasedCorner,
  withExtended,
  withPlaces,
  withPoint,
  withPolygon,
  withRelation,
  withSharpCorner,
  withSlot,
  withSplit,
  withTrimmed,
  withWrapped,
} from '.';

const wayCount = (outline: DrawnOutline) => studied(outline).freedom.waysLeft;
const settled = (outline: DrawnOutline) => withPlaces(outline, solved(outline));
/** What all that was said comes to: met, and nothing said twice. */
function expectSound(outline: DrawnOutline) {
  const now = studied(outline);
  expect(isMet(now)).toBe(true);
  expect([...now.freedom.oneTooMany]).toEqual([]);
  return now;
}
const cut = (result: ReturnType<typeof withTrimmed>) => {
  if (!result.ok) throw new Error(result.fault);
  return result.value.outline;
};

/** A line along the bottom that two upright ones cross, and a circle that it cuts. */
function crossed() {
  let next = EMPTY_OUTLINE;
  const at: Record<string, string> = {};
  for (const [name, place] of Object.entries({
    a: [0, 0],
    b: [60, 0],
    p: [20, -10],
    q: [20, 30],
    r: [40, -10],
    s: [40, 30],
    m: [30, 0],
  } as const)) {
    const [added, id] = withPoint(next, place);
    next = added;
    at[name] = id;
  }
  const [one, low] = withCurve(next, { kind: 'line', from: at.a!, to: at.b! });
  const [two, left] = withCurve(one, { kind: 'line', from: at.p!, to: at.q! });
  const [three, right] = withCurve(two, { kind: 'line', from: at.r!, to: at.s! });
  const [four, circle] = withCurve(three, { kind: 'circle', middle: at.m!, diameter: numberValue(8) });
  let held = withRelation(four, { kind: 'level', points: [at.a!, at.b!] });
  held = withRelation(held, { kind: 'upright', points: [at.p!, at.q!] });
  held = withRelation(held, { kind: 'onCurve', point: at.m!, curve: low });
  held = length(held, [at.a!, at.b!], 60);
  return { outline: held, at, low, left, right, circle };
}

describe('trimmed', () => {
  test('a middle piece: two lines in line, all that was said still holds, and it can move as before', () => {
    const { outline, low, at } = crossed();
    const before = wayCount(outline);
    // Between the circle, which it leaves at 34, and the line at 40.
    const trimmed = cut(withTrimmed(outline, solved(outline), low, [37, 0.2]));
    const now = expectSound(trimmed);
    expect(wayCount(trimmed)).toBe(before);
    const lines = now.curves.filter((curve) => curve.kind === 'line');
    expect(lines.find(({ id }) => id === low)).toMatchObject({ from: [0, 0], to: [34, 0] });
    const rest = lines.at(-1)!;
    expect(rest.from[0]).toBeCloseTo(40, 6);
    expect(rest.to[0]).toBeCloseTo(60, 6);
    // Its length over all was 60, and is when it changes to 70.
    const longer = solved({
      ...trimmed,
      dimensions: trimmed.dimensions!.map((one) =>
        one.kind === 'distance' ? { ...one, value: numberValue(70) } : one,
      ),
    });
    const [a, b] = [longer.points.get(at.a!)!, longer.points.get(at.b!)!];
    expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeCloseTo(70, 6);
    expect(longer.points.get(at.m!)![1]).toBeCloseTo(a[1], 6);
  });

  test('an end piece: the old end stays as a point as long as something is said of it', () => {
    const { outline, low, at, left } = crossed();
    const trimmed = cut(withTrimmed(outline, solved(outline), low, [50, 0]));
    const now = expectSound(trimmed);
    expect(now.curves.find(({ id }) => id === low)).toMatchObject({ to: [40, 0] });
    expect(now.points.get(at.b!)![0]).toBeCloseTo(60, 6);
    expect(wayCount(trimmed)).toBe(wayCount(outline));
    // Nothing is said of the lower end of the right line: it goes.
    const upper = cut(withTrimmed(outline, solved(outline), 'c3', [40, -5]));
    expect(upper.points.some(({ id }) => id === at.r)).toBe(false);
    expectSound(upper);
    // The left one is upright by its ends, so that its lower end is needed.
    const lower = cut(withTrimmed(outline, solved(outline), left, [20, -5]));
    expect(lower.points.some(({ id }) => id === at.p)).toBe(true);
    expectSound(lower);
  });

  test('a circle becomes an arc on it, and keeps its diameter', () => {
    const { outline, circle, at } = crossed();
    const sized = withDimension(outline, { kind: 'diameter', curve: circle, value: numberValue(8) })[0];
    const trimmed = cut(withTrimmed(sized, solved(sized), circle, [30, 4]));
    const now = expectSound(trimmed);
    expect(now.curves.find(({ id }) => id === circle)?.helper).toBe(true);
    const arc = now.curves.at(-1)!;
    if (arc.kind !== 'arc') throw new Error(arc.kind);
    // The upper half is gone.
    expect(arc.via[1]).toBeCloseTo(-4, 6);
    expect(arc.radius).toBeCloseTo(4, 6);
    expect(arc.middle[0]).toBeCloseTo(now.points.get(at.m!)![0], 6);
    expect(wayCount(trimmed)).toBe(wayCount(sized));
  });

  test('an arc: of half a circle over a line, the piece between two uprights', () => {
    let next = EMPTY_OUTLINE;
    const ids: string[] = [];
    for (const place of [
      [-20, 0],
      [0, 20],
      [20, 0],
      [-10, 0],
      [-10, 30],
      [10, 0],
      [10, 30],
    ] as const) {
      const [added, id] = withPoint(next, place);
      next = added;
      ids.push(id);
    }
    const [one, arc] = withCurve(next, { kind: 'arc', from: ids[0]!, via: ids[1]!, to: ids[2]! });
    const [two] = withCurve(one, { kind: 'line', from: ids[3]!, to: ids[4]! });
    const [three] = withCurve(two, { kind: 'line', from: ids[5]!, to: ids[6]! });
    const trimmed = cut(withTrimmed(three, solved(three), arc, [0, 20]));
    const arcs = expectSound(trimmed).curves.flatMap((curve) => (curve.kind === 'arc' ? [curve] : []));
    expect(arcs).toHaveLength(2);
    expect(wayCount(trimmed)).toBe(wayCount(three));
    for (const { radius, middle, via } of arcs) {
      expect(radius).toBeCloseTo(20, 6);
      expect(middle[0]).toBeCloseTo(0, 6);
      // Between 20 and 10 to the side: halfway at 30° above the line.
      expect(via[1]).toBeCloseTo(10, 6);
    }
  });

  test('is refused where nothing crosses; what held it from end to end is loosened, and that is told', () => {
    const { outline, low, circle, at } = crossed();
    const [alone] = withPoint(EMPTY_OUTLINE, [5, 5]);
    const [round, id] = withCurve(alone, { kind: 'circle', middle: 'O', diameter: numberValue(8) });
    expect(withTrimmed(round, solved(round), id, [4, 0])).toEqual({ ok: false, fault: 'nothingCrosses' });
    expect(withExtended(round, solved(round), id, [4, 0])).toEqual({ ok: false, fault: 'noEnds' });
    expect(withTrimmed(outline, solved(outline), low, [50, 0])).toMatchObject({
      ok: true,
      value: { isLoosened: false },
    });
    const halfway = withRelation(
      { ...outline, relations: outline.relations.filter(({ kind }) => kind !== 'onCurve') },
      { kind: 'midpoint', point: at.m!, curve: low },
    );
    const trimmed = withTrimmed(halfway, solved(halfway), low, [50, 0]);
    expect(trimmed).toMatchObject({ ok: true, value: { isLoosened: true } });
    expect(cut(trimmed).relations.some(({ kind }) => kind === 'midpoint')).toBe(false);
    expect(circle).not.toBe(low);
  });
});

describe('split and made longer', () => {
  test('a line in two can bend nowhere, and has one way more: where it is split', () => {
    const { outline, low } = crossed();
    const split = cut(withSplit(outline, solved(outline), low, [25, 1]));
    expectSound(split);
    expect(wayCount(split)).toBe(wayCount(outline) + 1);
    expect(withSplit(outline, solved(outline), low, [60, 0])).toEqual({ ok: false, fault: 'atItsEnd' });
  });

  test('an arc in two keeps its circle', () => {
    const { outline } = closedLines(EMPTY_OUTLINE, [
      [0, 0],
      [30, 0],
    ]);
    const [added, via] = withPoint(outline, [15, 15]);
    const [bent, arc] = withCurve(added, { kind: 'arc', from: 'P1', via, to: 'P2' });
    const split = cut(withSplit(bent, solved(bent), arc, [15, 16]));
    const arcs = expectSound(split).curves.flatMap((curve) => (curve.kind === 'arc' ? [curve] : []));
    expect(arcs.map(({ radius }) => radius)).toEqual([expect.closeTo(15, 6), expect.closeTo(15, 6)]);
    expect(wayCount(split)).toBe(wayCount(bent) + 1);
  });

  test('a line and an arc as far as the next curve, at the end that was meant', () => {
    const { outline, left } = crossed();
    const [one, a] = withPoint(outline, [22, 20]);
    const [two, b] = withPoint(one, [35, 20]);
    const [three, short] = withCurve(two, { kind: 'line', from: a, to: b });
    const right = cut(withExtended(three, solved(three), short, [33, 20]));
    expect(expectSound(right).curves.find(({ id }) => id === short)).toMatchObject({ to: [40, 20] });
    const both = cut(withExtended(right, solved(right), short, [23, 20]));
    expect(expectSound(both).curves.find(({ id }) => id === short)).toMatchObject({ from: [20, 20] });
    expect(withExtended(both, solved(both), left, [20, 30])).toEqual({ ok: false, fault: 'nothingBeyond' });

    // A quarter about (30, 10), radius 5, from right to top: goes on to the left to 180° and no further than a line there.
    const [four, from] = withPoint(three, [35, 10]);
    const [five, via] = withPoint(four, [30 + 5 * Math.SQRT1_2, 10 + 5 * Math.SQRT1_2]);
    const [six, to] = withPoint(five, [30, 15]);
    const [seven, arc] = withCurve(six, { kind: 'arc', from, via, to });
    const [eight, c] = withPoint(seven, [26, 0]);
    const [nine, d] = withPoint(eight, [26, 30]);
    const [ten] = withCurve(nine, { kind: 'line', from: c, to: d });
    const longer = expectSound(cut(withExtended(ten, solved(ten), arc, [30, 15]))).curves.find(
      ({ id }) => id === arc,
    );
    // On the line at 26: 4 to the left of the middle, 3 above it.
    expect(longer).toMatchObject({ radius: expect.closeTo(5, 6), to: [26, expect.closeTo(13, 6)] });
    const back = expectSound(cut(withExtended(ten, solved(ten), arc, [35, 10]))).curves.find(
      ({ id }) => id === arc,
    );
    // The other way round it comes to the same line from below.
    expect(back).toMatchObject({ radius: expect.closeTo(5, 6), from: [26, expect.closeTo(7, 6)] });
  });
});

describe('an eased corner', () => {
  test('takes a triangle off, keeps all that was said of the sharp one, and comes back as it was', () => {
    const { outline, points, curves } = closedLines(EMPTY_OUTLINE, [
      [0, 0],
      [40, 0],
      [40, 20],
      [0, 20],
    ]);
    let plate = withRelation(outline, { kind: 'coincident', points: ['O', points[0]!] });
    plate = withRelation(plate, { kind: 'level', points: [points[0]!, points[1]!] });
    plate = withRelation(plate, { kind: 'square', curves: [curves[0]!, curves[1]!] });
    plate = withRelation(plate, { kind: 'parallel', curves: [curves[0]!, curves[2]!] });
    plate = withRelation(plate, { kind: 'upright', points: [points[0]!, points[3]!] });
    plate = length(plate, [points[0]!, points[1]!], 40);
    plate = length(plate, [points[1]!, points[2]!], 20);
    const eased = withEasedCorner(plate, solved(plate), points[2]!, 3, numberValue(3))!;
    expectSound(eased);
    expect(wayCount(eased)).toBe(0);
    expect(areaOf(eased)).toBeCloseTo(800 - 4.5, 6);
    const cutLine = eased.curves.find(
      (curve) => curve.kind === 'line' && !curve.helper && !curves.includes(curve.id!),
    )!;
    expect(cornerCutBy(eased, cutLine.id!)).toBe(points[2]);
    expect(cornerCutBy(eased, curves[0]!)).toBeNull();
    const sharp = withSharpCorner(eased, cutLine.id!)!;
    expect(sharp.relations).toEqual(plate.relations);
    expect(sharp.dimensions).toEqual(plate.dimensions);
    expect(sharp.curves).toEqual(plate.curves);
    expect(withEasedCorner(plate, solved(plate), points[2]!, 20, numberValue(20))).toBeNull();
  });
});

describe('drawn ready', () => {
  const [based, first] = withPoint(EMPTY_OUTLINE, [0, 0]);

  test('a slot moves in five ways, and has the area of its size', () => {
    const [two, last] = withPoint(based, [30, 10]);
    const slot = withSlot(
      two,
      [first, last],
      [
        [0, 0],
        [30, 10],
      ],
      6,
    );
    expectSound(slot);
    expect(wayCount(slot)).toBe(5);
    const arc = slot.curves.find(({ kind }) => kind === 'arc')!.id!;
    let sized = withDimension(slot, { kind: 'diameter', curve: arc, value: numberValue(10) })[0];
    sized = settled(length(sized, [first, last], 50));
    // 50 by 10, with two halves of a circle.
    expect(areaOf(sized)).toBeCloseTo(500 + 25 * Math.PI, 6);
    expect(wayCount(sized)).toBe(3);
  });

  test.each([3, 5, 6, 8])('a polygon of %i sides, by its flats and by its corners', (sides) => {
    const polygon = withPolygon(based, first, [0, 0], [9, 2], sides);
    expectSound(polygon);
    expect(wayCount(polygon)).toBe(4);
    const flat = polygon.curves.find(({ kind }) => kind === 'line')!.id!;
    // Across the flats: twice from the middle to one of them.
    const byFlats = withDimension(polygon, {
      kind: 'across',
      point: first,
      curve: flat,
      value: numberValue(13),
    })[0];
    // s · r² · tan(π / s) about a circle of the radius r.
    expect(areaOf(settled(byFlats))).toBeCloseTo(sides * 6.5 * 6.5 * Math.tan(Math.PI / sides), 5);
    const circle = polygon.curves.find(({ kind }) => kind === 'circle')!.id!;
    const byCorners = withDimension(polygon, { kind: 'diameter', curve: circle, value: numberValue(20) })[0];
    // s / 2 · R² · sin(2 π / s) within a circle of the radius R.
    expect(areaOf(settled(byCorners))).toBeCloseTo((sides / 2) * 100 * Math.sin((2 * Math.PI) / sides), 5);
  });
});

describe('a band stretched round circles', () => {
  const pegs = (places: readonly (readonly [number, number, number])[]) => {
    let next = EMPTY_OUTLINE;
    const circles: string[] = [];
    for (const [x, y, diameter] of places) {
      const [added, middle] = withPoint(next, [x, y]);
      const [round, id] = withCurve(added, { kind: 'circle', middle, diameter: numberValue(diameter) });
      next = round;
      circles.push(id);
    }
    return { outline: next, circles };
  };

  test('round three pegs of one size: the triangle, three sides wide, and a whole disc', () => {
    const { outline, circles } = pegs([
      [0, 0, 10],
      [40, 0, 10],
      [0, 30, 10],
    ]);
    const before = wayCount(outline);
    const band = withWrapped(outline, solved(outline), new Set(circles))!;
    expectSound(band);
    expect(wayCount(band)).toBe(before);
    // 3, 4, 5 times ten: 600 + 120 · 5 + 25 π.
    expect(areaOf(band)).toBeCloseTo(600 + 120 * 5 + 25 * Math.PI, 5);
    // It follows when a peg is moved by a size.
    const [one, two, three] = ['P1', 'P2', 'P3'] as const;
    let held = circles.reduce(
      (next, curve) => withDimension(next, { kind: 'diameter', curve, value: numberValue(10) })[0],
      band,
    );
    held = withRelation(held, { kind: 'fixed', point: one });
    held = withRelation(held, { kind: 'level', points: [one, two] });
    held = withRelation(held, { kind: 'upright', points: [one, three] });
    held = length(held, [one, three], 30);
    const apart = (mm: number) => length(settled(held), [one, two], mm);
    expect(wayCount(apart(40))).toBe(0);
    const round = 80 + 30 + Math.hypot(80, 30);
    expect(areaOf(apart(80))).toBeCloseTo(1200 + round * 5 + 25 * Math.PI, 4);
  });

  test('two pegs of different size; none within another, none alone', () => {
    const { outline, circles } = pegs([
      [0, 0, 20],
      [30, 0, 10],
    ]);
    const band = withWrapped(outline, solved(outline), new Set(circles))!;
    expectSound(band);
    // Two sides of √(30² − 5²), and sectors on either side of asin(5/30).
    const [side, lean] = [Math.sqrt(900 - 25), Math.asin(5 / 30)];
    const expected = side * (10 + 5) + 100 * (Math.PI / 2 + lean) + 25 * (Math.PI / 2 - lean);
    expect(areaOf(band)).toBeCloseTo(expected, 5);
    const within = pegs([
      [0, 0, 20],
      [2, 0, 10],
    ]);
    expect(withWrapped(within.outline, solved(within.outline), new Set(within.circles))).toBeNull();
    expect(withWrapped(outline, solved(outline), new Set([circles[0]!]))).toBeNull();
  });
});

/** Points but those that only say on which side an arc is drawn. */
const endsOf = (outline: DrawnOutline) => {
  const vias = new Set(outline.curves.flatMap((one) => (one.kind === 'arc' ? [one.via] : [])));
  return new Set(outline.points.map(({ id }) => id).filter((id) => !vias.has(id)));
};

test('on drawings that nobody thought of: what is cut is met, moves as before, and nothing else has moved', () => {
  const random = noiseFrom(34).uniform;
  const between = (least: number, most: number) => least + random() * (most - least);
  let count = { trimmed: 0, extended: 0, split: 0 };
  for (let round = 0; round < 150; round += 1) {
    let next = EMPTY_OUTLINE;
    const place = () => [between(-40, 40), between(-40, 40)] as const;
    const fresh = () => {
      const [added, id] = withPoint(next, place());
      next = added;
      return id;
    };
    for (let index = 0; index < 5; index += 1) {
      const kind = (['line', 'arc', 'circle', 'line', 'line'] as const)[index]!;
      const [from, via, to] = [fresh(), fresh(), fresh()];
      if (kind === 'line') [next] = withCurve(next, { kind, from, to });
      else if (kind === 'arc') [next] = withCurve(next, { kind, from, via, to });
      else [next] = withCurve(next, { kind, middle: from, diameter: numberValue(between(10, 50)) });
    }
    const drawn = settled(next);
    const ways = wayCount(drawn);
    const before = solved(drawn);
    const curve = before.curves[Math.floor(random() * before.curves.length)]!;
    if (!isPlain(curve)) throw new Error(curve.kind);
    const at = placeAt(curve, random());
    for (const [name, act, more] of [
      ['trimmed', withTrimmed, 0],
      ['extended', withExtended, 0],
      ['split', withSplit, 1],
    ] as const) {
      const result = act(drawn, before, curve.id, at);
      if (!result.ok) continue;
      count = { ...count, [name]: count[name] + 1 };
      const now = expectSound(result.value.outline);
      // An end of which nothing is said goes, and the new one is held by what crosses there.
      const [were, are] = [endsOf(drawn), endsOf(result.value.outline)];
      const gone = [...were].filter((id) => !are.has(id));
      expect(now.freedom.waysLeft).toBe(ways + more - gone.length);
      for (const id of were) {
        if (!are.has(id)) continue;
        const [there, [x, y]] = [now.points.get(id)!, before.points.get(id)!];
        expect(Math.hypot(there[0] - x, there[1] - y)).toBeLessThan(1e-5);
      }
    }
  }
  expect(count.trimmed).toBeGreaterThan(80);
  expect(count.split).toBeGreaterThan(80);
  expect(count.extended).toBeGreaterThan(30);
});
