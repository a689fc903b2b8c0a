import type { EvaluatedRepair } from '@core/fit';
import {
  fitValue,
  numberValue,
  sizeValue,
  valuesIn,
  type Body,
  type EdgeRule,
  type RepairState,
  type Step,
  type StepKind,
  type Value,
} from '@core/model';

/** What a new step may take its numbers from. */
export interface StepContext {
  body: Body;
  state: RepairState;
  numbers: EvaluatedRepair;
  /** Letter of the revision that will be frozen next: what is mostly written on a part. */
  nextRevision?: string;
}

/** Words in the names of sizes that say what they are sizes of, in any order of likelihood. */
const CLUES = {
  across: /across|outside|rim|diameter|round|\bod\b/i,
  width: /width|wide|thick|high|height|tall/i,
  length: /length|long/i,
  depth: /deep|depth/i,
};

/**
 * A step of a kind, with numbers guessed from sizes that no step uses yet: by the words in their names first,
 * then in the order of their tags. What cannot be guessed gets a plain number. Every guess can be changed.
 */
export function newStep(kind: StepKind, context: StepContext, id: string): Step {
  const guess = new Guess(context);
  const { steps } = context.body;
  const lastOf = (...kinds: StepKind[]) => steps.filter((step) => kinds.includes(step.kind)).at(-1)?.id;
  const on = steps.length === 0 ? ('bottom' as const) : ('top' as const);
  const middle = { x: numberValue(0), y: numberValue(0) };
  /** The first wheel or plate lies on the ground, a later one on what is there. */
  const later = steps.length === 0 ? {} : { on, ...middle };
  switch (kind) {
    case 'turn':
      return { id, kind, diameter: guess.size('across', 30), width: guess.size('width', 10), ...later };
    case 'plate':
      return {
        id,
        kind,
        length: guess.size('length', 40),
        breadth: guess.size('width', 20),
        thickness: guess.size('width', 3),
        cornerRadius: numberValue(2),
        ...later,
      };
    case 'peg':
      return { id, kind, diameter: guess.size('across', 10), height: guess.size('width', 5), ...middle };
    case 'groove':
      return {
        id,
        kind,
        rimOf: lastOf('turn') ?? '',
        width: guess.named(/groove.*(width|wide)/i, 3),
        depth: guess.named(/groove.*(depth|deep)/i, 2),
      };
    case 'raise':
      return {
        id,
        kind,
        effect: steps.length === 0 ? 'add' : 'cut',
        outline: { shape: 'circle', diameter: guess.size('across', 10) },
        turn: 0,
        height: steps.length === 0 ? guess.size('width', 5) : 'through',
        on,
        ...middle,
      };
    case 'cone':
      return {
        id,
        kind,
        effect: 'add',
        lower: guess.size('across', 10),
        upper: numberValue(5),
        height: guess.size('width', 5),
        on,
        ...middle,
      };
    case 'ball':
      return {
        id,
        kind,
        effect: 'add',
        diameter: guess.size('across', 10),
        up: numberValue(0),
        on,
        ...middle,
      };
    case 'ring':
      return {
        id,
        kind,
        effect: 'add',
        across: guess.size('across', 20),
        thick: numberValue(3),
        up: numberValue(0),
        on,
        ...middle,
      };
    case 'drill':
      return { id, kind, diameter: guess.fit(5), depth: 'through', ...middle };
    case 'repeat':
      return {
        id,
        kind,
        of: lastOf('drill', 'raise', 'peg', 'cone', 'ball', 'ring') ?? steps.at(-1)?.id ?? id,
        pattern: { by: 'row', count: 2, dx: numberValue(10), dy: numberValue(0) },
      };
    case 'hollow':
      return { id, kind, wall: guess.named(/wall/i, 2), open: 'top' };
    case 'stations':
      return {
        id,
        kind,
        effect: 'add',
        rows: [
          { at: numberValue(0), diameter: guess.size('across', 20) },
          { at: numberValue(20), diameter: guess.size('across', 24) },
          { at: numberValue(40), diameter: guess.size('across', 16) },
        ],
        between: 'smooth',
        on,
        ...middle,
      };
    case 'wedge':
      return {
        id,
        kind,
        effect: 'add',
        length: guess.size('length', 20),
        breadth: guess.size('width', 10),
        low: numberValue(0),
        high: numberValue(5),
        turn: 0,
        on,
        ...middle,
      };
    case 'spin':
      return {
        id,
        kind,
        effect: 'add',
        outline: {
          shape: 'rectangle',
          length: numberValue(4),
          breadth: numberValue(6),
          cornerRadius: numberValue(0),
        },
        away: guess.size('across', 15),
        up: numberValue(3),
        angle: Math.PI,
        turn: 0,
        on,
        ...middle,
      };
    case 'blend': {
      const section = (diameter: number, at: number) => ({
        outline: { shape: 'circle' as const, diameter: guess.size('across', diameter) },
        at: numberValue(at),
        x: numberValue(0),
        y: numberValue(0),
        turn: 0,
      });
      return {
        id,
        kind,
        effect: 'add',
        sections: [section(20, 0), section(12, 20)],
        between: 'straight',
        on,
        ...middle,
      };
    }
    case 'run': {
      const point = (x: number, y: number, up: number) => ({
        x: numberValue(x),
        y: numberValue(y),
        up: numberValue(up),
      });
      return {
        id,
        kind,
        effect: 'add',
        outline: { shape: 'circle', diameter: guess.size('across', 5) },
        path: [point(0, 0, 0), point(0, 0, 20), point(40, 0, 20), point(40, 0, 0)],
        bend: numberValue(6),
        along: 'straight',
        closed: false,
        on,
        ...middle,
      };
    }
    case 'thread':
      return {
        id,
        kind,
        side: steps.length === 0 ? 'outside' : 'inside',
        size: 'M8',
        length: steps.length === 0 ? guess.size('length', 12) : 'through',
        play: numberValue(0.1),
        made: 'modelled',
        on,
        ...middle,
      };
    case 'text':
      return {
        id,
        kind,
        effect: 'add',
        text: context.nextRevision ?? 'A',
        height: numberValue(5),
        depth: numberValue(0.6),
        turn: 0,
        on,
        ...middle,
      };
    case 'tongue':
      return {
        id,
        kind,
        effect: 'add',
        length: numberValue(15),
        breadth: numberValue(6),
        thickness: numberValue(1.5),
        bump: numberValue(0.8),
        play: numberValue(0.2),
        turn: 0,
        on,
        ...middle,
      };
    case 'bump':
      return {
        id,
        kind,
        effect: 'add',
        breadth: numberValue(6),
        bump: numberValue(0.8),
        play: numberValue(0.2),
        turn: 0,
        on,
        ...middle,
      };
    case 'body': {
      const others = context.state.bodies.filter((other) => !other.removed && other.id !== context.body.id);
      const of = others.find(({ role }) => role === 'counterpart') ?? others[0];
      return { id, kind, of: of?.id ?? id, effect: 'cut', grow: numberValue(0.2), wayIn: 'top' };
    }
    case 'faces':
      return { id, kind, of: 'all', by: numberValue(-0.1) };
    case 'taper':
      return {
        id,
        kind,
        of: lastOf('raise', 'plate') ?? steps.at(-1)?.id ?? id,
        angle: Math.PI / 60,
        held: 'bottom',
      };
    case 'move':
      return {
        id,
        kind,
        dx: numberValue(10),
        dy: numberValue(0),
        dz: numberValue(0),
        axis: 'z',
        turn: 0,
        scale: 1,
      };
    case 'split':
      return { id, kind, axis: 'z', at: numberValue(1), keep: 'low', gap: numberValue(10) };
    case 'mirror':
      return { id, kind, across: 'sides', keep: 'both' };
    case 'ease':
    case 'round': {
      const rules = steps.flatMap((step) =>
        step.kind === 'ease' || step.kind === 'round' ? [step.where] : [],
      );
      const isDressed = (edges: EdgeRule['edges'], of: string) =>
        rules.some((rule) => rule.edges === edges && 'of' in rule && rule.of === of);
      const hole = lastOf('drill');
      // The outermost that is left; where all are done, the corners that fingers and loads find.
      const outer = steps
        .filter((step) => ['turn', 'plate', 'peg', 'raise', 'cone'].includes(step.kind))
        .filter((step) => !isDressed('rims', step.id))
        .at(-1)?.id;
      const where: EdgeRule =
        hole && !isDressed('mouths', hole)
          ? { edges: 'mouths', of: hole }
          : outer
            ? { edges: 'rims', of: outer }
            : { edges: 'insides' };
      return { id, kind, size: numberValue(kind === 'ease' ? 0.4 : 1), where };
    }
  }
}

/** Finds unused sizes and fits; each is handed out once. */
class Guess {
  #used: Set<string>;
  /** A spare is guessed from the piece's sizes, a counterpart from its own. */
  #of: 'piece' | 'counterpart';

  constructor(private readonly context: StepContext) {
    const { state, body } = context;
    const values = state.bodies
      .filter((other) => !other.removed && other.role === body.role)
      .flatMap((other) => other.steps.flatMap(valuesIn));
    // What a layout is measured by says where things are, not how large they are.
    const laidOut = state.layouts.flatMap(({ distances }) => distances.map(({ source }) => source));
    this.#used = new Set([...values, ...laidOut].flatMap((one) => ('id' in one ? [one.id] : [])));
    this.#of = body.role === 'spare' ? 'piece' : 'counterpart';
  }

  size(clue: keyof typeof CLUES, otherwiseMm: number): Value {
    const free = this.#free();
    // A groove's width is not the width of the wheel.
    const plain = free.filter((size) => !/groove/i.test(size.name));
    const found =
      plain.find((size) => CLUES[clue].test(size.name)) ?? plain.find((size) => !anyClue(size.name));
    return this.#take(found?.id, otherwiseMm);
  }

  named(pattern: RegExp, otherwiseMm: number): Value {
    return this.#take(this.#free().find((size) => pattern.test(size.name))?.id, otherwiseMm);
  }

  fit(otherwiseMm: number): Value {
    const fits = [...this.context.numbers.fits.values()].map(({ fit }) => fit);
    const found = fits.find((fit) => fit.feature === 'bore' && !this.#used.has(fit.id));
    if (found) return fitValue(found.id);
    const inside = this.#free().find(({ jaw, name }) => jaw === 'inside' && /hole|bore/i.test(name));
    return this.#take(inside?.id, otherwiseMm);
  }

  #free() {
    return [...this.context.numbers.sizes.values()]
      .map(({ size }) => size)
      .filter((size) => size.of === this.#of && !this.#used.has(size.id));
  }

  #take(id: string | undefined, otherwiseMm: number): Value {
    if (id === undefined) return numberValue(otherwiseMm);
    this.#used.add(id);
    return sizeValue(id);
  }
}

const anyClue = (name: string) => Object.values(CLUES).some((clue) => clue.test(name));
