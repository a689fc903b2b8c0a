import { fitOfTag, parseFormula, tagsIn } from '@core/foundations/formula';
import { valuesIn, type RepairState, type Source, type Step, type Value } from '@core/record/model';

/** A place where a size, fit or layout is used. */
export type Use =
  | { kind: 'size'; id: string; tag: string }
  | { kind: 'layout' | 'fit' | 'chain'; id: string; name: string }
  /** `id` and `name` are its body's; `place` is its place in the recipe, from 1. */
  | { kind: 'step'; id: string; name: string; place: number; stepId: string };

export type Used = { from: 'size' | 'fit' | 'layout'; id: string };

/**
 * Everything whose numbers lead to a size, fit or layout. A size that reaches the recipe through a fit is found
 * by the fit's id.
 */
export function usesOf(state: RepairState, used: Used): Use[] {
  const { isValue, isSource, isFormula, isLaidOut } = matching(state, used);
  const isFitted = (ids: readonly string[]) => used.from === 'size' && ids.includes(used.id);
  return [
    ...current(state.sizes).flatMap(({ id, tag, kind, derivation }): Use[] => {
      if (kind !== 'derived' || !derivation) return [];
      const isUsed =
        derivation.by === 'formula'
          ? isFormula(derivation.text)
          : Object.values(derivation.inputs).some(isSource);
      return isUsed ? [{ kind: 'size', id, tag }] : [];
    }),
    ...current(state.layouts)
      .filter(
        ({ points, distances }) =>
          points.some(({ diameter }) => isSource(diameter)) ||
          distances.some(({ source }) => isSource(source)),
      )
      .map(({ id, name }): Use => ({ kind: 'layout', id, name })),
    ...current(state.fits)
      .filter(({ counterpartSizeId, alsoSizeIds = [] }) => isFitted([counterpartSizeId, ...alsoSizeIds]))
      .map(({ id, name }): Use => ({ kind: 'fit', id, name })),
    ...current(state.chains)
      .filter(({ links }) => links.some(({ value }) => value.from === used.from && value.id === used.id))
      .map(({ id, name }): Use => ({ kind: 'chain', id, name })),
    ...current(state.bodies).flatMap(({ id, name, steps }) =>
      steps.flatMap((step, index): Use[] =>
        valuesIn(step).some(isValue) || isLaidOut(step)
          ? [{ kind: 'step', id, name, place: index + 1, stepId: step.id }]
          : [],
      ),
    ),
  ];
}

const current = <T extends { removed: boolean }>(rows: readonly T[]) => rows.filter((row) => !row.removed);

/** What leads to it: a value, a source, a formula that names it, a step that is laid out by it. */
function matching(state: RepairState, { from, id }: Used) {
  const isNamed = nameOf(state, { from, id });
  const isFormula = (text: string) => {
    const expression = isNamed && parseFormula(text);
    return expression?.ok === true && tagsIn(expression.value).some(isNamed!);
  };
  return {
    isFormula,
    isValue: (value: Value) =>
      value.from === 'formula'
        ? isFormula(value.text)
        : value.from === from && 'id' in value && value.id === id,
    isSource: (source: Source | null) => from === 'size' && source?.from === 'size' && source.id === id,
    isLaidOut: (step: Step) =>
      from === 'layout' && step.kind === 'pattern' && step.pattern.by === 'layout' && step.pattern.id === id,
  };
}

/** Whether a name in a formula means it: the tag of a size, or a fit by the tag that it goes with; null for what has no name. */
function nameOf(state: RepairState, { from, id }: Used): ((name: string) => boolean) | null {
  const tagOf = (sizeId: string) => state.sizes.find((size) => size.id === sizeId)?.tag;
  if (from === 'layout') return null;
  if (from === 'size') {
    const tag = tagOf(id);
    return tag === undefined ? null : (name) => !fitOfTag(name) && name === tag;
  }
  const fit = state.fits.find((one) => one.id === id);
  const tag = fit && tagOf(fit.counterpartSizeId);
  if (!fit || tag === undefined) return null;
  return (name) => {
    const named = fitOfTag(name);
    return named?.tag === tag && [null, fit.feature, fit.fitClass].includes(named.word as never);
  };
}
