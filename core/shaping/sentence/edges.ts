import { edgesOfferedBy, type EdgeRule, type OwnEdges, type Step, type StepOf } from '@core/record/model';

import { choice, type ChoiceFigure, type Option, type SentencePart } from './parts';

/** Where edges are, in words; `steps` are those of the recipe, for naming the one meant. */
function edgeWords(rule: EdgeRule, steps: readonly Step[]): string {
  const stepWord = (id: string) => {
    const place = steps.findIndex((step) => step.id === id);
    return place < 0 ? 'a missing step' : `step ${place + 1}`;
  };
  switch (rule.edges) {
    case 'insides':
      return 'every hollow corner';
    case 'face':
      return 'the edges round the face that was picked';
    case 'picked':
      return rule.picks.length === 1
        ? 'the edge that was picked'
        : `the ${rule.picks.length} edges that were picked`;
    case 'between':
      return `the edges where ${stepWord(rule.of)} meets ${stepWord(rule.and)}`;
    case 'all':
      return `all edges of ${stepWord(rule.of)}`;
    case 'mouths':
      return `both mouths of the hole${onlyOne(steps, isHole) ? '' : ` of ${stepWord(rule.of)}`}`;
    case 'upright':
      return `the upright edges of ${stepWord(rule.of)}`;
    case 'rims': {
      if (rule.end) return `the outer edges of ${stepWord(rule.of)} at its ${rule.end}`;
      const isPlate = steps.find(({ id }) => id === rule.of)?.kind === 'plate';
      if (isPlate) return 'the top and bottom edges of the plate';
      return `the outer edges${onlyOne(steps, hasRims) ? '' : ` of ${stepWord(rule.of)}`}`;
    }
  }
}

/** How a rule is drawn; edges that were picked are seen on the part alone. */
function edgeFigure(rule: EdgeRule): ChoiceFigure | null {
  switch (rule.edges) {
    case 'insides':
      return 'edgesInsides';
    case 'between':
      return 'edgesBetween';
    case 'all':
      return 'edgesAll';
    case 'mouths':
      return 'edgesMouths';
    case 'upright':
      return 'edgesUpright';
    case 'rims':
      return rule.end === 'top' ? 'edgesTop' : rule.end === 'bottom' ? 'edgesBottom' : 'edgesRims';
    case 'face':
    case 'picked':
      return null;
  }
}

const offers = (edges: OwnEdges) => (step: Step) => edgesOfferedBy(step).includes(edges);
const [isHole, makesFaces] = [offers('mouths'), offers('all')];
const hasRims = (step: Step) => offers('rims')(step) || offers('ends')(step);
const onlyOne = (steps: readonly Step[], wanted: (step: Step) => boolean) => steps.filter(wanted).length < 2;

interface Grouped {
  rule: EdgeRule;
  group: string;
}

/** The rules that a step's own edges can be told by. */
const rulesOf = (step: Step): EdgeRule[] =>
  edgesOfferedBy(step).flatMap((edges): EdgeRule[] =>
    edges === 'rims'
      ? [
          { edges, of: step.id },
          { edges, of: step.id, end: 'top' },
          { edges, of: step.id, end: 'bottom' },
        ]
      : [{ edges: edges === 'ends' ? 'rims' : edges, of: step.id }],
  );

/** The edges that a step may take: by rule, of all steps before it, or picked. */
export function edgeChoice(step: StepOf<'chamfer' | 'fillet'>, steps: readonly Step[]): SentencePart {
  const rule = step.where;
  const before = stepsBefore(step, steps);
  const own = before.flatMap((earlier): Grouped[] =>
    rulesOf(earlier).map((rule) => ({ rule, group: `Step ${steps.indexOf(earlier) + 1}` })),
  );
  const between = before.flatMap((earlier, index): Grouped[] =>
    before
      .slice(0, index)
      .filter((other) => makesFaces(other) && makesFaces(earlier))
      .map((other) => ({
        rule: { edges: 'between', of: other.id, and: earlier.id },
        group: 'Where two steps meet',
      })),
  );
  const anywhere = 'Anywhere on the part';
  const insides: Grouped[] = before.length > 0 ? [{ rule: { edges: 'insides' }, group: anywhere }] : [];
  const same = (other: unknown) => JSON.stringify(other) === JSON.stringify(rule);
  const offered = [...own, ...between, ...insides];
  const all = offered.some((one) => same(one.rule)) ? offered : [{ rule, group: 'As it is' }, ...offered];
  const picks: Option[] = [
    {
      word: 'Pick edges on the part',
      patch: {},
      pick: { field: 'where', picks: 'edges' },
      group: anywhere,
    },
    {
      word: 'Pick a face, for the edges round it',
      patch: {},
      pick: { field: 'where', picks: 'rim' },
      group: anywhere,
    },
  ];
  return choice('which edges', ({ patch }) => same(patch.where), [
    ...all.map((one): Option => {
      const figure = edgeFigure(one.rule);
      return {
        word: edgeWords(one.rule, steps),
        patch: { where: one.rule },
        group: one.group,
        ...(figure ? { figure } : {}),
      };
    }),
    ...picks,
  ]);
}

/** Steps of the recipe before one of it; all of them for one that is not there. */
export function stepsBefore({ id }: Step, steps: readonly Step[]): readonly Step[] {
  const own = steps.findIndex((step) => step.id === id);
  return steps.slice(0, own < 0 ? steps.length : own);
}
