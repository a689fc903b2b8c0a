import { addFormula, parseFormula, Sheet, tagsIn } from '@core/foundations/formula';
import { SizeGraph } from '@core/measuring/measure';
import { letterAt, newSize, type Reading, type Size } from '@core/record/model';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { figure, timePair, type Figure } from './figure';

const MEASURED = 100;
const ALL = 10_000;
const CHAIN = 5;
/** Formulas as repairers write them; X and Y stand for the tags of two earlier sizes. */
const SHAPES = [
  '(X - Y) / 2',
  'X + Y / 2 - 0.1 mm',
  'X * cos(30°) + Y * sin(30°)',
  'sqrt(X^2 + Y^2 / 4) - 0.2 mm',
  '(2 * X - Y) / 3 + 1.5 mm',
  'hypot(X; Y) / 2 + 0.3 mm',
];

interface SizeList {
  sizes: Size[];
  readings: Map<string, Reading[]>;
  texts: (string | null)[];
}

/**
 * 100 measured sizes and chains of five derived ones, each resting on the one before it and on another measured
 * size. Every second chain begins at the first measured size, as positions do that are taken from one edge.
 */
function listOfSizes(): SizeList {
  const sizes: Size[] = [];
  const readings = new Map<string, Reading[]>();
  const texts: (string | null)[] = [];
  for (let number = 0; number < ALL; number += 1) {
    const [id, tag] = [`s${number}`, letterAt(number)];
    const place = (number - MEASURED) % CHAIN;
    const begins = Math.floor((number - MEASURED) / CHAIN) % 2 === 0 ? 0 : 1 + (number % (MEASURED - 1));
    const other = 1 + ((number * 31) % (MEASURED - 1));
    const text =
      number < MEASURED
        ? null
        : SHAPES[number % SHAPES.length]!.replaceAll('X', '#')
            .replaceAll('Y', letterAt(other))
            .replaceAll('#', letterAt(place === 0 ? begins : number - 1));
    texts.push(text);
    if (text === null) readings.set(id, [readingOf(id, 10 + number / 7)]);
    sizes.push(
      newSize({
        id,
        tag,
        name: tag,
        kind: text === null ? 'measured' : 'derived',
        derivation: text === null ? null : { by: 'formula', text, unit: 'mm' },
      }),
    );
  }
  return { sizes, readings, texts };
}

function readingOf(sizeId: string, value: number): Reading {
  return {
    id: `${sizeId}-r`,
    version: 1,
    sizeId,
    value,
    typed: String(value),
    instrumentId: 'bench-caliper',
    takenAt: '2026-05-04T09:00:00.000Z',
    leftOut: null,
    removed: false,
  };
}

/** The formulas that depend on the first size, on a sheet of their own, in the order of the sizes. */
function formulasInOrder(sizes: readonly Size[], texts: readonly (string | null)[]) {
  const numberOf = new Map(sizes.map(({ tag }, number) => [tag, number]));
  const sheet = new Sheet(sizes.length);
  const depends = new Set([0]);
  const inOrder: { number: number; formula: number }[] = [];
  for (const [number, text] of texts.entries()) {
    if (text === null) continue;
    const expression = parseFormula(text);
    if (!expression.ok) throw new Error(expression.fault.code);
    if (!tagsIn(expression.value).some((tag) => depends.has(numberOf.get(tag)!))) continue;
    depends.add(number);
    const places = { quantityOf: () => 'length' as const, placeOf: (tag: string) => numberOf.get(tag)! };
    const laid = addFormula(sheet, expression.value, places, 'length', 'mm');
    if (!laid.ok) throw new Error(laid.fault.code);
    inOrder.push({ number, formula: laid.value });
  }
  return { sheet: sheet.seal(), inOrder };
}

/** A change of one reading among 10,000 sizes against the formulas that depend on it, once each in plain order. */
export function sizeFigures(): Figure[] {
  const { sizes, readings, texts } = listOfSizes();
  const graph = new SizeGraph(sizes, readings, DEFAULT_WORKSHOP);
  graph.settle();
  const { sheet, inOrder } = formulasInOrder(sizes, texts);
  for (const [number, { id }] of sizes.entries()) sheet.values[number] = graph.value(id);
  let turn = 0;
  const plainOrder = () => {
    sheet.values[0] = 10 + (turn % 7) / 100;
    for (const { number, formula } of inOrder) sheet.values[number] = sheet.evaluate(formula);
  };
  const change = (depth: 'values' | 'uncertainty') => {
    turn += 1;
    graph.replaceReadings('s0', [readingOf('s0', 10 + (turn % 7) / 100)]);
    graph.settle(depth);
  };
  const [fast, plainFast] = timePair(600, 100, () => change('values'), plainOrder);
  graph.settle();
  const [whole, plainWhole] = timePair(600, 100, () => change('uncertainty'), plainOrder);
  for (const { number } of inOrder) {
    if (Math.abs(sheet.values[number]! - graph.value(sizes[number]!.id)) > 1e-9)
      throw new Error('they disagree');
  }
  const what = `${inOrder.length} sizes of ${ALL} after a change`;
  return [
    figure(`${what}, against their formulas in plain order`, 'ms', fast, plainFast, { atMost: 1.3 }),
    figure(`${what}, with uncertainty, against the same`, 'ms', whole, plainWhole, { atMost: 4 }),
  ];
}
