import {
  drawMachines,
  KNOWINGS,
  largestGapPoints,
  PRACTICE_MACHINES,
  readMachinesFile,
  rehearse,
  reliabilityOf,
  sharesOf,
  type Knowing,
} from '@core/rehearsal';

const makes = rehearse(PRACTICE_MACHINES, 200, 4);
const shares = sharesOf(makes);
const behind = (knowing: Knowing) => 100 * (shares[knowing].oracle - shares[knowing].fits);

test('there are 200 first makes of six machines at each stage of knowing', () => {
  for (const knowing of KNOWINGS) expect(shares[knowing].makes).toBe(1200);
});

test('first makes come near those of one who knows each machine’s habits', () => {
  expect(behind('untried')).toBeGreaterThan(10);
  expect(behind('afterGaugeRow')).toBeLessThan(8);
  expect(behind('after3')).toBeLessThan(5);
  expect(behind('after10')).toBeLessThan(2);
});

test('where that one reaches 97 of 100, ten trials reach 95, a gauge row as well', () => {
  expect(shares.after10.easy.makes).toBeGreaterThan(600);
  expect(shares.after10.easy.fits).toBeGreaterThan(0.95);
  expect(shares.afterGaugeRow.easy.fits).toBeGreaterThan(0.95);
});

test('the one who knows gets what that one expects, and nobody does better', () => {
  expect(shares.after10.oracle).toBeCloseTo(shares.after10.oracleExpects, 1.5);
  for (const knowing of KNOWINGS) expect(behind(knowing)).toBeGreaterThan(-1.5);
});

test('what is stated is what happens, from the first day', () => {
  const drawn = rehearse(drawMachines(1000, 3), 3, 8);
  for (const knowing of KNOWINGS) {
    const tenths = reliabilityOf(drawn.filter((make) => make.knowing === knowing));
    expect(tenths.filter(({ makes: count }) => count >= 250).length).toBeGreaterThanOrEqual(2);
    // A tenth of 250 makes scatters by three points itself.
    expect(largestGapPoints(tenths, 250)).toBeLessThan(8);
  }
  expect(largestGapPoints(reliabilityOf(drawn))).toBeLessThan(5);
});

test('the same seed gives the same makes, another one others', () => {
  expect(rehearse(PRACTICE_MACHINES.slice(0, 1), 10, 4)).toEqual(
    makes.filter(({ machine }) => machine === 'Careful').slice(0, 40),
  );
  expect(rehearse(PRACTICE_MACHINES.slice(0, 1), 10, 5)).not.toEqual(
    rehearse(PRACTICE_MACHINES.slice(0, 1), 10, 4),
  );
});

test('a file of machines is read, and refused with its place', () => {
  const file = (machine: object) => readMachinesFile(JSON.stringify({ machines: [machine] }));
  const good = { name: 'P', habits: [{ feature: 'inside', offsetMm: -0.1 }], scatterMm: 0.02 };
  expect(file(good)).toMatchObject({ ok: true, value: [{ name: 'P', habits: [{ scale: 0 }] }] });
  expect(file({ ...good, scatterMm: 0 })).toMatchObject({
    ok: false,
    fault: { path: 'machines[0].scatterMm' },
  });
  expect(readMachinesFile('{')).toMatchObject({ ok: false, fault: { code: 'file.notJson' } });
});
