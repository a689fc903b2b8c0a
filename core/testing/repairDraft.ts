import {
  fitValue,
  newSize,
  numberValue,
  sizeValue,
  type Body,
  type Fit,
  type Repair,
  type Size,
  type Step,
  type Value,
} from '@core/record/model';

const NOW = '2026-05-04T09:00:00.000Z';

/** Writes a repair down in few words, for tests and for the demo's files. Ids are readable. */
export class RepairDraft {
  readonly repair: Repair;
  #steps = 0;

  constructor(name: string, place = '', whatBroke = '') {
    this.repair = {
      head: {
        id: name.toLowerCase().replace(/[^a-z]+/g, '-'),
        version: 1,
        name,
        place,
        whatBroke,
        materialId: 'petg',
        machineId: 'bench-printer',
        createdAt: NOW,
        removed: false,
      },
      sizes: [],
      readings: [],
      layouts: [],
      fits: [],
      chains: [],
      photos: [],
      scans: [],
      bodies: [],
      revisions: [],
      trials: [],
    };
  }

  /** A measured size with its readings, mm, as they were typed. */
  measured(tag: string, name: string, readings: string[], more: Partial<Size> = {}): this {
    this.#size(tag, name, { kind: 'measured', ...more });
    for (const [index, typed] of readings.entries()) {
      this.repair.readings.push({
        id: `${tag.toLowerCase()}-${index + 1}`,
        version: 1,
        sizeId: tag.toLowerCase(),
        value: Number(typed),
        typed,
        instrumentId: 'bench-caliper',
        takenAt: NOW,
        leftOut: null,
        removed: false,
      });
    }
    return this;
  }

  chosen(tag: string, name: string, given: number, source = '', more: Partial<Size> = {}): this {
    return this.#size(tag, name, { kind: 'chosen', given, source, ...more });
  }

  /** A size worked out by a formula over tags. */
  formula(tag: string, name: string, text: string, more: Partial<Size> = {}): this {
    return this.#size(tag, name, {
      kind: 'derived',
      derivation: { by: 'formula', text, unit: 'mm' },
      ...more,
    });
  }

  fit(
    id: string,
    name: string,
    tag: string,
    fitClass: Fit['fitClass'],
    feature: Fit['feature'] = 'bore',
  ): this {
    this.repair.fits.push({
      id,
      version: 1,
      name,
      counterpartSizeId: tag.toLowerCase(),
      feature,
      fitClass,
      ownClearanceMm: null,
      iso: null,
      removed: false,
    });
    return this;
  }

  body(id: string, name: string, steps: Step[], role: Body['role'] = 'spare'): this {
    this.repair.bodies.push({ id, version: 1, name, role, steps, removed: false });
    return this;
  }

  /** A step with an id of its own; numbers stand for themselves, 'A' for a size, 'fit:x' for a fit. */
  step(kind: Step['kind'], fields: Record<string, unknown>, id = `step-${(this.#steps += 1)}`): Step {
    const values = Object.fromEntries(
      Object.entries(fields).map(([key, value]) => [key, key === 'rimOf' ? value : chip(value)]),
    );
    return { id, kind, ...values } as Step;
  }

  #size(tag: string, name: string, more: Partial<Size>): this {
    this.repair.sizes.push(newSize({ id: tag.toLowerCase(), version: 1, tag, name, ...more }));
    return this;
  }
}

function chip(value: unknown): Value | unknown {
  if (typeof value === 'number') return numberValue(value);
  if (typeof value !== 'string' || value === 'through') return value;
  return value.startsWith('fit:') ? fitValue(value.slice(4)) : sizeValue(value.toLowerCase());
}

/** The rack wheel of the demo: a grooved wheel on an axle. */
export function rackWheel(): Repair {
  const draft = new RepairDraft(
    'Rack wheel',
    'Dish rack, lower basket',
    'The wheel cracked through the hub when the basket was pushed in full. The axle on the basket is whole.',
  )
    .measured('A', 'Rim, outside', ['38.20', '38.19', '38.21'])
    .measured('B', 'Axle it runs on', ['6.02', '6.01', '6.03'], { of: 'counterpart' })
    .measured('C', 'Width', ['8.00', '8.01', '7.99'])
    .chosen('D', 'Groove, width', 4)
    .chosen('E', 'Groove, depth', 3.5)
    .measured('F', 'Axle, length', ['22.40', '22.41'], { of: 'counterpart' })
    .fit('bore', 'Bore on the axle', 'B', 'turns');
  return draft
    .body('wheel', 'Wheel', [
      draft.step('disc', { diameter: 'A', width: 'C' }, 'disc'),
      draft.step('groove', { rimOf: 'disc', width: 'D', depth: 'E' }, 'groove'),
      draft.step('hole', { diameter: 'fit:bore', depth: 'through', x: 0, y: 0 }, 'bore'),
      draft.step('chamfer', { size: 0.4, where: { edges: 'mouths', of: 'bore' } }, 'mouths'),
      draft.step('chamfer', { size: 0.6, where: { edges: 'rims', of: 'disc' } }, 'rims'),
    ])
    .body('axle', 'Axle', [draft.step('disc', { diameter: 'B', width: 'F' }, 'pin')], 'counterpart').repair;
}
