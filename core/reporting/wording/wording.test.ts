import { readdirSync, readFileSync } from 'node:fs';

import type { Fault, LookedFor, ValueProblem } from '@core/foundations/fault';
import type { Step } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { FAULT_CODES, sentenceOf } from '@core/reporting/wording';
import { spokenSentence } from '@core/shaping/sentence';
import { stepSentence } from '@core/shaping/steps';

/** One of what is a union, by where it stands. */
const SAMPLES: Record<string, unknown> = {
  oddly: 'blanks',
  left: 'length',
  right: 'neither',
  face: { tag: 'disc:top', place: 1 },
  lookingFor: { is: 'earlierFace' },
  problem: { is: 'noPicture' },
  reason: 'notClosed',
  why: 'notAboveZero',
};

/** Of those that mean something else by the same name. */
const OWN_SAMPLES: Record<string, object> = {
  'chamfer.tooLarge': { at: 'tipsOfTeeth' },
  'formula.wrongResult': { got: 'area' },
  'outline.relationMisused': { place: 3, why: 'gone' },
  'slice.pieceOffBed': { which: { name: 'Foot', piece: 1, of: 2 } },
  'slice.piecesTooNear': { one: { name: 'Foot', piece: 1, of: 2 }, other: { name: 'Cap', piece: 1, of: 1 } },
};

describe('sentences of faults', () => {
  test('every code that is declared has one', () => {
    const room = `${__dirname}/../../foundations/fault`;
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

  test('say what a step was looking for', () => {
    const lost = (lookingFor: LookedFor) => sentenceOf({ code: 'step.pickLost', lookingFor });
    const top = { tag: 'disc:top', place: 1 };
    expect(lost({ is: 'face', face: { tag: 'gone:right', place: null } })).toBe(
      'This step was looking for the right side of a step that is no longer before this one and can’t find it. Choose again what it works on.',
    );
    expect(lost({ is: 'edge', between: [top, { tag: 'again:wall~2', place: 3 }] })).toContain(
      'the edge where the top of step 1 meets the wall of number 2 of step 3',
    );
    expect(lost({ is: 'edges', rule: 'rims', gone: true })).toContain(
      'the outer edges of a step that is no longer before this one',
    );
  });

  test.each<[ValueProblem, string]>([
    [{ is: 'tooSmall', of: 'text', limit: '1', limitIsIn: true }, 'it must have at least 1 characters'],
    [{ is: 'tooLarge', of: 'list', limit: '500', limitIsIn: true }, 'it must hold at most 500'],
    [{ is: 'tooSmall', of: 'number', limit: '0', limitIsIn: false }, 'it must be more than 0'],
    [{ is: 'tooLarge', of: 'number', limit: '9', limitIsIn: true }, 'it must be at most 9'],
    [{ is: 'otherType', wanted: 'int' }, 'it must be a whole number'],
    [{ is: 'otherValue', wanted: ['"spare"', '"mate"'] }, 'it must be "spare" or "mate"'],
    [{ is: 'noSuchRow', row: 'size', id: 'zz' }, 'there is no size "zz"'],
    [{ is: 'twice', id: 'a', picture: true }, 'picture "a" appears twice'],
  ])('say what is wrong with a value in a file: %j', (problem, words) =>
    expect(sentenceOf({ code: 'file.invalid', path: 'repair.sizes[1]', problem })).toBe(
      `The repair file has a mistake at repair.sizes[1]: ${words}.`,
    ),
  );

  test('end with a full stop and never show a code or a stack', () => {
    const given = new Proxy({} as Record<string, unknown>, {
      get: (_, key) =>
        String(key) in SAMPLES
          ? SAMPLES[String(key)]
          : ['keys', 'tags', 'points', 'names', 'readings'].includes(String(key))
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
      const own = { code, ...OWN_SAMPLES[code] };
      const sentence = sentenceOf(Object.assign(Object.create(given as object) as object, own) as Fault);
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
