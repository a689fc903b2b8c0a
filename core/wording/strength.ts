import { capital } from '@core/sentence';
import type { HowStrong, Joint, Load, SectionProperties, Weakest } from '@core/strength';

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
  `The cut has ${areaMm2.toFixed(1)} mm² and is ${show.length(breadth)} by ${show.length(height)} over all.`;

/** Pieces that are not one there do not bear as one, unless what lies beyond the cut holds them. */
export const piecesSentence = (pieces: number): string =>
  `Check: the cut goes through ${pieces} pieces. They bear this together only where they are held stiffly to each other close by; each alone bears much less.`;

/** What it bears, as a heading. */
export const bearsWords = ({ mostN }: Pick<HowStrong, 'mostN'>): string =>
  `Bears about ${about(mostN)} N here`;

/** What the load does there, and what the material bears. */
export function stressSentence(
  { stress, borneMpa }: HowStrong,
  load: Load,
  made: { material: string; layers: LayersThere },
): string {
  const shears = stress.togetherMpa > stress.normalMpa;
  const done = {
    pulled: 'pulled',
    twisted: 'twisted',
    bent: shears ? 'sheared' : 'bent the way that it bears least',
  }[load.kind];
  const how = {
    none: 'bears',
    along: 'bears along its layers',
    across: 'bears where its layers are pulled apart, as here,',
    slanted: 'bears slantwise to its layers, as here,',
  }[made.layers];
  return `${capital(done)}, it takes ${about(stress.togetherMpa)} MPa here. ${made.material} ${how} about ${about(borneMpa)} MPa again and again.`;
}

/** Whether that will do, and what would mend it. */
export function enoughSentence({ times, thicker }: HowStrong, layers: LayersThere): string {
  if (thicker === null) {
    return times >= 2
      ? `That is ${about(times)} times what is asked of it.`
      : `That is ${about(times)} times what is asked of it: little to spare for knocks, heat and age.`;
  }
  const turned =
    layers === 'across' || layers === 'slanted' ? ', lay it so that its layers run along the pull,' : '';
  return `Too weak: it gives at ${about(100 * times)} % of what is asked of it. Make it ${upTo(thicker)} times as thick there${turned} or choose another material.`;
}

const JOINT_WORDS: Record<Joint['kind'], { how: string; mend: string }> = {
  screw: {
    how: 'It is pulled out where the cylinder of its thread shears: F = π d L τ.',
    mend: 'Let it go in deeper, take a thicker one, or hold it with a nut.',
  },
  pin: {
    how: 'It presses on its bore over what it covers: F = σ d L.',
    mend: 'Make the bore longer, or take a thicker pin.',
  },
  tooth: {
    how: 'It is bent as a short beam, after Lewis: F = σ b m Y.',
    mend: 'Make the gear broader, or its teeth larger.',
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
        ? `That is ${about(times)} times what is asked of it. `
        : `Too weak: it gives at ${about(100 * times)} % of what is asked of it. ${mend} `;
  const layers = isLaid ? ', as if its layers lay at their worst' : '';
  return `${enough}${how} Guidance: ${material} bears about ${about(borneMpa)} MPa again and again${layers}; sharp corners, heat and age take more off.`;
}

/** A section that bears less than is asked of it, and what would mend it. */
export function weakSentence({
  forceN,
  mostN,
  thicker,
  isAcross,
}: {
  forceN: number;
  mostN: number;
  thicker: number;
  isAcross: boolean;
}): string {
  const turned = isAcross ? ', lay it so that its layers run along the pull' : '';
  return `Its weakest section bears about ${about(mostN)} N of the ${about(forceN)} N that act on it (guidance). Make it ${upTo(thicker)} times as thick there${turned}, or choose another material.`;
}

/** Of the weakest section between load and hold: what it bears. */
export function weakestSentence(
  { mostN, times, thicker, twisted, isAcross }: Omit<Weakest, 'plane' | 'section'>,
  forceN: number,
): string {
  const said =
    thicker === null
      ? `Between load and hold it bears about ${about(mostN)} N at its weakest section, ${about(times)} times what acts on it (guidance).`
      : weakSentence({ forceN, mostN, thicker, isAcross });
  return twisted > LITTLE_TWIST
    ? `${said} It is twisted there as well, which is not counted: cut it open there and ask.`
    : said;
}

/** Less of the moment than this twists nobody would notice. */
const LITTLE_TWIST = 0.2;

/** Where the theory of beams says nothing. */
export const noSectionSentence = (forceN: number): string =>
  `${about(forceN)} N act on it. Between the load and where it is held there is no single section to look at: cut it open and ask there.`;

/** What a way of making bears, beside others: at the weakest section, or without a load what its material does. */
export const bearsBeside = (mostN: number): string => `bears ${about(mostN)} N`;
export const bearsMpaBeside = (alongMpa: number, across: number): string =>
  across < 1 ? `bears ${about(alongMpa)} / ${about(alongMpa * across)} MPa` : `bears ${about(alongMpa)} MPa`;
