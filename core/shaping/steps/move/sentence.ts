import { type StepOf, isTaken } from '@core/record/model';
import {
  type Option,
  type SentencePart,
  angle,
  chip,
  choice,
  plainNumber,
  setting,
  verb,
  words,
} from '@core/shaping/sentence';

/** In the list that a new step is chosen from: its verb, and what it does. */
export const menu = { verb: 'Move', what: 'turn or scale the whole part' };

export function sentence(step: StepOf<'move'>): SentencePart[] {
  return [
    verb('Move'),
    words(' the whole part '),
    chip('dx', 'distance to the right', step.dx),
    words(' right, '),
    chip('dy', 'distance to the back', step.dy),
    words(' back, '),
    chip('dz', 'distance up', step.dz),
    words(' up, turned '),
    angle('turn', 'turn', step.turn),
    words(' about the '),
    setting('axis', 'the axis', step.axis, [
      ['z', 'upright axis'],
      ['x', 'axis to the right'],
      ['y', 'axis to the back'],
    ]),
    words(', scaled '),
    ...scaleParts(step),
  ];
}

/** Once for all ways, or each direction by its own, as what shrinks unevenly asks for. */
function scaleParts({ scale }: StepOf<'move'>): SentencePart[] {
  const isEven = typeof scale === 'number' || isTaken(scale);
  const ways = isEven ? { x: scale, y: scale, z: scale } : scale;
  const every: Option = { word: 'times in all directions', patch: { scale: ways.x } };
  const own: Option = { word: 'each direction by its own', patch: { scale: ways } };
  const how = choice('how it is scaled', (option) => (option === every) === isEven, [every, own]);
  if (isEven) return [...plainNumber('scale', 'scale', scale, 'factor'), words(' '), how];
  return [
    how,
    words(': '),
    ...plainNumber('scale.x', 'scale to the right', scale.x, 'factor'),
    words(' to the right, '),
    ...plainNumber('scale.y', 'scale to the back', scale.y, 'factor'),
    words(' to the back and '),
    ...plainNumber('scale.z', 'scale up', scale.z, 'factor'),
    words(' up'),
  ];
}
