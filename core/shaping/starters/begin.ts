import {
  fitValue,
  newSize,
  nextLetter,
  sizeValue,
  type Body,
  type Fit,
  type RepairState,
  type Size,
  type Value,
} from '@core/record/model';

import type { Numbers, Starter } from './starter';

/** What a starter makes of a repair: rows to be put into it. */
export interface Begun {
  sizes: Size[];
  fits: Fit[];
  bodies: Body[];
  /** The size of each ask, by its key. */
  sizeOf: ReadonlyMap<string, Size>;
}

/**
 * A starter as ordinary rows: a size for each ask, a fit for those that have one, and its bodies. Asks whose number is
 * given are to be measured, and the caller writes the readings; the others are chosen at their usual number, to be
 * measured later.
 *
 * @param typed keys of asks whose number is given.
 * @param into an empty body of the repair that the first spare is put into; its other bodies are new ones.
 */
export function beginWith(
  starter: Starter,
  state: Pick<RepairState, 'sizes'>,
  typed: ReadonlySet<string>,
  newId: () => string,
  into?: Body,
): Begun {
  const tags = state.sizes.map(({ tag }) => tag);
  const names = new Set(state.sizes.filter(({ removed }) => !removed).map(({ name }) => name.toLowerCase()));
  const sizeOf = new Map<string, Size>();
  for (const ask of starter.asks) {
    const tag = nextLetter(tags);
    tags.push(tag);
    // Names tell sizes apart: a second wheel's rim is "Rim, outside (K)".
    const name = names.has(ask.name.toLowerCase()) ? `${ask.name} (${tag})` : ask.name;
    const { jaw, of } = ask;
    sizeOf.set(
      ask.key,
      newSize(
        typed.has(ask.key)
          ? { id: newId(), tag, name, jaw, of }
          : { id: newId(), tag, name, jaw, of, kind: 'chosen', given: ask.usualMm, source: USUAL },
      ),
    );
  }
  const fitOf = new Map<string, Fit>();
  for (const { key, fit } of starter.asks) {
    if (!fit) continue;
    fitOf.set(key, {
      id: newId(),
      version: 0,
      name: fit.name,
      counterpartSizeId: sizeOf.get(key)!.id,
      feature: fit.feature,
      fitClass: fit.fitClass,
      ownClearanceMm: null,
      iso: null,
      removed: false,
    });
  }
  const firstSpare = starter.bodies.find(({ role }) => role === 'spare');
  const idOf = new Map(
    starter.bodies.map((body) => [body.key, body === firstSpare && into ? into.id : newId()] as const),
  );
  const numbers: Numbers = {
    size: (key) => sizeValue(sizeOf.get(key)!.id),
    fit: (key) => fitValue(fitOf.get(key)!.id),
    sum: (text): Value => ({
      from: 'formula',
      text: text.replaceAll(/\{(\w+)\}/g, (_, key: string) => sizeOf.get(key)!.tag),
      unit: 'mm',
    }),
    body: (key) => idOf.get(key)!,
  };
  const bodies = starter.bodies.map((body): Body => {
    const isInto = body === firstSpare && into !== undefined;
    return {
      id: idOf.get(body.key)!,
      version: isInto ? into.version : 0,
      name: body.name,
      role: body.role,
      steps: renamed(body.steps(numbers), newId),
      removed: false,
    };
  });
  return { sizes: [...sizeOf.values()], fits: [...fitOf.values()], bodies, sizeOf };
}

const USUAL = 'A usual number of the starter: measure it';

/** Steps with ids of their own, and what they say of each other with them. */
function renamed(steps: Body['steps'], newId: () => string): Body['steps'] {
  const ids = new Map(steps.map(({ id }) => [id, newId()] as const));
  const look = (data: unknown): unknown => {
    if (typeof data === 'string') {
      const [id, role] = data.split(':');
      if (role !== undefined && ids.has(id!)) return `${ids.get(id!)}:${role}`;
      return data;
    }
    if (Array.isArray(data)) return data.map(look);
    if (typeof data !== 'object' || data === null) return data;
    return Object.fromEntries(
      Object.entries(data).map(([key, value]) => [
        key,
        REFERENCES.has(key) && typeof value === 'string' && ids.has(value) ? ids.get(value) : look(value),
      ]),
    );
  };
  return steps.map((step) => look(step) as Body['steps'][number]);
}

/** Keys under which a step names another one, and its own. */
const REFERENCES = new Set(['id', 'of', 'and', 'rimOf']);
