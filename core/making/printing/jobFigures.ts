import { linesPerSecondOf, lengthsOf, MOVE_KINDS, type Toolpath, type MoveKind } from './toolpath';

/** What a job takes, for one kind of line. */
export interface KindFigures {
  kind: MoveKind;
  seconds: number;
  metres: number;
  mm3: number;
}

/** What one part of a job takes, with all its pieces; without warming up, and without going from layer to layer. */
export interface PartFigures {
  minutes: number;
  grams: number;
}

/** What a job takes. */
export interface JobFigures {
  layers: number;
  /** With warming up. */
  minutes: number;
  /** Of them, what it takes longer so that the printer can take in its lines, and how many it takes in a second. */
  slowed: { minutes: number; linesPerSecond: number };
  /** Of filament. */
  metres: number;
  grams: number;
  cost: { material: number; energy: number; machine: number; whole: number };
  kinds: KindFigures[];
  /** In the order of the parts on the bed. */
  parts: PartFigures[];
}

/** What a kWh costs, in the workshop's money. */
export const ENERGY_PRICE = 0.3;

/**
 * @param density of the material, g/cm³.
 * @param partCount how many parts, of whatever number of pieces, lie on the bed.
 */
export function jobFigures(job: Toolpath, density: number, partCount: number): JobFigures {
  const { machine, material, layers } = job;
  const seconds = new Float64Array(MOVE_KINDS.length);
  const drawingBack = (2 * machine.retractMm) / machine.retractSpeed;
  const way = new Float64Array(MOVE_KINDS.length);
  const filament = new Float64Array(MOVE_KINDS.length);
  const ofParts = Array.from({ length: partCount }, () => ({ seconds: 0, filament: 0 }));
  let all = machine.warmUpSeconds;
  for (const layer of layers) {
    all += layer.allSeconds;
    const lengths = lengthsOf(layer);
    for (let move = 1; move < layer.x.length; move += 1) {
      const kind = layer.kind[move]!;
      seconds[kind]! += layer.seconds[move]!;
      filament[kind]! += layer.filamentMm[move]!;
      const part = ofParts[layer.part[move]!];
      if (part) {
        part.seconds += layer.seconds[move]! + (layer.drawnBack[move] ? drawingBack : 0);
        part.filament += layer.filamentMm[move]!;
      }
      way[kind]! += lengths[move]!;
    }
  }
  const filamentMm = filament.reduce((sum, one) => sum + one, 0);
  const area = (Math.PI / 4) * machine.filamentMm ** 2;
  const gramsOf = (ofFilamentMm: number) => (ofFilamentMm * area * density) / 1000;
  const grams = gramsOf(filamentMm);
  const hours = all / 3600;
  const cost = {
    material: (grams / 1000) * material.pricePerKg,
    energy: (machine.watts / 1000) * hours * ENERGY_PRICE,
    machine: hours * machine.pricePerHour,
  };
  return {
    layers: layers.length,
    minutes: all / 60,
    slowed: {
      minutes: layers.reduce((sum, { slowedSeconds }) => sum + slowedSeconds, 0) / 60,
      linesPerSecond: linesPerSecondOf(machine),
    },
    metres: filamentMm / 1000,
    grams,
    cost: { ...cost, whole: cost.material + cost.energy + cost.machine },
    kinds: MOVE_KINDS.map((kind, index) => ({
      kind,
      seconds: seconds[index]!,
      metres: way[index]! / 1000,
      mm3: filament[index]! * area,
    })).filter(({ metres }) => metres > 0),
    parts: ofParts.map((part) => ({ minutes: part.seconds / 60, grams: gramsOf(part.filament) })),
  };
}
