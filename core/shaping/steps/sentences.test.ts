import { numberValue, sizeValue, Step } from '@core/record/model';
import { withPatch } from '@core/shaping/recipe';
import { spokenSentence, type SentencePart } from '@core/shaping/sentence';
import { moreOptions, stepSentence } from '@core/shaping/steps';

const at = (x = 0, y = 0) => ({ x: numberValue(x), y: numberValue(y) });
const circle = { shape: 'circle', diameter: sizeValue('a') };
const steps = [
  {
    id: 'block',
    kind: 'extrude',
    effect: 'add',
    outline: circle,
    turn: 0,
    height: numberValue(8),
    on: 'bottom',
    ...at(),
  },
  {
    id: 'nut',
    kind: 'extrude',
    effect: 'cut',
    outline: { shape: 'polygon', sides: 6, by: 'flats', across: numberValue(13) },
    turn: Math.PI / 6,
    height: numberValue(5),
    on: 'top',
    ...at(10, -4),
  },
  {
    id: 'bore',
    kind: 'extrude',
    effect: 'cut',
    outline: circle,
    turn: 0,
    height: 'through',
    on: 'top',
    ...at(),
  },
  {
    id: 'sink',
    kind: 'cone',
    effect: 'cut',
    lower: numberValue(5),
    upper: numberValue(10),
    height: numberValue(2.5),
    on: 'top',
    ...at(),
  },
  { id: 'again', kind: 'pattern', of: 'nut', pattern: { by: 'round', count: 3 } },
  {
    id: 'row',
    kind: 'pattern',
    of: 'nut',
    pattern: { by: 'row', count: 4, dx: numberValue(9), dy: numberValue(0) },
  },
  { id: 'holes', kind: 'pattern', of: 'nut', pattern: { by: 'layout', id: 'l' } },
  { id: 'mirror', kind: 'mirror', across: 'frontBack', keep: 'both' },
  { id: 'hollow', kind: 'shell', wall: numberValue(2), open: 'bottom' },
  {
    id: 'grip',
    kind: 'stations',
    effect: 'add',
    rows: [
      { at: numberValue(0), diameter: numberValue(20) },
      { at: numberValue(30), diameter: numberValue(16) },
    ],
    between: 'smooth',
    on: 'top',
    ...at(),
  },
  { id: 'ease', kind: 'chamfer', size: numberValue(1), where: { edges: 'upright', of: 'nut' } },
].map((step) => Step.parse(step));

const say = (id: string, of: readonly Step[] = steps) =>
  spokenSentence(
    stepSentence(
      of.find((step) => step.id === id)!,
      of,
      { layouts: [{ id: 'l', name: 'Screw holes' }] },
    ),
    (value) =>
      value.from === 'number' ? String(value.mm) : 'id' in value ? value.id.toUpperCase() : value.text,
  );

test.each([
  ['block', 'Raise a circle A across, 8 high, from the ground up, on the axle line'],
  [
    'nut',
    'Cut out a polygon of 6 sides, 13 across flats, turned 30°, 5 deep, down from the top, 10 right and -4 back, aside of the axle line',
  ],
  ['bore', 'Cut out a circle A across, right through, down from the top, on the axle line'],
  ['sink', 'Cut out a cone 5 across below, 10 above, 2.5 high, down from the top, on the axle line'],
  ['again', 'Repeat step 2 3 times in all, evenly round the axle line'],
  ['row', 'Repeat step 2 4 times in all in a row, each 9 right, 0 back and 0 up of the last'],
  ['holes', 'Repeat step 2 at the points of Screw holes'],
  ['mirror', 'Mirror the whole part, front to back'],
  ['hollow', 'Hollow it to a wall of 2, open at the bottom'],
  [
    'grip',
    'Turn a round shape through 2 stations: 20 across at 0, 16 across at 30, smooth between, on the top, on the axle line',
  ],
  ['ease', 'Ease the upright edges of step 2 by 1'],
])('%s reads aloud', (id, sentence) => expect(say(id)).toBe(sentence));

describe('choices', () => {
  const choiceOf = (id: string, what: string) =>
    stepSentence(
      steps.find((step) => step.id === id)!,
      steps,
    ).find(
      (part): part is Extract<SentencePart, { kind: 'choice' }> =>
        part.kind === 'choice' && part.what === what,
    )!;
  const words = (id: string, what: string) => choiceOf(id, what).options.map(({ word }) => word);

  test('an outline keeps its measures in another shape, as far as it has them', () => {
    const rectangle = choiceOf('block', 'the outline').options.find(({ word }) => word === 'a rectangle')!;
    expect(rectangle.patch).toEqual({
      outline: {
        shape: 'rectangle',
        length: sizeValue('a'),
        breadth: sizeValue('a'),
        cornerRadius: numberValue(0),
      },
    });
  });

  test('only what is taken away can go right through', () => {
    const upTo = 'Pick a face that it goes up to';
    expect(words('block', 'how far it goes')).toEqual(['high', 'high, half to each side', upTo]);
    expect(words('bore', 'how far it goes')).toEqual([
      'right through',
      'deep',
      'deep, half to each side',
      'above the ground at its floor',
      upTo,
    ]);
  });

  test('edges are offered of steps before, each by its own words', () => {
    const offered = words('ease', 'which edges');
    expect(new Set(offered).size).toBe(offered.length);
    expect(offered).toContain('the outer edges of step 1');
    expect(offered).toContain('both mouths of the hole of step 5');
    expect(offered.join()).not.toContain('step 11');
  });

  test('places in words: on a side, from edges, on a face, lifted and tilted', () => {
    const at = (more: object) =>
      say('p', [
        Step.parse({
          id: 'p',
          kind: 'peg',
          diameter: numberValue(4),
          height: numberValue(6),
          x: numberValue(0),
          y: numberValue(0),
          ...more,
        }),
      ]);
    const peg = 'Raise a peg 4 across, 6 high';
    expect(at({})).toBe(`${peg} on the top, on the axle line`);
    expect(at({ on: 'front', x: numberValue(3), y: numberValue(5) })).toBe(
      `${peg} on the front, 3 right and 5 up, aside of the axle line`,
    );
    expect(at({ x: numberValue(4), xFrom: 'high', yFrom: 'lowFlush' })).toBe(
      `${peg} on the top, 4 in from the right edge, flush with the front edge`,
    );
    const face = { face: { tag: 'block:top', near: [0, 0, 0] } };
    expect(at({ on: face, lift: numberValue(2), tilt: Math.PI / 6 })).toBe(
      `${peg} on the face that was picked, in the middle, lifted 2, tilted 30°`,
    );
  });

  test('what is added to a step can be taken away by its words', () => {
    const drill = Step.parse({
      id: 'd',
      kind: 'hole',
      diameter: numberValue(4),
      depth: 'through',
      x: numberValue(0),
      y: numberValue(0),
    });
    const offered = moreOptions(drill);
    expect(offered.map(({ word }) => word)).toEqual([
      'Give it a round seat',
      'Give it a countersink',
      'Give it a pocket for a nut',
      'Raise it off its face',
      'Tilt it',
    ]);
    for (const { patch } of offered) {
      const [richer] = withPatch([drill], 'd', patch);
      expect(Step.parse(richer)).toEqual(richer);
      const [option] = stepSentence(richer!, [richer!]).flatMap((part) =>
        part.kind === 'choice' && ['the head of the hole', 'the lift', 'the tilt'].includes(part.what)
          ? [part.options.at(-1)!]
          : [],
      );
      expect(withPatch([richer!], 'd', option!.patch)).toEqual([drill]);
    }
  });

  test('a count or a turn that is not among the usual ones is there too', () => {
    const odd = Step.parse({ ...steps[4], pattern: { by: 'round', count: 7 } });
    expect(
      say(
        'again',
        steps.map((step) => (step.id === 'again' ? odd : step)),
      ),
    ).toContain('7 times in all');
    const turned = Step.parse({ ...steps[1], turn: 0.4 });
    expect(
      say(
        'nut',
        steps.map((step) => (step.id === 'nut' ? turned : step)),
      ),
    ).toContain('turned 22.92°');
  });

  test('a layout that is gone is told', () => {
    const [lost] = stepSentence(
      Step.parse({ ...steps[6], pattern: { by: 'layout', id: 'gone' } }),
      steps,
    ).filter((part) => part.kind === 'choice' && part.what === 'arrangement');
    expect(lost).toMatchObject({ text: 'at the points of a missing layout' });
  });
});
