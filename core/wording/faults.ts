import type { Fault, FaultCode, NamedLength } from '@core/fault';
import { showNumber } from '@core/quantity';

const mm = (value: number) => `${showNumber(value)} mm`;
/** `bore B (6.25 mm)`, or `bore (6.25 mm)` when it has no tag. */
const named = ({ what, tag, mm: length }: NamedLength) => `${what}${tag ? ` ${tag}` : ''} (${mm(length)})`;
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const quoted = (text: string) => `“${text.length > 40 ? `${text.slice(0, 40)}…` : text}”`;

/** Words for the rows of a repair. */
const ROW_WORDS: Record<string, string> = {
  head: 'repair',
  size: 'size',
  reading: 'reading',
  fit: 'fit',
  body: 'recipe',
  revision: 'revision',
};
const rowWord = (row: string) => ROW_WORDS[row] ?? row;

type Sentences = { [C in FaultCode]: (fault: Extract<Fault, { code: C }>) => string };

/** One sentence or two for each fault: what is wrong, by which rule, and the way out. */
const SENTENCES: Sentences = {
  'length.empty': () => 'There is no number yet. Type what the calipers show.',
  'length.notANumber': ({ text }) =>
    `${quoted(text)} is not a length. Type a number such as 38.20, or 1 3/16 in.`,
  'length.twoMarks': ({ text }) =>
    `${quoted(text)} has two decimal marks. Use one point or one comma, as in 38.20.`,
  'length.fractionNeedsInch': ({ text }) => `${quoted(text)} is a fraction. Fractions are inches: add “in”.`,
  'length.zeroDenominator': ({ text }) => `${quoted(text)} divides by zero. Check the fraction.`,
  'length.notPositive': ({ mm: value }) =>
    `A reading of ${mm(value)} can’t be right: a size is more than zero. Set the calipers to zero and take it again.`,
  'length.tooLong': ({ mm: value, limitMm, instrument }) =>
    `${mm(value)} is more than the ${instrument.toLowerCase()} can reach (${limitMm} mm). Check the decimal point.`,
  'length.tooLarge': ({ mm: value, limitMm }) =>
    `${mm(value)} is larger than anything made here (${limitMm} mm). Check the decimal point.`,
  'name.empty': ({ what }) => `${capital(what)} needs a name. Type a word or two.`,
  'name.tooLong': ({ what, length, limit }) =>
    `The name of ${what} has ${length} characters; there is room for ${limit}. Shorten it, and put the rest in the brief.`,
  'field.invalid': ({ path, message }) => `${capital(path || 'this')}: ${message}.`,
  'tag.taken': ({ tag }) => `Tag ${tag} is taken by another size. Choose another letter.`,
  'row.missing': ({ row }) =>
    `This ${rowWord(row)} is no longer there. Go back to the list and open it again.`,
  'row.refersToNothing': ({ row, refersTo }) =>
    `This ${rowWord(row)} belongs to a ${refersTo} that is no longer there. Bring the ${refersTo} back first.`,
  'row.stale': ({ row }) =>
    `This ${rowWord(row)} was changed somewhere else in the meantime. Choose which of the two to keep.`,
  'row.frozen': ({ letter }) => `Revision ${letter} is frozen and stays as it is. Freeze a new one instead.`,
  'file.notJson': () =>
    'This is not a whole repair file: it can’t be read as JSON. It may have been cut short; get it again.',
  'file.notARepairFile': () =>
    'This is not a repair file: it does not say “format”: “even-spare-repair”. Choose another file.',
  'file.otherVersion': ({ version, supported }) =>
    `This repair file has version ${version === undefined ? 'none' : JSON.stringify(version)}; version ${supported} can be read here. Save it again from the program that wrote it.`,
  'file.tooBig': ({ bytes, limitBytes }) =>
    `This file has ${Math.ceil(bytes / 1048576)} MB; repair files of up to ${limitBytes / 1048576} MB can be read. Choose another file.`,
  'file.unknownKey': ({ path, keys }) =>
    `The repair file has something unknown at ${path || 'its top'}: ${keys.map(quoted).join(', ')}. Take it out, or check its spelling.`,
  'file.invalid': ({ path, message }) => `The repair file has a mistake at ${path || 'its top'}: ${message}.`,

  'value.sizeNotTaken': ({ what, tag, name }) =>
    `The ${what} needs size ${tag} (${name}). Take a reading of it first.`,
  'value.sizeGone': ({ what }) =>
    `The ${what} used a size that is no longer there. Choose another size, or type a number.`,
  'value.fitGone': ({ what }) =>
    `The ${what} used a fit that is no longer there. Choose another, or type a number.`,
  'value.outOfRange': ({ length, minMm, maxMm }) =>
    Number.isFinite(length.mm)
      ? `The ${named(length)} must be between ${mm(minMm)} and ${mm(maxMm)}. Change the number.`
      : `The ${length.what} is not a number. Type one.`,
  'step.firstMustAdd': ({ verb }) =>
    `There is nothing to ${verb.toLowerCase()} yet. Begin with Turn or Plate.`,
  'step.pickLost': ({ lookingFor }) =>
    `This step was looking for ${lookingFor} and can’t find it. Choose again what it works on.`,
  'drill.widerThanBody': ({ bore, bodyMm }) =>
    `The ${named(bore)} is as wide as the part or wider (${mm(bodyMm)}). Make the part wider or the ${bore.what} smaller.`,
  'drill.missesBody': ({ bore }) => `The ${named(bore)} misses the part. Move it nearer to the middle.`,
  'drill.deeperThanBody': ({ depth, bodyMm }) =>
    `The ${named(depth)} reaches the bottom of the part (${mm(bodyMm)}). Make it less deep, or drill right through.`,
  'groove.widerThanRim': ({ width, rimMm }) =>
    `The ${named(width)} is as wide as the rim or wider (${mm(rimMm)}). Make the groove narrower or the wheel wider.`,
  'groove.deeperThanRadius': ({ depth, radiusMm }) =>
    `The ${named(depth)} reaches the middle of the wheel (${mm(radiusMm)}). Make it less deep.`,
  'plate.cornerTooRound': ({ radius, limitMm }) =>
    `The ${named(radius)} must be from zero to less than half the narrow side (${mm(limitMm)}). Make it smaller.`,
  'ease.tooLarge': ({ size, verb }) =>
    `There is no room to ${verb.toLowerCase()} these edges by ${mm(size.mm)}. Make it smaller, or choose other edges.`,
  'step.nothingLeft': () => 'This step leaves nothing of the part. Make it smaller, or move it.',
  'step.changesNothing': () =>
    'This step changes nothing: it misses the part, or is all inside it. Move it or change its size.',
  'step.notValid': ({ reason }) =>
    `This step does not give a sound solid: ${reason}. Change its numbers a little.`,
  'step.timedOut': ({ seconds }) =>
    `This step took longer than ${seconds} seconds and was stopped. Change its numbers, or take it out.`,
  'step.stopped': () => 'This step was stopped before it was done. Build it again, or change its numbers.',
  'step.kernelFailed': () =>
    'This step can’t be built with these numbers. Change them a little, or put it earlier in the recipe.',
};

/** The sentence for a fault, for a screen, the CLI or a refusal of the API. */
export function sentenceOf(fault: Fault): string {
  return (SENTENCES[fault.code] as (fault: Fault) => string)(fault);
}

/** Codes that have a sentence; for the test that none is missing. */
export const FAULT_CODES = Object.keys(SENTENCES) as FaultCode[];

/** True for data that has the shape of a fault we know, for what comes over a border. */
export function isKnownFault(data: { code: string }): data is Fault {
  return data.code in SENTENCES;
}
