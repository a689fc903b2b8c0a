import type { Page } from '@playwright/test';

import { expect, test } from './support/workshop';
import { partIsBuilt } from './support/acts';

type At = readonly [x: number, y: number];

/** Where the points of the drawing are on the screen, in the order of their names. */
const pointsOn = (page: Page): Promise<[number, number][]> =>
  page.locator('svg[aria-label^="Outline of"] circle').evaluateAll((all) =>
    all.map((circle): [number, number] => {
      const { x, y, width, height } = circle.getBoundingClientRect();
      return [x + width / 2, y + height / 2];
    }),
  );
const between = ([ax, ay]: At, [bx, by]: At): At => [(ax + bx) / 2, (ay + by) / 2];
const tap = ({ touchscreen }: Page, [x, y]: At) => touchscreen.tap(x, y);

/** A new step whose outline is drawn by hand, its board open. */
async function openBoard(page: Page, address: string, id: string): Promise<void> {
  await page.goto(`${address}/repair/${id}/shape`);
  await partIsBuilt(page);
  await page.getByRole('button', { name: 'Add a step', exact: true }).click();
  await page.getByRole('button', { name: /^Raise or cut/ }).click();
  await page.getByRole('button', { name: 'the outline: a circle' }).click();
  await page.getByRole('button', { name: 'an outline drawn by hand', exact: true }).click();
  await page
    .getByRole('button', { name: /^drawing: / })
    .last()
    .click();
}

async function give(page: Page, size: string, number: string): Promise<void> {
  await page.getByRole('button', { name: size, exact: true }).click();
  await page.getByLabel(/^Type a number/).fill(number);
  await page.getByRole('button', { name: 'Use this number' }).first().click();
  await expect(page.getByLabel(/^Type a number/)).toBeHidden();
}

test('a lever is drawn roughly, related, sized and rounded, raised, and one size changed late', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('locker-hinge-plate');
  await openBoard(page, workshop.address, id);
  await page.getByRole('button', { name: 'Lines', exact: true }).click();
  const board = page.getByRole('group', { name: /^Drawing board/ });
  const box = (await board.boundingBox())!;
  // Off the point where the outline begins, which a tap near it would mean.
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2 - 85];
  const corners: At[] = [
    [x - 100, y],
    [x + 90, y + 12],
    [x + 96, y - 60],
    [x - 92, y - 54],
  ];
  for (const [index, corner] of [...corners, corners[0]!].entries()) {
    await tap(page, corner);
    if (index > 0)
      await expect(
        page.getByRole('img', { name: `Outline of ${index} ${index === 1 ? 'curve' : 'curves'}` }),
      ).toBeVisible();
  }
  await page.getByRole('button', { name: 'Stop' }).click();
  const status = page.getByRole('main').getByRole('status');
  await expect(status).toContainText('can still change in 5 ways');

  const relate = async (share: [number, number], relation: string) => {
    const points = await pointsOn(page);
    await tap(page, between(points[share[0]]!, points[share[1]]!));
    await page.getByRole('button', { name: relation, exact: true }).click();
    await expect(page.getByRole('button', { name: 'Pick nothing' })).toBeHidden();
  };
  // The first point is where the outline begins; the corners come after it.
  await relate([1, 2], 'Level');
  await relate([2, 3], 'Upright');
  await relate([3, 4], 'Level');
  await relate([4, 1], 'Upright');
  await expect(status).toContainText('can still change in 2 ways');
  const size = async (share: [number, number], number: string) => {
    const points = await pointsOn(page);
    await tap(page, between(points[share[0]]!, points[share[1]]!));
    await give(page, 'Length', number);
    await page.getByRole('button', { name: 'Show all of the drawing' }).click();
  };
  await size([1, 2], '30');
  await size([2, 3], '12');
  await expect(status).toContainText('Its form is settled');
  // One that contradicts is told before it is kept.
  const points = await pointsOn(page);
  await tap(page, between(points[3]!, points[4]!));
  await page.getByRole('button', { name: 'Length', exact: true }).click();
  await page.getByLabel(/^Type a number/).fill('31');
  await page.getByRole('button', { name: 'Use this number' }).first().click();
  await expect(page.getByText(/can’t all hold/)).toBeVisible();
  await page.getByRole('button', { name: 'Let it only report' }).click();
  await expect(page.getByRole('button', { name: /^Length: 30.00 mm, only reported/ })).toBeVisible();

  await tap(page, (await pointsOn(page))[3]!);
  await page.getByRole('button', { name: 'Round the corner' }).click();
  await expect(page.getByRole('button', { name: /^Radius: / })).toBeVisible();
  await page.getByRole('button', { name: /^Radius: / }).click();
  await page.getByLabel(/^Type a number/).fill('4');
  await page.getByRole('button', { name: 'Use this number' }).first().click();
  await expect(page.getByRole('button', { name: 'Radius: 4.00 mm' })).toBeVisible();
  await expect(status).toContainText('Its form is settled');
  await page.getByRole('button', { name: 'Done' }).click();

  // It is cut out of the plate; made longer late, it takes away more.
  const step = page.getByRole('listitem').last();
  await expect(step).toContainText('5 curves');
  const findings = page.getByRole('group', { name: 'Findings' });
  const weight = async () => Number(/([\d.]+) g/.exec(await findings.innerText())![1]);
  await step.getByRole('button', { name: 'what it does: Cut out' }).click();
  await page.getByRole('button', { name: 'Raise', exact: true }).click();
  await step.getByRole('button', { name: /^how far it goes/ }).click();
  await page.getByRole('button', { name: 'high', exact: true }).click();
  await partIsBuilt(page);
  const before = await weight();
  await step.getByRole('button', { name: /^drawing: / }).click();
  await page.getByRole('button', { name: 'Length: 30.00 mm', exact: true }).click();
  await page.getByLabel(/^Type a number/).fill('40');
  await page.getByRole('button', { name: 'Use this number' }).first().click();
  await expect(page.getByRole('button', { name: 'Length: 40.00 mm', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Radius: 4.00 mm' })).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect.poll(weight, { timeout: 30_000 }).toBeGreaterThan(before);
});

test('a grip of three arms: an arc of measured rise, repeated round the middle, made a band', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('locker-hinge-plate');
  await openBoard(page, workshop.address, id);
  const board = page.getByRole('group', { name: /^Drawing board/ });
  const drawn = (curves: string) => page.getByRole('img', { name: `Outline of ${curves}` });
  await page.getByRole('button', { name: 'Arcs', exact: true }).click();
  const box = (await board.boundingBox())!;
  // From the right, past the upper right, to the upper left: a third of the way round where the outline begins.
  const [origin] = await pointsOn(page);
  const round = (degrees: number, reach: number): At => [
    origin![0] + reach * Math.cos((degrees * Math.PI) / 180),
    origin![1] - reach * Math.sin((degrees * Math.PI) / 180),
  ];
  expect(box.width).toBeGreaterThan(300);
  for (const place of [round(4, 110), round(61, 88), round(117, 112)]) await tap(page, place);
  await expect(drawn('1 curve')).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('button', { name: 'Pick by name' }).click();
  const names = page.getByRole('group', { name: /^Curves, points/ });
  await names.getByRole('button', { name: 'Arc 1', exact: true }).click();
  await names.getByRole('button', { name: 'Point O', exact: true }).click();
  await page.getByRole('button', { name: 'Repeat round the point' }).click();
  await page.getByRole('button', { name: 'Make 3 of them' }).click();
  await expect(drawn('3 curves')).toBeVisible();
  const status = page.getByRole('main').getByRole('status');
  await names.getByRole('button', { name: 'Arc 1', exact: true }).click();
  await give(page, 'Rise of the arc', '9');
  await names.getByRole('button', { name: 'Point P1', exact: true }).click();
  await page.getByRole('button', { name: 'Level', exact: true }).click();
  await names.getByRole('button', { name: 'Point P1', exact: true }).click();
  await give(page, 'Distance across', '32');
  await expect(status).toContainText('Nothing can move any more');
  await page.getByRole('button', { name: 'Done' }).click();

  const step = page.getByRole('listitem').last();
  await step.getByRole('button', { name: 'what it does: Cut out' }).click();
  await page.getByRole('button', { name: 'Raise', exact: true }).click();
  await page
    .getByRole('button', { name: /^More for step/ })
    .last()
    .click();
  await page.getByRole('button', { name: 'Make its outline a band' }).click();
  await step.getByRole('button', { name: /^width of the band: / }).click();
  await page.getByLabel(/^Type a number/).fill('10');
  await page.getByRole('button', { name: 'Use this number' }).click();
  await expect(step).toContainText('as a band');
  await partIsBuilt(page);
});

test('a tooth as it was measured, trimmed out of rough lines, twelve times on a turned wheel', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('rack-wheel');
  await openBoard(page, workshop.address, id);
  const press = (name: string) => page.getByRole('button', { name, exact: true }).click();
  const drawn = (curves: string) =>
    expect(page.getByRole('img', { name: `Outline of ${curves}` })).toBeVisible();
  const where = page.getByLabel(/^Or where/);
  const type = async (text: string) => {
    await where.fill(text);
    await where.press('Enter');
    await expect(where).toHaveValue('');
  };
  // Two flanks, drawn too long, and two lines that cross them: what stands over is trimmed away.
  for (const [index, [from, to]] of (
    [
      ['11, -1.5', '6 at 0'],
      ['11, 1.5', '6 at 0'],
      ['12, -3', '6 at 90'],
      ['16, -3', '6 at 90'],
    ] as const
  ).entries()) {
    await press('Lines');
    await type(from);
    await type(to);
    await drawn(index === 0 ? '1 curve' : `${index + 1} curves`);
    await press('Stop');
  }
  await press('Trim');
  for (const end of ['11.3, -1.5', '16.6, -1.5', '11.3, 1.5', '16.6, 1.5']) await type(end);
  for (const end of ['12, -2.6', '12, 2.6', '16, -2.6', '16, 2.6']) await type(end);
  await expect(page.getByText(/^Trimmed\. Tap the piece/)).toBeVisible();
  await press('Stop');
  await drawn('4 curves');
  await press('Done');

  const step = page.getByRole('listitem').last();
  await expect(step).toContainText('4 curves');
  await step.getByRole('button', { name: 'what it does: Cut out' }).click();
  await press('Raise');
  await step.getByRole('button', { name: /^how far it goes/ }).click();
  await press('high');
  await partIsBuilt(page);
  const findings = page.getByRole('group', { name: 'Findings' });
  const weight = async () => Number(/([\d.]+) g/.exec(await findings.innerText())![1]);
  await step.getByRole('button', { name: /^height/ }).click();
  await page.getByLabel(/^Type a number/).fill('10');
  await page.getByRole('button', { name: 'Use this number' }).click();
  await partIsBuilt(page);
  const one = await weight();
  await page.getByRole('button', { name: 'Add a step', exact: true }).click();
  await page.getByRole('button', { name: /^Repeat/ }).click();
  const again = page.getByRole('listitem').last();
  await again.getByRole('button', { name: /in a row/ }).click();
  await page
    .getByRole('button', { name: /round the axle line/ })
    .last()
    .click();
  await again.getByRole('button', { name: /times in all/ }).click();
  await page.getByLabel(/^Type a whole number/).fill('12');
  await page.getByRole('button', { name: 'Use this number' }).click();
  await expect(again).toContainText('12 times in all');
  await partIsBuilt(page);
  // Eleven more of 4 by 3 by 10 mm, at 1.24 g/cm³.
  await expect
    .poll(async () => Math.abs((await weight()) - one - 11 * 0.12 * 1.24), { timeout: 30_000 })
    .toBeLessThan(0.11);
});

test.describe('on a wide screen', () => {
  test.use({ viewport: { width: 1280, height: 800 }, hasTouch: false, isMobile: false });

  test('an outline is drawn by numbers and by names, without a pointer', async ({ page, workshop }) => {
    const id = await workshop.open('locker-hinge-plate');
    await openBoard(page, workshop.address, id);
    const press = async (name: string) => {
      await page.getByRole('button', { name, exact: true }).focus();
      await page.keyboard.press('Enter');
    };
    await press('Lines');
    const where = page.getByLabel(/^Or where to/);
    for (const [index, typed] of ['0, 0', '40 at 0', '0, 20', '40 at 180', '0, -20'].entries()) {
      await where.focus();
      await page.keyboard.type(typed);
      await page.keyboard.press('Enter');
      await expect(where).toHaveValue('');
      if (index > 0)
        await expect(
          page.getByRole('img', { name: `Outline of ${index} ${index === 1 ? 'curve' : 'curves'}` }),
        ).toBeVisible();
    }
    await where.focus();
    await page.keyboard.type('so far');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/Type a length and an angle/)).toBeVisible();
    await press('Stop');
    await press('Pick by name');
    await press('Line 1');
    await press('Line 3');
    await press('Parallel');
    await expect(page.getByRole('button', { name: 'Relation: Parallel' })).toBeVisible();
    await press('Line 1');
    await press('Length');
    await page.getByLabel(/^Type a number/).selectText();
    await page.keyboard.type('25');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Length: 25.00 mm' })).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('button', { name: 'Length: 25.00 mm' })).toBeHidden();

    // A circle over the right side crosses it: told, and what lies outside of it is taken.
    const place = async (text: string) => {
      await page.getByLabel(/^Or where/).focus();
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
      await expect(page.getByLabel(/^Or where/)).toHaveValue('');
    };
    await press('Circle');
    await place('40, 10');
    await place('5, 0');
    await press('Stop');
    await expect(page.getByText('Two curves cross where the ring is.')).toBeVisible();
    await press('Take areas');
    await place('100, 100');
    await expect(page.getByText(/No curves go all round that place/)).toBeVisible();
    await place('5, 10');
    await press('Make it the outline');
    await expect(page.getByText('Two curves cross where the ring is.')).toBeHidden();
    // The right side in two, and the half of the circle that is within: construction lines stay below them.
    await expect(page.getByRole('img', { name: 'Outline of 8 curves' })).toBeVisible();
    await press('Done');
    await expect(page.getByRole('listitem').last()).toContainText('6 curves');
  });
});

test('a rim follows the plate that it stands on, and a handle is run along a drawn path', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('locker-hinge-plate');
  await openBoard(page, workshop.address, id);
  const status = page.getByRole('main').getByRole('status');
  const type = async (label: RegExp, places: readonly string[]) => {
    for (const place of places) {
      await page.getByLabel(label).fill(place);
      await page.getByLabel(label).press('Enter');
    }
  };
  await page.getByRole('button', { name: 'Follow an edge', exact: true }).click();
  await type(/^Or where: /, ['25, 0']);
  await expect(status).toContainText('An edge is followed.');
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(status).toContainText('Nothing can move any more.');
  // A boss, its middle 12 in from the edge that is followed.
  await page.getByRole('button', { name: 'Circle', exact: true }).click();
  await type(/^Or where to: /, ['10, 0', '3, 0']);
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(status).toContainText('can still change in 3 ways');
  await page.getByRole('button', { name: 'Pick by name' }).click();
  await page.getByRole('button', { name: 'Point P3', exact: true }).click();
  await page.getByRole('button', { name: 'Line 1, follows the part', exact: true }).click();
  await give(page, 'Distance from the line', '12');
  await expect(status).toContainText('can still change in 2 ways');
  await page.getByRole('button', { name: 'Done' }).click();
  await partIsBuilt(page);

  await page.getByRole('button', { name: 'Add a step', exact: true }).click();
  await page.getByRole('button', { name: /^Run an outline along/ }).click();
  await page.getByRole('button', { name: 'how the path is given: a path of' }).click();
  await page.getByRole('button', { name: 'a path drawn by hand', exact: true }).click();
  await partIsBuilt(page);
  await page.getByRole('button', { name: 'drawing: 3 curves' }).click();
  await expect(page.getByRole('heading', { name: 'Path of step 6' })).toBeVisible();
  await page.getByRole('button', { name: 'Pick by name' }).click();
  await page.getByRole('button', { name: 'Point P2', exact: true }).click();
  await page.getByRole('button', { name: 'Round the corner', exact: true }).click();
  await page.getByRole('button', { name: 'Point P3', exact: true }).click();
  await page.getByRole('button', { name: 'Round the corner', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Outline of 5 curves' })).toBeVisible();
  // Bends have room for half of what is run along them.
  for (const which of [0, 1]) {
    await page
      .getByRole('button', { name: /^Radius \d/ })
      .nth(which)
      .click();
    await page.getByLabel(/^Type a number/).fill('9');
    await page.getByRole('button', { name: 'Use this number' }).first().click();
    await expect(page.getByLabel(/^Type a number/)).toBeHidden();
  }
  await page.getByRole('button', { name: 'Done' }).click();
  await partIsBuilt(page);
  await expect(page.getByRole('button', { name: 'drawing: 5 curves' })).toBeVisible();
});

test('a drawing that somebody sent is taken in from a DXF in inches, raised, and written again', async ({
  page,
  workshop,
}) => {
  const id = await workshop.open('locker-hinge-plate');
  await openBoard(page, workshop.address, id);
  // A washer of half an inch with a hole of a quarter, and a note.
  const codes =
    '0 SECTION 2 HEADER 9 $INSUNITS 70 1 0 ENDSEC 0 SECTION 2 ENTITIES 0 CIRCLE 8 rim 10 3 20 2 40 0.25 0 CIRCLE 8 hole 10 3 20 2 40 0.125 0 TEXT 8 notes 10 0 20 0 40 1 1 seal 0 ENDSEC 0 EOF';
  const choose = async (name: string, text: string) =>
    page
      .getByLabel('A DXF, SVG or CSV file')
      .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) });
  await choose('washer.dxf', 'no drawing');
  await expect(page.getByRole('alert')).toContainText('This is no DXF file that can be read');
  await choose('washer.dxf', `${codes.split(' ').join('\n')}\n`);
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('2 curves, 12.7 by 12.7 mm in all.');
  await expect(sheet).toContainText('TEXT (1)');
  await sheet.getByRole('button', { name: 'Draw it' }).click();
  await expect(page.getByRole('img', { name: 'Outline of 2 curves' })).toBeVisible();
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^DXF/ }).click(),
  ]);
  expect(saved.suggestedFilename()).toMatch(/step-5\.dxf$/);
  await page.getByRole('button', { name: 'Done' }).click();
  // The step cuts it right through: the middle of the washer is a piece of its own.
  await expect(page.getByRole('group', { name: 'Findings' })).toContainText(/closed, 2 pieces/i, {
    timeout: 60_000,
  });
});
