import { figure, type Figure } from './figure';
import { inApp } from './inApp';

type Nine = [number, number, number, number, number, number, number, number, number];

/** A heavy part and a heavy job in their views, against their triangles and lines drawn plainly, in the browser without a graphics card. */
export const frameFigures = (): Promise<Figure[]> =>
  inApp('Frames are', async (address, browser) => {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(`${address}/bench`);
    const status = page.getByRole('status').filter({ hasText: 'plainly' });
    await status.waitFor({ timeout: 120_000 });
    const [triangles, part, plain, lines, layers, drawn, moved, thumb, still] = (await status.innerText())
      .match(/[\d.]+/g)!
      .map(Number) as Nine;
    const perSecond = (ms: number) => 1000 / ms;
    const row = (name: string, oursMs: number, plainMs: number, atLeast = 0.7) =>
      figure(name, 'frames/s', perSecond(oursMs), perSecond(plainMs), { atLeast });
    return [
      row(
        `a part of ${triangles} triangles turned in the part view, against the triangles drawn plainly`,
        part,
        plain,
      ),
      row(
        `a part of ${moved} triangles under the thumb, against its triangles drawn plainly and still`,
        thumb,
        still,
        50 / 60,
      ),
      row(`a job of ${lines} lines turned in the layer view, against the lines drawn plainly`, layers, drawn),
    ];
  });
