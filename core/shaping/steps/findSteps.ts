import { factsOfKind, STEP_KINDS, type Step, type StepKind } from '@core/record/model';

import { menuOf } from './kinds';

/** What else a kind of step is looked for by: everyday words of what it is for. */
const ALSO: Readonly<Record<StepKind, string>> = {
  disc: 'disc wheel roller pin axle shaft rod bush spacer washer knob round cylinder',
  plate: 'plate base flange cover lid strip bracket',
  extrude: 'block bar box slot strap opening window pocket rib wall arm lever gear rack cylinder extrude',
  peg: 'pin stud post boss spigot dowel',
  stations: 'knob file handle chisel bulge taper turned lathe leg foot',
  loft: 'adapter hose funnel transition square to round reducer',
  sweep: 'bar hook tube pipe rail rim gasket seal clip sweep',
  wedge: 'ramp slope rib gusset doorstop shim',
  cone: 'taper point funnel countersunk countersink',
  sphere: 'ball socket joint knob dome',
  torus: 'o-ring oring bead washer',
  revolve: 'revolve bend elbow pulley cup cap ring',
  tongue: 'snap clip latch catch spring hook',
  bump: 'snap detent catch click bead latch',
  text: 'text letters label number engrave stamp writing mark',
  hole: 'bore screw bolt bearing seat nut insert magnet countersink counterbore axle pin socket',
  thread: 'screw bolt nut tap die cap bottle pipe hose',
  groove: 'belt pulley o-ring oring circlip snap ring',
  body: 'pocket recess fit counterpart mould cradle subtract union intersect boolean',
  pattern: 'array row circle copies spokes again pitch',
  mirror: 'symmetric left right hand other side',
  chamfer: 'chamfer bevel break corner',
  fillet: 'fillet radius corner smooth',
  shell: 'shell box case cover wall thin',
  draft: 'draft taper mould',
  offset: 'offset thicken thinner clearance grow shrink',
  move: 'rotate shift scale shrinkage place',
  split: 'halves cut strap slot cable tie pegs dowels large bed',
};

const wordsOf = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}-]+/gu) ?? [];

/**
 * Kinds of steps that are meant by what is typed: each word begins one of their verb, of what they do, or of what they are for.
 */
export function findSteps(typed: string, among: readonly StepKind[] = STEP_KINDS): StepKind[] {
  const wanted = wordsOf(typed).filter((word) => !SMALL_WORDS.has(word));
  return among.filter((kind) => {
    const { verb, what } = menuOf(kind);
    const own = wordsOf(`${verb} ${what} ${ALSO[kind]}`);
    return wanted.every((word) => own.some((one) => one.startsWith(word)));
  });
}

const SMALL_WORDS = new Set(['a', 'an', 'the', 'for', 'of', 'in', 'on', 'with', 'to']);

/** What mostly follows on a step, the likeliest first. */
export function likelyNext(before: readonly Step[]): StepKind[] {
  const last = before.filter(({ off }) => !off).at(-1);
  if (!last) return [];
  const { makes, dresses, effect } = factsOfKind(last.kind);
  if (dresses) return ['hole', 'extrude', 'text'];
  if (makes !== 'solid') return ['fillet', 'hole', 'chamfer'];
  return effect?.(last as never) === 'cut'
    ? ['pattern', 'chamfer', 'extrude']
    : ['hole', 'extrude', 'fillet'];
}
