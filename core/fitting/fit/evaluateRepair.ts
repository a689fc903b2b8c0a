import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { compileFormula, fitOfTag, parseFormula, tagsIn } from '@core/foundations/formula';
import { solveLayout, type KnownLength, type SolvedLayout } from '@core/measuring/layout';
import { isKnown, SizeGraph, takeApart, uncertaintyOf, type SizeResult } from '@core/measuring/measure';
import type { Chain, Fit, Layout, RepairState, Size, Source, Workshop } from '@core/record/model';
import type { LengthUnit, Quantity } from '@core/foundations/quantity';
import { DEFAULT_WORKSHOP, fitTableIn, machineIn, materialIn } from '@core/record/workshop';

import { chanceOfFit, type FitChance } from './chance';
import { stackUp, type StackLink, type StackUp } from './stackUp';
import { trailOfFit, trailOfSize, type FitSetting, type Worked } from './trail';

export interface EvaluatedSize {
  size: Size;
  result: SizeResult;
  worked: Worked;
}

export interface EvaluatedFit {
  fit: Fit;
  worked: Worked;
  /** Null while the counterpart is not known. */
  chance: FitChance | null;
}

export interface EvaluatedChain {
  chain: Chain;
  /** Null while a link is not known; `waitsFor` names it. */
  stack: StackUp | null;
  waitsFor: { tag: string; name: string } | null;
  links: StackLink[];
}

/** Every number of a repair, worked out. Maps are by row id and hold no removed rows. */
export interface EvaluatedRepair {
  workshop: Workshop;
  sizes: Map<string, EvaluatedSize>;
  layouts: Map<string, { layout: Layout; solved: SolvedLayout }>;
  fits: Map<string, EvaluatedFit>;
  chains: Map<string, EvaluatedChain>;
}

/** Evaluates all numbers of a repair. Cheap enough to repeat at every change. */
export function evaluateRepair(state: RepairState, workshop: Workshop = DEFAULT_WORKSHOP): EvaluatedRepair {
  const sizes = evaluateSizes(state, workshop);
  const layouts: EvaluatedRepair['layouts'] = new Map(
    current(state.layouts).map((layout) => [
      layout.id,
      { layout, solved: solveLayout(layout, (source) => knownLength(source, sizes)) },
    ]),
  );
  const setting = settingOf(state, workshop);
  const fits: EvaluatedRepair['fits'] = new Map();
  for (const fit of current(state.fits)) {
    const counterpart = sizes.get(fit.counterpartSizeId);
    if (!counterpart) continue;
    // One that was deleted since is not to be fitted any more.
    const others = (fit.alsoSizeIds ?? []).flatMap((id) => sizes.get(id) ?? []);
    const worked = trailOfFit(fit, counterpart.size, counterpart.result, setting, others);
    const chance = worked.ok ? chanceOfFit(fit, worked.trail, [counterpart, ...others], setting) : null;
    fits.set(fit.id, { fit, worked, chance });
  }
  const partial = { workshop, sizes, layouts, fits };
  const chains = new Map(
    current(state.chains).map((chain) => [chain.id, evaluateChain(chain, partial, setting)]),
  );
  return { ...partial, chains };
}

const current = <T extends { removed: boolean }>(rows: readonly T[]) => rows.filter((row) => !row.removed);

/** The sizes alone, in the order of the repair. */
export function evaluateSizes(
  state: Pick<RepairState, 'sizes' | 'readings'>,
  workshop: Workshop = DEFAULT_WORKSHOP,
): EvaluatedRepair['sizes'] {
  const graph = new SizeGraph(current(state.sizes), groupBySize(state.readings), workshop);
  graph.settle();
  return new Map(
    current(state.sizes).map((size) => {
      const result = graph.result(size.id);
      return [size.id, { size, result, worked: trailOfSize(size, result) }];
    }),
  );
}

/** The machine, material and table that the fits of a repair are made with. */
export function settingOf(state: Pick<RepairState, 'head'>, workshop: Workshop): FitSetting {
  const machine = machineIn(workshop, state.head.machineId);
  const { family } = materialIn(workshop, state.head.materialId);
  return { machine, family, table: fitTableIn(workshop, machine.process, family) };
}

function groupBySize(readings: RepairState['readings']): Map<string, RepairState['readings']> {
  const groups = new Map<string, RepairState['readings']>();
  for (const reading of readings) {
    const group = groups.get(reading.sizeId);
    if (group) group.push(reading);
    else groups.set(reading.sizeId, [reading]);
  }
  return groups;
}

/** A source of a length with its standard uncertainty, mm; null while it is not known, or is no length. */
function knownLength(source: Source, sizes: EvaluatedRepair['sizes']): KnownLength | null {
  if (source.from === 'number') return { mm: source.value, standardMm: 0 };
  const found = sizes.get(source.id);
  if (!found || found.size.quantity !== 'length' || !isKnown(found.result)) return null;
  const { result } = found;
  return { mm: result.value, standardMm: uncertaintyOf(result)?.standard ?? 0 };
}

function evaluateChain(
  chain: Chain,
  { sizes, fits }: Pick<EvaluatedRepair, 'sizes' | 'fits'>,
  setting: FitSetting,
): EvaluatedChain {
  const links: StackLink[] = [];
  for (const { value, times, sign, plusMinusMm } of chain.links) {
    const link = (mm: number, known: number, shared: NonNullable<StackLink['shared']> = []) =>
      // What somebody typed is the link's own.
      void links.push({
        mm,
        plusMinusMm: plusMinusMm ?? known,
        sign,
        times,
        ...(plusMinusMm === null && shared.length > 0 ? { shared } : {}),
      });
    if (value.from === 'number') {
      link(value.mm, 0);
      continue;
    }
    const found = value.from === 'size' ? sizes.get(value.id) : fits.get(value.id);
    if (!found) return { chain, stack: null, waitsFor: { tag: '?', name: 'a deleted size' }, links };
    if (!found.worked.ok) {
      return {
        chain,
        stack: null,
        waitsFor: { tag: found.worked.tag, name: found.worked.name },
        links,
      };
    }
    const { working } = found.worked.trail;
    // What is made to a fit scatters as the machine does.
    if (!('result' in found)) link(working, 2 * setting.machine.scatterMm);
    else link(working, uncertaintyOf(found.result)?.expanded ?? 0, instrumentsOf(found.result));
  }
  return { chain, stack: stackUp(links, chain), waitsFor: null, links };
}

/** What of a size's doubt is the errors of instruments, about 95 %, mm. A derived one's has been added up already. */
function instrumentsOf(result: SizeResult): NonNullable<StackLink['shared']> {
  const uncertainty = uncertaintyOf(result);
  if (result.status !== 'measured' || !uncertainty) return [];
  return takeApart(uncertainty).shared.map((error) => ({
    ...error,
    standard: error.standard * uncertainty.coverageFactor,
  }));
}

/**
 * The value of a sum or formula over the sizes and the working sizes of a repair, mm.
 * @param unit unit of bare numbers.
 */
export const formulaLength = (
  text: string,
  unit: LengthUnit,
  numbers: Pick<EvaluatedRepair, 'sizes' | 'fits'>,
): Result<number, Fault> => formulaValue(text, unit, numbers, 'length');

/** As formulaLength, for what gives an angle (radians) or a plain number too; bare numbers are degrees where an angle is meant. */
export function formulaValue(
  text: string,
  unit: LengthUnit,
  numbers: Pick<EvaluatedRepair, 'sizes' | 'fits'>,
  wanted: Quantity,
): Result<number, Fault> {
  const expression = parseFormula(text);
  if (!expression.ok) return expression;
  const named = new Map<string, { quantity: Size['quantity']; tag: string; name: string; worked: Worked }>();
  for (const { size, worked } of numbers.sizes.values()) named.set(size.tag, { ...size, worked });
  for (const name of tagsIn(expression.value)) {
    const wanted = fitOfTag(name);
    if (!wanted) continue;
    const found = fitNamed(name, wanted, numbers);
    if (!found.ok) return found;
    const { fit, worked } = found.value;
    named.set(name, { quantity: 'length', tag: wanted.tag, name: fit.name, worked });
  }
  const program = compileFormula(expression.value, (tag) => named.get(tag)?.quantity ?? null, wanted, unit);
  if (!program.ok) return program;
  const { tags, evaluate, failure } = program.value;
  const values: number[] = [];
  for (const one of tags) {
    const { tag, name, worked } = named.get(one)!;
    if (!worked.ok) return no(worked.fault ?? { code: 'value.sizeNotTaken', what: text, tag, name });
    values.push(worked.trail.working);
  }
  const value = evaluate(values);
  return Number.isFinite(value) ? ok(value) : no({ code: `formula.${failure()}`, text });
}

/** The fit that a formula names: the only one on a size, or the only one there of a feature or a class. */
function fitNamed(
  name: string,
  { tag, word }: { tag: string; word: string | null },
  { sizes, fits }: Pick<EvaluatedRepair, 'sizes' | 'fits'>,
): Result<EvaluatedFit, Fault> {
  const own = [...fits.values()].filter(({ fit }) => sizes.get(fit.counterpartSizeId)?.size.tag === tag);
  const meant = word === null ? own : own.filter(({ fit }) => fit.feature === word || fit.fitClass === word);
  const [only] = meant;
  if (!only) return no({ code: 'formula.noFit', name, tag });
  if (meant.length === 1) return ok(only);
  const features = new Set(own.map(({ fit }) => fit.feature));
  const words = features.size === own.length ? [...features] : own.map(({ fit }) => fit.fitClass);
  const choices = [...new Set(words)].map((one) => `fit(${tag}; ${one})`).join(' or ');
  return no({ code: 'formula.severalFits', tag, choices });
}
