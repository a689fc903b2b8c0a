import type { Lasting } from '@core/foundations/fields';
import type {
  Allowable,
  HowStrong,
  Joint,
  Load,
  SectionProperties,
  Service,
  Weakest,
} from '@core/checking/strength';

import type { Lengths } from './lengths';

/** How the layers of a part lie to what pulls at a cut through it. */
export type LayersThere = 'along' | 'across' | 'slanted' | 'none';

/** Two figures, as one says what is not known better: 8.3, 12, 340. */
const about = (value: number): string => {
  if (!(value > 0)) return '0';
  const digits = 1 - Math.floor(Math.log10(value));
  return digits > 0 ? value.toFixed(Math.min(digits, 3)) : String(Number(value.toPrecision(2)));
};

/** A factor that will do: rounded up. */
const upTo = (factor: number): string => (Math.ceil(10 * factor - 1e-9) / 10).toFixed(1);

/** How large a section is. */
export const sectionSentence = ({ areaMm2, breadth, height }: SectionProperties, show: Lengths): string =>
  `The section has ${areaMm2.toFixed(1)} mm² and measures ${show.length(breadth)} by ${show.length(height)}.`;

/** Pieces that are not one there do not bear as one, unless what lies beyond the cut holds them. */
export const piecesSentence = (pieces: number): string =>
  `Check: the section has ${pieces} pieces. They share the load only if they are rigidly joined nearby; one by itself holds much less.`;

/** What it holds, as a heading. */
export const bearsWords = ({ mostN, safety }: Pick<HowStrong, 'mostN'> & { safety: number }): string =>
  `Holds about ${about(mostN)} N (safety factor ${safety})`;

const LASTING_WORDS: Record<Lasting, string> = {
  once: 'now and then',
  repeated: 'repeatedly',
  lasting: 'for months',
};

const LAYER_WORDS: Record<LayersThere, string> = {
  none: '',
  along: ' along its layers',
  across: ' across its layers',
  slanted: ' at an angle to its layers',
};

/** What the load does there, and what the material bears. */
export function stressSentence(
  { stress, borneMpa }: HowStrong,
  load: Load,
  made: { material: string; layers: LayersThere },
): string {
  const shears = stress.togetherMpa > stress.normalMpa;
  const done = {
    pulled: 'Pulled',
    twisted: 'Twisted',
    bent: shears ? 'Sheared' : 'Bent in its weakest direction',
  }[load.kind];
  return `${done}, the stress here is ${about(stress.togetherMpa)} MPa. Allowed for ${made.material}${LAYER_WORDS[made.layers]}: ${about(borneMpa)} MPa.`;
}

/** How an allowable stress comes about: yield, and what is left of it. */
export function allowableSentence(allowable: Allowable, { lasts, warmC, wet }: Service): string {
  const { yieldMpa, isEstimated, shares, safety } = allowable;
  const parts = [
    ...(shares.printed < 1 ? [`printed × ${shares.printed}`] : []),
    ...(shares.lasting < 1 ? [`${LASTING_WORDS[lasts]} × ${shares.lasting}`] : []),
    ...(shares.warm < 1 ? [`at ${warmC} °C × ${shares.warm.toFixed(2)}`] : []),
    ...(wet && shares.wet < 1 ? [`wet × ${shares.wet}`] : []),
    `safety factor ÷ ${safety}`,
  ];
  const known = isEstimated
    ? `Its yield stress is not known here; ${about(yieldMpa)} MPa is a low estimate. Enter it in the Workshop.`
    : `Yield stress ${about(yieldMpa)} MPa.`;
  return `${known} Allowable stress ${about(allowable.alongMpa)} MPa: ${parts.join(', ')}.`;
}

/** Whether that will do, and what would mend it. */
export function enoughSentence({ times, thicker }: HowStrong, layers: LayersThere): string {
  if (thicker === null) return `That is ${about(times)} times the load.`;
  const turned =
    layers === 'across' || layers === 'slanted' ? ', turn it so that its layers run along the pull,' : '';
  return `Too weak: it holds ${about(100 * times)} % of the load. Make it ${upTo(thicker)} times as thick there${turned} or choose another material.`;
}

const JOINT_WORDS: Record<Joint['kind'], { how: string; mend: string }> = {
  screw: {
    how: 'The thread shears out at its pitch diameter: F = π d₂ L τ.',
    mend: 'Screw it in deeper, use a thicker screw, or add a nut.',
  },
  pin: {
    how: 'The pin presses on the bore: F = σ d L.',
    mend: 'Make the bore longer, or use a thicker pin.',
  },
  tooth: {
    how: 'The tooth bends as a short beam (Lewis): F = σ b m Y.',
    mend: 'Make the gear wider, or its teeth larger.',
  },
};

/** Whether a joint bears what is asked of it, by which formula, and what would mend it. */
export function jointSentence(
  kind: Joint['kind'],
  {
    mostN,
    borneMpa,
    material,
    isLaid,
    askedN,
  }: { mostN: number; borneMpa: number; material: string; isLaid: boolean; askedN: number | null },
): string {
  const { how, mend } = JOINT_WORDS[kind];
  const times = askedN === null ? null : mostN / askedN;
  const enough =
    times === null
      ? ''
      : times >= 1
        ? `That is ${about(times)} times the load. `
        : `Too weak: it holds ${about(100 * times)} % of the load. ${mend} `;
  const layers = isLaid ? ', with its layers at their worst' : '';
  return `${enough}${how} Allowed for ${material}: ${about(borneMpa)} MPa${layers}. Guidance only: sharp corners and age take more off.`;
}

/** A section that bears less than is asked of it, and what would mend it. */
export function weakSentence({
  forceN,
  mostN,
  thicker,
  isAcross,
  safety,
}: {
  forceN: number;
  mostN: number;
  thicker: number;
  isAcross: boolean;
  safety: number;
}): string {
  const turned = isAcross ? ', turn it so that its layers run along the pull' : '';
  return `The weakest section holds about ${about(mostN)} N of the ${about(forceN)} N load (safety factor ${safety}, guidance). Make it ${upTo(thicker)} times as thick there${turned}, or choose another material.`;
}

/** Of the weakest section between load and hold: what it holds. */
export function weakestSentence(
  { mostN, times, thicker, twistMpa, normalMpa, isAcross }: Omit<Weakest, 'plane' | 'section'>,
  forceN: number,
  safety: number,
): string {
  const said =
    thicker === null
      ? `The weakest section between load and hold holds about ${about(mostN)} N, ${about(times)} times the load (safety factor ${safety}, guidance).`
      : weakSentence({ forceN, mostN, thicker, isAcross, safety });
  return Math.sqrt(3) * twistMpa > LITTLE_TWIST * normalMpa ? `${said} Twisting is counted.` : said;
}

/** Less stress of twisting beside that of bending than this nobody would notice. */
const LITTLE_TWIST = 0.2;

/** Where the theory of beams says nothing. */
export const noSectionSentence = (forceN: number): string =>
  `The load is ${about(forceN)} N. Between the load and where it is held there is no single section to check. Cut the part open and check there.`;

/** What a way of making holds, beside others: at the weakest section, or without a load what its material does. */
export const bearsBeside = (mostN: number): string => `holds ${about(mostN)} N`;
export const bearsMpaBeside = (alongMpa: number, across: number): string =>
  across < 1
    ? `allows ${about(alongMpa)} / ${about(alongMpa * across)} MPa`
    : `allows ${about(alongMpa)} MPa`;

/** How long a load acts, to choose from. */
export const LASTING_CHOICES: readonly { id: Lasting; word: string }[] = [
  { id: 'once', word: 'Now and then' },
  { id: 'repeated', word: 'Repeatedly' },
  { id: 'lasting', word: 'For months' },
];

/** Safety factors, with what each is usual for. */
export const SAFETY_CHOICES: readonly { id: '2' | '3' | '4'; word: string }[] = [
  { id: '2', word: '2: a jig' },
  { id: '3', word: '3: a tool' },
  { id: '4', word: '4: may hurt' },
];
