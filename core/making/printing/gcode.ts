import { no, ok, type Fault, type Result } from '@core/foundations/fault';

import { arcCentre } from './arcs';
import { lengthsOf, MOVE_KINDS, type Toolpath, type ToolpathLayer } from './toolpath';
import type { LayerPrinter } from '@core/record/model';
import { readGcode } from './readGcode';

/**
 * A job as G-code (ISO 6983-1 words, arcs by their centre; M codes of heating as is usual on layer printers), with what each stretch is for as comments. It is read back before it
 * is given out: whatever leaves the machine's envelope or heats more than it may is refused with its line, the machine's own first and last commands
 * too.
 *
 * @param title what it is, for its first line.
 */
export function writeGcode(job: Toolpath, title: string, when: string): Result<string, Fault> {
  const text = [...lines(job, title, when)].join('\n');
  const fault = faultInGcode(text, job.machine);
  return fault ? no(fault) : ok(text);
}

function* lines(
  { layers, machine, material, settings }: Toolpath,
  title: string,
  when: string,
): Generator<string> {
  yield `; Even Spare job: ${oneLine(title)}`;
  yield `; written ${when}`;
  yield `; settings ${settings.id}, layer ${settings.layerMm} mm, line ${settings.lineMm} mm`;
  yield `M140 S${material.bedC}`;
  yield `M104 S${material.nozzleC}`;
  yield `M190 S${material.bedC}`;
  yield `M109 S${material.nozzleC}`;
  yield* machine.startGcode;
  yield 'G21';
  yield 'G90';
  yield 'M83';
  for (const [index, layer] of layers.entries()) {
    yield `; layer ${index + 1} of ${layers.length}, top ${number(layer.zMm, 3)}`;
    if (index === 1) yield `M106 S${Math.round(255 * material.fan)}`;
    yield* layerLines(layer, machine);
  }
  yield* machine.endGcode;
  yield '';
}

function* layerLines(
  layer: ToolpathLayer,
  { speeds, retractMm, retractSpeed }: LayerPrinter,
): Generator<string> {
  const from = layer.rising ? layer.zMm - layer.heightMm : layer.zMm;
  yield `G1 Z${number(from, 3)} F${feed(speeds.rise)}`;
  let kind = -1;
  let width = -1;
  let speed = -1;
  const lengths = lengthsOf(layer);
  let way = 0;
  let owed = 0;
  const whole = layer.rising ? wayOf(layer, lengths) : 1;
  for (let move = 1; move < layer.x.length; move += 1) {
    const place = `X${number(layer.x[move]!, PLACE_DECIMALS)} Y${number(layer.y[move]!, PLACE_DECIMALS)}`;
    const rate = speed === layer.speed[move] ? '' : ` F${feed(layer.speed[move]!)}`;
    speed = layer.speed[move]!;
    if (MOVE_KINDS[layer.kind[move]!] === 'travel') {
      const back = layer.drawnBack[move] === 1;
      if (back) yield `G1 E${number(-retractMm, 5)} F${feed(retractSpeed)}`;
      yield `G0 ${place} F${feed(speed)}`;
      if (back) yield `G1 E${number(retractMm, 5)} F${feed(retractSpeed)}`;
      speed = -1;
      continue;
    }
    if (kind !== layer.kind[move] || width !== layer.width[move]) {
      kind = layer.kind[move]!;
      width = layer.width[move]!;
      yield `; lay ${MOVE_KINDS[kind]} ${number(width, 3)} wide`;
    }
    way += lengths[move]!;
    const rise = layer.rising ? ` Z${number(from + (layer.heightMm * way) / whole, 3)}` : '';
    // What rounding leaves goes to the next line.
    const pushed = number(layer.filamentMm[move]! + owed, FILAMENT_DECIMALS);
    owed += layer.filamentMm[move]! - Number(pushed);
    yield `${goes(layer, move, place)}${rise} E${pushed}${rate}`;
  }
}

/** The word of a straight move or of an arc, to where, and for an arc from where to its centre. */
function goes({ x, y, sweep }: ToolpathLayer, move: number, place: string): string {
  if (sweep[move] === 0) return `G1 ${place}`;
  const from = [x[move - 1]!, y[move - 1]!] as const;
  const centre = arcCentre({ from, to: [x[move]!, y[move]!], sweep: sweep[move]! });
  const [i, j] = [centre[0] - from[0], centre[1] - from[1]];
  return `${sweep[move]! > 0 ? 'G3' : 'G2'} ${place} I${number(i, PLACE_DECIMALS)} J${number(j, PLACE_DECIMALS)}`;
}

function wayOf({ kind }: ToolpathLayer, lengths: Float64Array): number {
  const way = lengths.reduce((sum, mm, move) => (MOVE_KINDS[kind[move]!] === 'travel' ? sum : sum + mm), 0);
  return way || 1;
}

/** A thousandth of a millimetre of place; of filament a ten-thousandth, which is 0.0002 mm³. */
const PLACE_DECIMALS = 3;
const FILAMENT_DECIMALS = 4;

const oneLine = (text: string) => text.replace(/[\r\n;]+/g, ' ');
const feed = (mmS: number) => number(mmS * 60, 0);

function number(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  const short = decimals > 0 ? text.replace(/\.?0+$/, '') : text;
  return short === '-0' ? '0' : short;
}

/** Ways are written to a thousandth, mm. */
const STEP_MM = 10 ** -PLACE_DECIMALS;

/** What in a file of G-code the machine can't or may not do; null if there is nothing. */
export function faultInGcode(text: string, machine: LayerPrinter): Fault | null {
  const { envelopeMm, hottestNozzleC, hottestBedC } = machine;
  const read = readGcode(text);
  for (const { line, axis, mm } of read.ends) {
    const most = envelopeMm['XYZ'.indexOf(axis)]!;
    if (mm < -STEP_MM || mm > most + STEP_MM) return { code: 'gcode.outside', line, axis, mm, mostMm: most };
  }
  for (const { line, what, celsius } of read.heats) {
    const most = what === 'bed' ? hottestBedC : hottestNozzleC;
    if (celsius > most) return { code: 'gcode.tooHot', line, what, celsius, mostCelsius: most };
  }
  return null;
}
