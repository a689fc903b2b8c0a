import { readdirSync, readFileSync } from 'node:fs';

import type { Fault } from '@core/fault';
import type { Step } from '@core/model';
import { rackWheel } from '@core/testing/repairDraft';
import { FAULT_CODES, sentenceOf } from '@core/wording';
import { spokenSentence } from '@core/sentence';
import { stepSentence } from '@core/steps';

describe('sentences of faults', () => {
  test('every code that is declared has one', () => {
    const room = `${__dirname}/../fault`;
    const source = readdirSync(room)
      .map((name) => readFileSync(`${room}/${name}`, 'utf8'))
      .join('\n');
    const declared = [...source.matchAll(/code: '([^']+)'/g)].map((match) => match[1]!);
    expect(declared.length).toBeGreaterThan(30);
    expect([...FAULT_CODES].sort()).toEqual(declared.sort());
  });

  test('say what is wrong and what to do, with the numbers', () => {
    const bore = { what: 'bore' as const, tag: 'B', mm: 6.25 };
    expect(sentenceOf({ code: 'hole.widerThanBody', bore, bodyMm: 6 })).toBe(
      'The bore B (6.25 mm) is as wide as the part or wider (6.00 mm). Make the part wider or the bore smaller.',
    );
    expect(sentenceOf({ code: 'length.tooLong', mm: 2000, limitMm: 200, instrument: 'Bench caliper' })).toBe(
      '2000.00 mm is more than the bench caliper can reach (200 mm). Check the decimal point.',
    );
    expect(sentenceOf({ code: 'name.tooLong', what: 'the repair', length: 300, limit: 80 })).toContain('300');
  });

  test('end with a full stop and never show a code or a stack', () => {
    const given = new Proxy({} as Record<string, unknown>, {
      get: (_, key) =>
        ['keys', 'tags', 'points', 'names', 'readings'].includes(String(key))
          ? ['x']
          : ['sizeMm', 'roomMm'].includes(String(key))
            ? [30, 20, 10]
            : [
                  'length',
                  'bore',
                  'depth',
                  'width',
                  'radius',
                  'size',
                  'across',
                  'thick',
                  'wall',
                  'at',
                  'inner',
                  'away',
                  'bend',
                  'play',
                  'bump',
                  'diameter',
                  'floor',
                  'head',
                  'by',
                  'breadth',
                ].includes(String(key))
              ? { what: 'bore', tag: null, mm: 1 }
              : key === 'mm'
                ? 1
                : key === 'open'
                  ? 'top'
                  : key === 'wanted'
                    ? 'length'
                    : /mm|bytes|seconds|megapixels|ways|^least$|^most$|^got$/i.test(String(key))
                      ? 2
                      : 'thing',
    });
    for (const code of FAULT_CODES) {
      const sentence = sentenceOf(Object.assign(Object.create(given as object) as object, { code }) as Fault);
      expect(sentence).toMatch(/[.]$/);
      expect(sentence).not.toContain(code);
      expect(sentence).not.toContain('undefined');
    }
  });
});

test('the recipe of the wheel reads aloud', () => {
  const repair = rackWheel();
  const steps = repair.bodies[0]!.steps;
  const tagOf = (step: Step) =>
    spokenSentence(stepSentence(step, steps), (value) =>
      value.from === 'number' ? String(value.mm) : 'id' in value ? value.id.toUpperCase() : value.text,
    );
  expect(steps.map(tagOf)).toEqual([
    'Turn a wheel A across, C wide, round the axle line',
    'Cut a groove D wide, E deep, middle of the rim',
    'Drill a hole BORE right through, down from the top, on the axle line',
    'Ease both mouths of the hole by 0.4',
    'Ease the outer edges by 0.6',
  ]);
});
