import { evaluateRepair, type EvaluatedRepair } from '@core/fitting/fit';
import type { Fit, FrozenFigures, PlainNumber, RepairState, Step, Value, Workshop } from '@core/record/model';
import { RAD_PER_DEGREE, tidy, type Quantity } from '@core/foundations/quantity';
import { dataAt } from '@core/shaping/recipe';
import { degrees, type SentencePart } from '@core/shaping/sentence';
import { stepSentence } from '@core/shaping/steps';
import { fitClassOf } from '@core/reporting/wording';
import { isSameLength } from '@core/foundations/tolerance';

/** One side of a comparison: a frozen revision, or the repair as it stands with what was last built. */
export interface Compared {
  state: RepairState;
  workshop: Workshop;
  figures: readonly FrozenFigures[];
}

/** One thing that differs. Null stands for "not there". */
export interface Difference {
  group: 'size' | 'fit' | 'recipe' | 'figure';
  /** What it is: tag and name, or the part and the figure. */
  label: string;
  from: number | string | null;
  to: number | string | null;
  unit: 'mm' | '°' | 'mm³' | 'g' | '';
}

/** What differs from one side to the other, by number, in the order of the work. Rows that agree are left out. */
export function compare(from: Compared, to: Compared): Difference[] {
  const [before, after] = [evaluateRepair(from.state, from.workshop), evaluateRepair(to.state, to.workshop)];
  return [
    ...compareSizes(before, after),
    ...compareFits(before, after),
    ...compareRecipes(from.state, to.state, before, after),
    ...compareFigures(from, to),
  ].filter((row) => !same(row.from, row.to));
}

const same = (a: Difference['from'], b: Difference['from']) =>
  typeof a === 'number' && typeof b === 'number' ? isSameLength(a, b) : a === b;

/** Keys of both maps, those of the second last. */
const keysOfBoth = (a: ReadonlyMap<string, unknown>, b: ReadonlyMap<string, unknown>) => [
  ...new Set([...a.keys(), ...b.keys()]),
];

const UNITS: Record<Quantity, Difference['unit']> = { length: 'mm', angle: '°', count: '' };

function compareSizes(before: EvaluatedRepair, after: EvaluatedRepair): Difference[] {
  const working = (numbers: EvaluatedRepair, id: string) => {
    const worked = numbers.sizes.get(id)?.worked;
    if (!worked?.ok) return null;
    const { working, quantity } = worked.trail;
    return quantity === 'angle' ? working / RAD_PER_DEGREE : working;
  };
  return keysOfBoth(before.sizes, after.sizes).map((id) => {
    const { size } = (after.sizes.get(id) ?? before.sizes.get(id))!;
    return {
      group: 'size',
      label: `${size.tag} ${size.name}`,
      from: working(before, id),
      to: working(after, id),
      unit: UNITS[size.quantity],
    };
  });
}

const wordOf = (fit: Fit) => (fit.iso ? `${fit.iso.hole}/${fit.iso.shaft}` : fitClassOf(fit.fitClass).word);

function compareFits(before: EvaluatedRepair, after: EvaluatedRepair): Difference[] {
  return keysOfBoth(before.fits, after.fits).flatMap((id): Difference[] => {
    const [old, now] = [before.fits.get(id), after.fits.get(id)];
    const { name } = (now ?? old)!.fit;
    const word = (side: typeof old) => (side ? wordOf(side.fit) : null);
    const allowance = (side: typeof old) =>
      side?.worked.ok
        ? tidy(
            side.worked.trail.entries
              .filter((entry) => entry.kind === 'allowance')
              .reduce((sum, entry) => sum + entry.value, 0),
          )
        : null;
    const working = (side: typeof old) => (side?.worked.ok ? side.worked.trail.working : null);
    return [
      { group: 'fit', label: `${name}, how freely`, from: word(old), to: word(now), unit: '' },
      { group: 'fit', label: `${name}, allowance`, from: allowance(old), to: allowance(now), unit: 'mm' },
      { group: 'fit', label: `${name}, working size`, from: working(old), to: working(now), unit: 'mm' },
    ];
  });
}

function compareRecipes(
  from: RepairState,
  to: RepairState,
  before: EvaluatedRepair,
  after: EvaluatedRepair,
): Difference[] {
  const bodies = new Map<string, string>();
  for (const body of [...from.bodies, ...to.bodies]) if (!body.removed) bodies.set(body.id, body.name);
  return [...bodies].flatMap(([id, name]) => {
    const steps = (state: RepairState) =>
      state.bodies.find((body) => body.id === id && !body.removed)?.steps ?? [];
    const [old, now] = [steps(from), steps(to)];
    const ids = [...new Set([...old, ...now].map((step) => step.id))];
    return ids.flatMap((stepId) =>
      compareStep(
        name,
        { step: old.find((step) => step.id === stepId), steps: old, numbers: before },
        { step: now.find((step) => step.id === stepId), steps: now, numbers: after },
      ),
    );
  });
}

interface StepSide {
  step: Step | undefined;
  steps: readonly Step[];
  numbers: EvaluatedRepair;
}

/** A step that came or went is one row; of one that stayed, each typed number and each choice that changed. */
function compareStep(bodyName: string, old: StepSide, now: StepSide): Difference[] {
  const partsOf = ({ step, steps }: StepSide) => (step ? stepSentence(step, steps) : []);
  const [oldParts, nowParts] = [partsOf(old), partsOf(now)];
  const label = `${bodyName}: ${titleOf(nowParts) || titleOf(oldParts)}`;
  const row = (what: string, from: Difference['from'], to: Difference['to'], unit: Difference['unit']) =>
    ({ group: 'recipe', label: what ? `${label}, ${what}` : label, from, to, unit }) as const;
  if (!old.step || !now.step) return [row('', old.step ? 'there' : null, now.step ? 'there' : null, '')];
  const all = [...oldParts, ...nowParts];
  const fields = new Map(
    all.flatMap((part) =>
      'field' in part && part.kind !== 'rows' && part.kind !== 'drawing' ? [[part.field, part] as const] : [],
    ),
  );
  const choices = new Set(all.flatMap((part) => (part.kind === 'choice' ? [part.what] : [])));
  const chosen = (parts: readonly SentencePart[], what: string) =>
    parts.find((part) => part.kind === 'choice' && part.what === what) as { text: string } | undefined;
  const switched = (step: Step) => (step.off ? 'yes' : 'no');
  return [
    row('switched off', switched(old.step), switched(now.step), ''),
    ...[...choices].map((what) =>
      row(what, chosen(oldParts, what)?.text ?? null, chosen(nowParts, what)?.text ?? null, ''),
    ),
    ...[...fields].map(([field, part]) => {
      const [before, after] = [old, now].map((side) =>
        typedNumber(side, field, part.kind !== 'chip' && part.input === 'angle'),
      );
      return row(part.what, before!, after!, part.kind === 'chip' ? 'mm' : '');
    }),
  ];
}

/** What a step does, up to its first number. */
function titleOf(parts: readonly SentencePart[]): string {
  const first = parts.findIndex(({ kind }) => kind === 'chip' || kind === 'taken');
  return parts
    .slice(0, first < 0 ? parts.length : first)
    .map((part) => ('text' in part ? part.text : ''))
    .join('')
    .trim();
}

/** The number of a chip, if it was typed there; sizes and fits have rows of their own, by their tag. */
function typedNumber({ step, numbers }: StepSide, field: string, isAngle: boolean): number | string | null {
  const value = step && (dataAt(step, field) as Value | PlainNumber | string | undefined);
  if (value === undefined) return null;
  if (typeof value === 'number') return isAngle ? degrees(value) : value;
  if (typeof value === 'string') return value === 'through' ? 'right through' : value;
  switch (value.from) {
    case 'number':
      return value.mm;
    case 'formula':
      return value.text;
    case 'size':
      return numbers.sizes.get(value.id)?.size.tag ?? 'gone';
    case 'fit':
      return numbers.fits.get(value.id)?.fit.name ?? 'gone';
    case 'layout': {
      const found = numbers.layouts.get(value.id);
      const point = found?.layout.points.find(({ id }) => id === value.point);
      return found && point ? `${found.layout.name}, ${point.label} ${value.axis}` : 'gone';
    }
  }
}

function compareFigures(from: Compared, to: Compared): Difference[] {
  const ids = new Set([...from.figures, ...to.figures].map((figure) => figure.bodyId));
  return [...ids].flatMap((id): Difference[] => {
    const name = [...to.state.bodies, ...from.state.bodies].find((body) => body.id === id)?.name ?? 'Part';
    const [old, now] = [from, to].map((side) => side.figures.find((figure) => figure.bodyId === id));
    const row = (
      what: string,
      unit: Difference['unit'],
      pick: (figure: FrozenFigures) => number,
    ): Difference => ({
      group: 'figure',
      label: `${name}: ${what}`,
      from: old ? pick(old) : null,
      to: now ? pick(now) : null,
      unit,
    });
    return [
      row('volume', 'mm³', (figure) => figure.volumeMm3),
      row('weight', 'g', (figure) => figure.massG),
      row('outside, left to right', 'mm', (figure) => figure.bboxMm[0]),
      row('outside, front to back', 'mm', (figure) => figure.bboxMm[1]),
      row('outside, height', 'mm', (figure) => figure.bboxMm[2]),
    ];
  });
}
