import { numberValue, type DrawnCurve, type DrawnOutline, type OutlineShape } from '@core/foundations/fields';

import { withWrapped } from './wrapped';

type Hull = Extract<OutlineShape, { shape: 'hull' }>;

/**
 * A band round circles as one that is drawn by hand: the circles, each with its diameter, and a live band with the same names of faces. Middles with typed numbers
 * are fixed where they are. Where a number comes from elsewhere, the circles alone are drawn: how the band runs is known when they are.
 */
export function drawnFromHull({ circles }: Hull): DrawnOutline {
  const id = (index: number) => `M${index + 1}`;
  const numbers = circles.map(({ x, y, diameter }) =>
    x.from === 'number' && y.from === 'number' && diameter.from === 'number'
      ? { middle: [x.mm, y.mm] as const, radius: diameter.mm / 2 }
      : null,
  );
  const known = numbers.filter((one) => one !== null);
  const drawn: DrawnOutline = {
    shape: 'drawn',
    points: circles.map(({ x, y }, index) => ({ id: id(index), x, y })),
    curves: circles.map(({ diameter }, index): DrawnCurve => ({
      kind: 'circle',
      middle: id(index),
      diameter: diameter.from === 'number' ? diameter : numberValue(10),
      id: `round${index + 1}`,
    })),
    relations: circles.flatMap(({ x, y }, index): DrawnOutline['relations'] =>
      x.from === 'number' || y.from === 'number'
        ? [{ kind: 'fixed', id: `f${index + 1}`, point: id(index) }]
        : [],
    ),
    dimensions: circles.map(({ diameter }, index) => ({
      kind: 'diameter',
      curve: `round${index + 1}`,
      value: diameter,
      id: `d${index + 1}`,
    })),
  };
  if (known.length < circles.length) return drawn;
  const solved = {
    curves: known.map((round, index) => ({
      kind: 'circle' as const,
      id: `round${index + 1}`,
      helper: false,
      ...round,
    })),
  };
  return withWrapped(drawn, solved, new Set(solved.curves.map((curve) => curve.id)), 'ofBand') ?? drawn;
}
