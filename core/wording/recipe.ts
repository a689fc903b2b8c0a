import {
  numberValue,
  type EdgeRule,
  type OutlineShape,
  type OutlineShapeName,
  type Step,
  type StepKind,
  type StepOf,
  type Value,
} from '@core/model';
import { RAD_PER_DEGREE } from '@core/quantity';

/** Other words, and what of the step they stand for. */
export interface Option {
  word: string;
  patch: Record<string, unknown>;
}

/** A piece of a recipe sentence: the verb, plain words, or a number that can be tapped. */
export type SentencePart =
  | { kind: 'verb'; text: string }
  | { kind: 'words'; text: string }
  /** Words that can be tapped for others; taking one changes the step by `patch`. */
  | { kind: 'choice'; what: string; text: string; strong: boolean; options: Option[] }
  | { kind: 'chip'; field: string; what: string; value: Value };

const verb = (text: string): SentencePart => ({ kind: 'verb', text });
const words = (text: string): SentencePart => ({ kind: 'words', text });
const chip = (field: string, what: string, value: Value): SentencePart => ({
  kind: 'chip',
  field,
  what,
  value,
});

/** The words of the option that holds now, with the others to choose from. */
function choice(
  what: string,
  now: (option: Option) => boolean,
  options: readonly Option[],
  strong = false,
): SentencePart {
  const text = (options.find(now) ?? options[0]!).word;
  return { kind: 'choice', what, text, strong, options: [...options] };
}

/** Where edges are, in words; `steps` are those of the recipe, for naming the one meant. */
function edgeWords(rule: EdgeRule, steps: readonly Step[]): string {
  const place = steps.findIndex((step) => step.id === rule.of);
  const of = place < 0 ? '' : ` of step ${place + 1}`;
  if (rule.edges === 'mouths') return `both mouths of the hole${onlyOne(steps, isHole) ? '' : of}`;
  if (rule.edges === 'upright') return `the upright edges${of}`;
  const which = steps[place]?.kind === 'plate' ? 'the top and bottom edges of the plate' : 'the outer edges';
  return `${which}${onlyOne(steps, hasRims) || steps[place]?.kind === 'plate' ? '' : of}`;
}

const isHole = (step: Step) => step.kind === 'drill' || step.kind === 'repeat';
const hasRims = (step: Step) =>
  ['turn', 'plate', 'peg'].includes(step.kind) ||
  ('effect' in step && step.kind !== 'ball' && step.kind !== 'ring');
const hasUprights = (step: Step) =>
  step.kind === 'plate' || (step.kind === 'raise' && ['rectangle', 'polygon'].includes(step.outline.shape));
const onlyOne = (steps: readonly Step[], wanted: (step: Step) => boolean) => steps.filter(wanted).length < 2;

/** The edges that a step may take, by rule, of all steps before it. */
function edgeChoice(step: StepOf<'ease' | 'round'>, steps: readonly Step[]): SentencePart {
  const rule = step.where;
  const options = stepsBefore(step, steps).flatMap((earlier): EdgeRule[] => [
    ...(isHole(earlier) ? [{ edges: 'mouths' as const, of: earlier.id }] : []),
    ...(hasRims(earlier) ? [{ edges: 'rims' as const, of: earlier.id }] : []),
    ...(hasUprights(earlier) ? [{ edges: 'upright' as const, of: earlier.id }] : []),
  ]);
  const same = (other: EdgeRule) => other.edges === rule.edges && other.of === rule.of;
  const all = options.some(same) ? options : [rule, ...options];
  return choice(
    'which edges',
    ({ patch }) => same(patch.where as EdgeRule),
    all.map((where) => ({ word: edgeWords(where, steps), patch: { where } })),
  );
}

const isZero = (value: Value) => value.from === 'number' && value.mm === 0;

const ON_AXLE: Option = { word: 'on the axle line', patch: { x: numberValue(0), y: numberValue(0) } };
const ASIDE: Option = { word: 'aside of the axle line', patch: { x: numberValue(10), y: numberValue(0) } };

function placeWords(step: { x: Value; y: Value }): SentencePart[] {
  const onAxle = isZero(step.x) && isZero(step.y);
  const where = choice('where it is', (option) => (option === ON_AXLE) === onAxle, [ON_AXLE, ASIDE]);
  if (onAxle) return [words(', '), where];
  return [
    words(', '),
    chip('x', 'place to the right', step.x),
    words(' right and '),
    chip('y', 'place to the back', step.y),
    words(' back, '),
    where,
  ];
}

type Placed = StepOf<'raise' | 'cone' | 'ball' | 'ring' | 'stations'>;

/** What the step does, as its verb. @param add the verb for adding. */
const effectVerb = (step: Placed, add: string): SentencePart =>
  choice(
    'what it does',
    ({ patch }) => patch.effect === step.effect,
    [
      { word: add, patch: { effect: 'add' } },
      { word: 'Cut out', patch: { effect: 'cut' } },
      { word: 'Keep only', patch: { effect: 'common' } },
    ],
    true,
  );

function levelChoice(step: Placed): SentencePart {
  const [top, bottom] =
    step.effect === 'add'
      ? ['on the top', 'from the ground up']
      : ['down from the top', 'up from the bottom'];
  return choice('what it stands on', ({ patch }) => patch.on === step.on, [
    { word: top!, patch: { on: 'top' } },
    { word: bottom!, patch: { on: 'bottom' } },
  ]);
}

const OUTLINE_NAMES: Record<OutlineShapeName, string> = {
  circle: 'a circle',
  ellipse: 'an ellipse',
  rectangle: 'a rectangle',
  slot: 'a slot',
  polygon: 'a polygon',
};

/** The same measures in another shape, as far as it has them. */
function outlineAs(shape: OutlineShapeName, now: OutlineShape): OutlineShape {
  const main = now.shape === 'circle' ? now.diameter : now.shape === 'polygon' ? now.across : now.length;
  const breadth = 'breadth' in now ? now.breadth : main;
  switch (shape) {
    case 'circle':
      return { shape, diameter: main };
    case 'ellipse':
      return { shape, length: main, breadth };
    case 'rectangle':
      return { shape, length: main, breadth, cornerRadius: numberValue(0) };
    case 'slot':
      return { shape, length: main, breadth: 'breadth' in now ? now.breadth : numberValue(5) };
    case 'polygon':
      return { shape, sides: 6, by: 'flats', across: main };
  }
}

const POLYGON_SIDES = [3, 4, 5, 6, 8, 12];

function outlineParts(outline: OutlineShape): SentencePart[] {
  const names = Object.entries(OUTLINE_NAMES) as [OutlineShapeName, string][];
  const shape = choice(
    'the outline',
    ({ patch }) => (patch.outline as OutlineShape).shape === outline.shape,
    names.map(([name, word]) => ({
      word,
      patch: { outline: name === outline.shape ? outline : outlineAs(name, outline) },
    })),
  );
  const number = (key: string, what: string, value: Value) => chip(`outline.${key}`, what, value);
  switch (outline.shape) {
    case 'circle':
      return [shape, words(' '), number('diameter', 'across', outline.diameter), words(' across')];
    case 'ellipse':
    case 'slot':
      return [
        shape,
        words(' '),
        number('length', 'length', outline.length),
        words(' long, '),
        number('breadth', 'breadth', outline.breadth),
        words(' broad'),
      ];
    case 'rectangle':
      return [
        shape,
        words(' '),
        number('length', 'length', outline.length),
        words(' long, '),
        number('breadth', 'breadth', outline.breadth),
        words(' broad, corners rounded '),
        number('cornerRadius', 'corner radius', outline.cornerRadius),
      ];
    case 'polygon':
      return [
        shape,
        words(' of '),
        choice(
          'the number of sides',
          ({ patch }) => (patch.outline as { sides: number }).sides === outline.sides,
          [...new Set([...POLYGON_SIDES, outline.sides])].map((sides) => ({
            word: `${sides} sides`,
            patch: { outline: { ...outline, sides } },
          })),
        ),
        words(', '),
        number('across', 'across', outline.across),
        words(' '),
        choice(
          'over what it is measured',
          ({ patch }) => (patch.outline as { by: string }).by === outline.by,
          [
            { word: 'over flats', patch: { outline: { ...outline, by: 'flats' } } },
            { word: 'over corners', patch: { outline: { ...outline, by: 'corners' } } },
          ],
        ),
      ];
  }
}

const TURNS = [0, 15, 30, 45, 60, 90];

/** How far an outline is turned; a circle looks the same. */
function turnParts(step: StepOf<'raise'>): SentencePart[] {
  if (step.outline.shape === 'circle') return [];
  const degrees = Math.round((step.turn / RAD_PER_DEGREE) * 100) / 100;
  const turns = [...TURNS.filter((usual) => usual !== degrees), degrees].sort((a, b) => a - b);
  return [
    words(', '),
    choice(
      'how far it is turned',
      ({ patch }) => patch.turn === step.turn,
      turns.map((turn) => ({
        word: turn === 0 ? 'square on' : `turned ${turn}°`,
        // The angle that holds stays as it is, whatever it is rounded to in words.
        patch: { turn: turn === degrees ? step.turn : turn * RAD_PER_DEGREE },
      })),
    ),
  ];
}

function heightParts(step: StepOf<'raise'>): SentencePart[] {
  const through = step.height === 'through';
  const deep = step.effect === 'add' ? 'high' : 'deep';
  const measured: Option = {
    word: deep,
    patch: { height: step.height === 'through' ? numberValue(5) : step.height },
  };
  const right: Option = { word: 'right through', patch: { height: 'through' } };
  // Only what is taken away can go right through.
  if (step.effect === 'add' && step.height !== 'through') {
    return [words(', '), chip('height', 'height', step.height), words(` ${deep}, `), levelChoice(step)];
  }
  const way = choice('how far it goes', (option) => (option === right) === through, [right, measured]);
  return step.height === 'through'
    ? [words(', '), way]
    : [words(', '), chip('height', 'height', step.height), words(' '), way, words(', '), levelChoice(step)];
}

function depthParts({ depth }: StepOf<'drill'>): SentencePart[] {
  const through: Option = { word: 'right through', patch: { depth: 'through' } };
  const blind: Option = {
    word: 'deep from the top',
    patch: { depth: depth === 'through' ? numberValue(5) : depth },
  };
  const way = choice('how deep', (option) => (option === through) === (depth === 'through'), [
    through,
    blind,
  ]);
  return depth === 'through'
    ? [words(' '), way]
    : [words(' '), chip('depth', 'depth', depth), words(' '), way];
}

/** How many stations there are: one more goes above the last, one fewer takes the last away. */
function stationCount({ rows }: StepOf<'stations'>): SentencePart {
  const last = rows.at(-1)!;
  const above = last.at.from === 'number' ? numberValue(last.at.mm + 10) : last.at;
  const fewer: Option = { word: `${rows.length - 1} stations`, patch: { rows: rows.slice(0, -1) } };
  return choice('how many stations', ({ patch }) => patch.rows === rows, [
    ...(rows.length > 2 ? [fewer] : []),
    { word: `${rows.length} stations`, patch: { rows } },
    {
      word: `${rows.length + 1} stations`,
      patch: { rows: [...rows, { at: above, diameter: last.diameter }] },
    },
  ]);
}

const REPEATABLE: readonly StepKind[] = [
  'turn',
  'plate',
  'peg',
  'groove',
  'drill',
  'raise',
  'cone',
  'ball',
  'ring',
  'stations',
];

/** Steps of the recipe before one of it; all of them for one that is not there. */
function stepsBefore({ id }: Step, steps: readonly Step[]): readonly Step[] {
  const own = steps.findIndex((step) => step.id === id);
  return steps.slice(0, own < 0 ? steps.length : own);
}

const COUNTS = [2, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24];

function patternParts({ pattern }: StepOf<'repeat'>, layouts: readonly NamedLayout[]): SentencePart[] {
  const count = pattern.by === 'layout' ? 4 : pattern.count;
  const row = { by: 'row', count, dx: numberValue(10), dy: numberValue(0) };
  const ways: Option[] = [
    { word: 'in a row', patch: { pattern: pattern.by === 'row' ? pattern : row } },
    { word: 'round the axle line', patch: { pattern: { by: 'round', count } } },
    ...layouts.map(({ id, name }) => ({
      word: `at the points of ${name}`,
      patch: { pattern: { by: 'layout', id } },
    })),
  ];
  const isNow = ({ patch }: Option) => {
    const other = patch.pattern as typeof pattern;
    return other.by === pattern.by && (other.by !== 'layout' || other.id === (pattern as { id?: string }).id);
  };
  const lost = { word: 'at the points of a lost layout', patch: { pattern } };
  const way = choice('how it is laid out', isNow, ways.some(isNow) ? ways : [...ways, lost]);
  if (pattern.by === 'layout') return [way];
  const times = choice(
    'how often',
    ({ patch }) => (patch.pattern as { count: number }).count === count,
    [...new Set([...COUNTS, count])]
      .sort((a, b) => a - b)
      .map((often) => ({ word: `${often} times in all`, patch: { pattern: { ...pattern, count: often } } })),
  );
  if (pattern.by === 'round') return [times, words(', evenly '), way];
  return [
    times,
    words(' '),
    way,
    words(', each '),
    chip('pattern.dx', 'way to the right', pattern.dx),
    words(' right and '),
    chip('pattern.dy', 'way to the back', pattern.dy),
    words(' back of the last'),
  ];
}

/** A layout by its name, for steps that may stand at its points. */
export interface NamedLayout {
  id: string;
  name: string;
}

/** A step as a sentence that reads aloud. `layouts` are those it may be laid out by. */
export function stepSentence(
  step: Step,
  steps: readonly Step[],
  layouts: readonly NamedLayout[] = [],
): SentencePart[] {
  switch (step.kind) {
    case 'turn':
      return [
        verb('Turn'),
        words(' a wheel '),
        chip('diameter', 'across', step.diameter),
        words(' across, '),
        chip('width', 'width', step.width),
        words(' wide, round the axle line'),
      ];
    case 'plate':
      return [
        verb('Lay'),
        words(' a plate '),
        chip('length', 'length', step.length),
        words(' long, '),
        chip('breadth', 'breadth', step.breadth),
        words(' broad, '),
        chip('thickness', 'thickness', step.thickness),
        words(' thick, corners rounded '),
        chip('cornerRadius', 'corner radius', step.cornerRadius),
      ];
    case 'peg':
      return [
        verb('Raise'),
        words(' a peg '),
        chip('diameter', 'across', step.diameter),
        words(' across, '),
        chip('height', 'height', step.height),
        words(' high on the top'),
        ...placeWords(step),
      ];
    case 'groove':
      return [
        verb('Cut'),
        words(' a groove '),
        chip('width', 'groove width', step.width),
        words(' wide, '),
        chip('depth', 'groove depth', step.depth),
        words(' deep, middle of the rim'),
      ];
    case 'drill':
      return [
        verb('Drill'),
        words(' a hole '),
        chip('diameter', 'hole', step.diameter),
        ...depthParts(step),
        ...placeWords(step),
      ];
    case 'raise':
      return [
        effectVerb(step, 'Raise'),
        words(' '),
        ...outlineParts(step.outline),
        ...turnParts(step),
        ...heightParts(step),
        ...placeWords(step),
      ];
    case 'cone':
      return [
        effectVerb(step, 'Set'),
        words(' a cone '),
        chip('lower', 'lower diameter', step.lower),
        words(' across below, '),
        chip('upper', 'upper diameter', step.upper),
        words(' above, '),
        chip('height', 'height', step.height),
        words(' high, '),
        levelChoice(step),
        ...placeWords(step),
      ];
    case 'ball':
      return [
        effectVerb(step, 'Set'),
        words(' a ball '),
        chip('diameter', 'across', step.diameter),
        words(' across, its middle '),
        chip('up', 'height of its middle', step.up),
        words(step.on === 'top' ? ' above the top' : ' above the ground'),
        ...placeWords(step),
      ];
    case 'ring':
      return [
        effectVerb(step, 'Set'),
        words(' a ring '),
        chip('across', 'across', step.across),
        words(' across its middle, '),
        chip('thick', 'thickness', step.thick),
        words(' thick, '),
        chip('up', 'height of its middle', step.up),
        words(step.on === 'top' ? ' above the top' : ' above the ground'),
        ...placeWords(step),
      ];
    case 'stations':
      return [
        effectVerb(step, 'Turn'),
        words(' a shape through '),
        stationCount(step),
        words(':'),
        ...step.rows.flatMap((row, index) => [
          words(index === 0 ? ' ' : ', '),
          chip(`rows.${index}.diameter`, `diameter of station ${index + 1}`, row.diameter),
          words(' across at '),
          chip(`rows.${index}.at`, `height of station ${index + 1}`, row.at),
        ]),
        words(', '),
        choice('what is between them', ({ patch }) => patch.between === step.between, [
          { word: 'straight between', patch: { between: 'straight' } },
          { word: 'smooth between', patch: { between: 'smooth' } },
        ]),
        words(', '),
        levelChoice(step),
        ...placeWords(step),
      ];
    case 'repeat':
      return [
        verb('Repeat'),
        words(' '),
        choice(
          'which step',
          ({ patch }) => patch.of === step.of,
          stepsBefore(step, steps)
            .filter(({ kind }) => REPEATABLE.includes(kind))
            .map((earlier) => ({
              word: `step ${steps.indexOf(earlier) + 1}`,
              patch: { of: earlier.id },
            })),
        ),
        words(' '),
        ...patternParts(step, layouts),
      ];
    case 'mirror':
      return [
        choice(
          'what is kept',
          ({ patch }) => patch.keep === step.keep,
          [
            { word: 'Mirror', patch: { keep: 'both' } },
            { word: 'Turn into its mirror image', patch: { keep: 'other' } },
          ],
          true,
        ),
        words(' all that is there, '),
        choice('which way', ({ patch }) => patch.across === step.across, [
          { word: 'left to right', patch: { across: 'sides' } },
          { word: 'front to back', patch: { across: 'frontBack' } },
        ]),
      ];
    case 'hollow':
      return [
        verb('Hollow'),
        words(' it to a wall of '),
        chip('wall', 'wall', step.wall),
        words(', open '),
        choice('where it is open', ({ patch }) => patch.open === step.open, [
          { word: 'at the top', patch: { open: 'top' } },
          { word: 'at the bottom', patch: { open: 'bottom' } },
          { word: 'at both ends', patch: { open: 'both' } },
        ]),
      ];
    case 'ease':
      return [
        verb('Ease'),
        words(' '),
        edgeChoice(step, steps),
        words(' by '),
        chip('size', 'ease', step.size),
      ];
    case 'round':
      return [
        verb('Round'),
        words(' '),
        edgeChoice(step, steps),
        words(' by '),
        chip('size', 'round', step.size),
      ];
  }
}

/** The verb alone, and what it does, for the list that a new step is chosen from. */
export const STEP_VERBS: Record<StepKind, { verb: string; what: string }> = {
  turn: { verb: 'Turn', what: 'a wheel or a pin, round the axle line' },
  plate: { verb: 'Lay', what: 'a plate with rounded corners' },
  peg: { verb: 'Raise', what: 'a peg on the top' },
  groove: { verb: 'Cut', what: 'a groove round the rim' },
  raise: { verb: 'Raise or cut', what: 'an outline: circle, slot, rectangle, polygon' },
  cone: { verb: 'Set a cone', what: 'or cut one out, as for a countersunk head' },
  ball: { verb: 'Set a ball', what: 'or cut one out' },
  ring: { verb: 'Set a ring', what: 'of round section, or cut its groove' },
  repeat: { verb: 'Repeat', what: 'a step in a row, round the axle line, or at the points of a layout' },
  mirror: { verb: 'Mirror', what: 'all that is there' },
  stations: { verb: 'Turn through stations', what: 'a handle, a grip or a plug as calipers take it' },
  hollow: { verb: 'Hollow', what: 'it to an even wall' },
  drill: { verb: 'Drill', what: 'a hole, right through or part of the way' },
  ease: { verb: 'Ease', what: 'edges with a flat at 45°' },
  round: { verb: 'Round', what: 'edges' },
};

/** A sentence with its numbers filled in, for a screen reader and for plain text. */
export function spokenSentence(parts: readonly SentencePart[], show: (value: Value) => string): string {
  return parts.map((part) => (part.kind === 'chip' ? show(part.value) : part.text)).join('');
}
