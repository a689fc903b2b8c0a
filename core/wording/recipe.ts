import type { EdgeRule, Step, StepKind, Value } from '@core/model';

/** A piece of a recipe sentence: the verb, plain words, or a number that can be tapped. */
export type SentencePart =
  | { kind: 'verb'; text: string }
  | { kind: 'words'; text: string }
  | { kind: 'chip'; field: string; what: string; value: Value };

const verb = (text: string): SentencePart => ({ kind: 'verb', text });
const words = (text: string): SentencePart => ({ kind: 'words', text });
const chip = (field: string, what: string, value: Value): SentencePart => ({
  kind: 'chip',
  field,
  what,
  value,
});

/** Where edges are, in words; `steps` are the steps before, for naming the one meant. */
function edgeWords(rule: EdgeRule, steps: readonly Step[]): string {
  const of = steps.find((step) => step.id === rule.of);
  if (rule.edges === 'mouths') return 'both mouths of the hole';
  return of?.kind === 'plate' ? 'the top and bottom edges of the plate' : 'the outer edges';
}

const isZero = (value: Value) => value.from === 'number' && value.mm === 0;

function placeWords(step: { x: Value; y: Value }): SentencePart[] {
  if (isZero(step.x) && isZero(step.y)) return [words(', on the axle line')];
  return [
    words(', '),
    chip('x', 'place to the right', step.x),
    words(' right and '),
    chip('y', 'place to the back', step.y),
    words(' back of the axle line'),
  ];
}

/** A step as a sentence that reads aloud. */
export function stepSentence(step: Step, steps: readonly Step[]): SentencePart[] {
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
        ...(step.depth === 'through'
          ? [words(' right through')]
          : [words(' '), chip('depth', 'depth', step.depth), words(' deep from the top')]),
        ...placeWords(step),
      ];
    case 'ease':
      return [verb('Ease'), words(` ${edgeWords(step.where, steps)} by `), chip('size', 'ease', step.size)];
    case 'round':
      return [verb('Round'), words(` ${edgeWords(step.where, steps)} by `), chip('size', 'round', step.size)];
  }
}

/** The verb alone, and what it does, for the list that a new step is chosen from. */
export const STEP_VERBS: Record<StepKind, { verb: string; what: string }> = {
  turn: { verb: 'Turn', what: 'a wheel or a pin, round the axle line' },
  plate: { verb: 'Lay', what: 'a plate with rounded corners' },
  peg: { verb: 'Raise', what: 'a peg on the top' },
  groove: { verb: 'Cut', what: 'a groove round the rim' },
  drill: { verb: 'Drill', what: 'a hole, right through or part of the way' },
  ease: { verb: 'Ease', what: 'edges with a flat at 45°' },
  round: { verb: 'Round', what: 'edges' },
};

/** A sentence with its numbers filled in, for a screen reader and for plain text. */
export function spokenSentence(parts: readonly SentencePart[], show: (value: Value) => string): string {
  return parts.map((part) => (part.kind === 'chip' ? show(part.value) : part.text)).join('');
}
