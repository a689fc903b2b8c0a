import { fitOfTag, parseFormula, tagsIn } from '@core/foundations/formula';
import { valuesIn, type RepairState, type Source, type Step, type Value } from '@core/record/model';

/** A place where a size, fit or layout is used. */
export interface Use {
  kind: 'step' | 'size' | 'layout' | 'fit' | 'chain';
  /** The body, size, layout, fit or chain that uses it. */
  id: string;
  /** In words: "Wheel, step 3". */
  words: string;
  /** Which step of the body. */
  stepId?: string;
}

export type Used = { from: 'size' | 'fit' | 'layout'; id: string };

/**
 * Everything whose numbers lead to a size, fit or layout. A size that reaches the recipe through a fit is found
 * by the fit's id.
 */
export function usesOf(state: RepairState, { from, id }: Used): Use[] {
  const tag = from === 'size' ? (state.sizes.find((size) => size.id === id)?.tag ?? null) : null;
  const fit = from === 'fit' ? state.fits.find((one) => one.id === id) : undefined;
  const fitted = fit && state.sizes.find((size) => size.id === fit.counterpartSizeId)?.tag;
  const names = (name: string) => {
    const named = fitOfTag(name);
    if (!named) return name === tag;
    const isWord = named.word === null || named.word === fit?.feature || named.word === fit?.fitClass;
    return fitted !== undefined && named.tag === fitted && isWord;
  };
  const inFormula = (text: string) => {
    const expression = tag === null && fitted === undefined ? null : parseFormula(text);
    return expression?.ok === true && tagsIn(expression.value).some(names);
  };
  const isIt = (value: Value) =>
    value.from === 'formula'
      ? inFormula(value.text)
      : value.from === from && 'id' in value && value.id === id;
  const isLaidOutBy = (step: Step) =>
    from === 'layout' && step.kind === 'pattern' && step.pattern.by === 'layout' && step.pattern.id === id;
  const isSource = (source: Source | null) => from === 'size' && source?.from === 'size' && source.id === id;
  const current = <T extends { removed: boolean }>(rows: readonly T[]) => rows.filter((row) => !row.removed);
  return [
    ...current(state.sizes).flatMap((size): Use[] => {
      const { derivation } = size;
      if (size.kind !== 'derived' || !derivation) return [];
      const uses =
        derivation.by === 'formula'
          ? inFormula(derivation.text)
          : Object.values(derivation.inputs).some(isSource);
      return uses ? [{ kind: 'size', id: size.id, words: `size ${size.tag}` }] : [];
    }),
    ...current(state.layouts).flatMap((layout): Use[] =>
      layout.points.some(({ diameter }) => isSource(diameter)) ||
      layout.distances.some(({ source }) => isSource(source))
        ? [{ kind: 'layout', id: layout.id, words: `layout ${layout.name}` }]
        : [],
    ),
    ...current(state.fits).flatMap((fit): Use[] =>
      from === 'size' && [fit.counterpartSizeId, ...(fit.alsoSizeIds ?? [])].includes(id)
        ? [{ kind: 'fit', id: fit.id, words: `fit ${fit.name}` }]
        : [],
    ),
    ...current(state.chains).flatMap((chain): Use[] =>
      chain.links.some(({ value }) => value.from === from && value.id === id)
        ? [{ kind: 'chain', id: chain.id, words: `chain ${chain.name}` }]
        : [],
    ),
    ...current(state.bodies).flatMap((body) =>
      body.steps.flatMap((step, index): Use[] =>
        valuesIn(step).some(isIt) || isLaidOutBy(step)
          ? [{ kind: 'step', id: body.id, words: `${body.name}, step ${index + 1}`, stepId: step.id }]
          : [],
      ),
    ),
  ];
}
