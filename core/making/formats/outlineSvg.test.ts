import { XMLParser } from 'fast-xml-parser';

import type { Curve, Region } from '@core/shaping/outline';

import { outlineSvg } from './outlineSvg';

type Place = readonly [number, number];

function read(region: Region) {
  const svg = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '' }).parse(
    outlineSvg(region, 'Lid & <seal>'),
  ) as { svg: { width: string; height: string; viewBox: string; title: string; path: { d: string } } };
  return svg.svg;
}

/** The middle of an arc of an SVG path, by the formulas of its standard (SVG 1.1, F.6.5), y pointing down. */
function middleOf([x1, y1]: Place, r: number, large: boolean, sweep: boolean, [x2, y2]: Place): Place {
  const [dx, dy] = [(x1 - x2) / 2, (y1 - y2) / 2];
  const factor =
    (large === sweep ? -1 : 1) * Math.sqrt(Math.max(0, (r * r - dx * dx - dy * dy) / (dx * dx + dy * dy)));
  return [factor * dy + (x1 + x2) / 2, -factor * dx + (y1 + y2) / 2];
}

test.each([
  ['less than half a turn, to the left', [10, 0], [7.0710678, 7.0710678], [0, 10]],
  ['less than half a turn, to the right', [0, 10], [7.0710678, 7.0710678], [10, 0]],
  ['more than half a turn, to the left', [10, 0], [-10, 0], [0, -10]],
  ['more than half a turn, to the right', [0, -10], [-10, 0], [10, 0]],
] as const)('an arc of %s comes back about its own middle', (_, from, via, to) => {
  const curves: Curve[] = [
    { kind: 'arc', from, via, to, role: 'a' },
    { kind: 'line', from: to, to: from, role: 'b' },
  ];
  const { path } = read({ outer: curves, holes: [] });
  const found = /^M(\S+) (\S+) A(\S+) \S+ 0 ([01]) ([01]) (\S+) (\S+) L/.exec(path.d)!;
  const [x1, y1, r, large, sweep, x2, y2] = found.slice(1).map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  expect(Math.hypot(x1 - from[0], y1 + from[1], x2 - to[0], y2 + to[1])).toBeLessThan(1e-3);
  expect(r).toBeCloseTo(10, 4);
  const [mx, my] = middleOf([x1, y1], r, large === 1, sweep === 1, [x2, y2]);
  expect(Math.hypot(mx, my)).toBeLessThan(1e-3);
});

test('it is at true size, with its holes, and its title is no markup', () => {
  const square: Curve[] = [
    [0, 0, 30, 0],
    [30, 0, 30, 20],
    [30, 20, 0, 20],
    [0, 20, 0, 0],
  ].map(([ax, ay, bx, by], index) => ({
    kind: 'line',
    from: [ax!, ay!],
    to: [bx!, by!],
    role: `s${index}`,
  }));
  const svg = read({
    outer: square,
    holes: [[{ kind: 'circle', middle: [10, 8], radius: 3, role: 'hole' }]],
  });
  expect([svg.width, svg.height]).toEqual(['34mm', '24mm']);
  expect(svg.viewBox).toBe('-2 -22 34 24');
  expect(svg.title).toBe('Lid & <seal>');
  expect(svg.path.d.match(/M/g)).toHaveLength(2);
  expect(svg.path.d).toContain('M13 -8 A3 3 0 0 0 7 -8');
});
