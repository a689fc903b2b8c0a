import type { Page } from '@playwright/test';

import { writeRepairFile, type Repair, type Step } from '@core/record/model';
import { startKernel } from '@core/shaping/kernel';

import { figure, median, type Figure } from './figure';
import { inApp } from './inApp';
import { throttledLink } from './throttled';

/** A telephone’s link, bytes a second: 10 Mbit/s. */
const LINK = 1_250_000;
/** Steps of a long recipe. */
const STEPS = 60;
const FRAMES = 90;

/** What a person waits for and scrolls, in the real screens on a phone’s page: the first of them, the first part, and a long recipe. */
export const inHandFigures = (demo: Repair): Promise<Figure[]> =>
  inApp('What is in hand is', async (address, browser) => {
    const kernelMs = await timed(() => startKernel());
    const link = await throttledLink(address, LINK);
    const fresh = async () =>
      (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
    try {
      const demoId = await opened(address, demo);
      const longId = await opened(address, withManySteps(demo));

      const list = await fresh();
      const [listMs, listBytes] = await arriving(link, async () => {
        await list.goto(link.address);
        await list
          .getByRole('link', { name: new RegExp(`^${demo.head.name}`) })
          .first()
          .waitFor();
      });
      // What it fetches ahead is not waited for.
      await list.close();
      const part = await fresh();
      const [partMs, partBytes] = await arriving(link, async () => {
        await part.goto(`${link.address}/repair/${demoId}/shape`);
        await part.getByRole('group', { name: 'Findings' }).waitFor({ timeout: 120_000 });
      });

      const recipe = await fresh();
      await recipe.goto(`${address}/repair/${longId}/shape`);
      await recipe.getByRole('group', { name: 'Findings' }).waitFor({ timeout: 120_000 });
      const idleMs = await frameMs(recipe, 0);
      const scrolledMs = await frameMs(recipe, 24);
      const perSecond = (ms: number) => 1000 / ms;
      return [
        figure(
          'the list of repairs, usable, against its bytes over a link of 10 Mbit/s',
          's',
          listMs / 1000,
          listBytes / LINK,
          {
            atMost: 1.3,
          },
        ),
        figure(
          'the first part, seen, against all bytes until then over that link and the kernel’s start',
          's',
          partMs / 1000,
          partBytes / LINK + kernelMs / 1000,
          { atMost: 1.3 },
        ),
        figure(
          `a recipe of ${STEPS} steps scrolled, against the page left alone`,
          'frames/s',
          perSecond(scrolledMs),
          perSecond(idleMs),
          {
            atLeast: 50 / 60,
          },
        ),
      ];
    } finally {
      await link.close();
    }
  });

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** How long it takes, ms, and how many bytes came meanwhile. */
async function arriving(
  link: { bytes(): number },
  work: () => Promise<void>,
): Promise<[ms: number, bytes: number]> {
  const before = link.bytes();
  const ms = await timed(work);
  return [ms, link.bytes() - before];
}

async function opened(address: string, repair: Repair): Promise<string> {
  const reply = await fetch(`${address}/api/repair-files`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: writeRepairFile({ repair }, new Date().toISOString()),
  });
  if (reply.status !== 201) throw new Error(`The server does not open the repair: ${await reply.text()}`);
  return ((await reply.json()) as { id: string }).id;
}

/** The steps of its first spare again and again, switched off: as long to read, and soon built. */
function withManySteps(repair: Repair): Repair {
  const bodies = repair.bodies.map((body) => {
    if (body.role !== 'spare') return body;
    const more = Array.from({ length: STEPS - body.steps.length }, (_, index): Step => {
      const of = body.steps[index % body.steps.length]!;
      return { ...of, id: `${of.id}-${index}`, off: true };
    });
    return { ...body, steps: [...body.steps, ...more] };
  });
  return { ...repair, bodies };
}

/** The middle time from a frame of the page to the next, ms, while its recipe is scrolled by so much in each, px. */
async function frameMs(page: Page, byPx: number): Promise<number> {
  const times = await page.evaluate(
    async ([by, frames]) => {
      let recipe = document.querySelector('[role=list][aria-label^=Recipe]');
      // What scrolls is round it.
      while (recipe && recipe.scrollHeight <= recipe.clientHeight) recipe = recipe.parentElement;
      if (!recipe) throw new Error('There is no recipe to scroll.');
      const taken: number[] = [];
      let before = await new Promise<number>(requestAnimationFrame);
      for (let frame = 0; frame < frames; frame += 1) {
        recipe.scrollTop += by;
        const now = await new Promise<number>(requestAnimationFrame);
        taken.push(now - before);
        before = now;
      }
      if (by > 0 && recipe.scrollTop < by) throw new Error('The recipe does not scroll.');
      return taken;
    },
    [byPx, FRAMES] as const,
  );
  return median(times);
}
