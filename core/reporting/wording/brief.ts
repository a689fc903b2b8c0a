import type { Break, Danger, Heat, Inside, Load, Movement, Surrounding } from '@core/foundations/fields';
import type {
  Betterment,
  BriefCaution,
  FirstFit,
  HowItLies,
  Likely,
  SizeToTake,
  OldMaterial,
  Reason,
} from '@core/measuring/brief';

import { chanceWords } from './amounts';

export const BREAK_WORDS: Record<Break, string> = {
  brittle: 'Snapped, brittle',
  worn: 'Worn away',
  noLock: 'Came loose',
  tooThin: 'Too thin',
  wrongMaterial: 'Wrong material',
  lost: 'Lost',
};
export const SURROUNDING_WORDS: Record<Surrounding, string> = {
  sun: 'Sun',
  water: 'Water',
  food: 'Food',
  cold: 'Frost',
};
export const HEAT_WORDS: Record<Heat, string> = {
  room: 'Room',
  warm: 'Warm, 50 °C',
  hot: 'Hot, 80 °C',
  boiling: 'Boiling',
};
export const LOAD_WORDS: Record<Load, string> = {
  none: 'None',
  light: 'Light',
  steady: 'Steady',
  knocks: 'Knocks',
};
export const MOVEMENT_WORDS: Record<Movement, string> = {
  still: 'Does not move',
  rubs: 'Rubs',
  springs: 'Springs',
};
export const DANGER_WORDS: Record<Danger, string> = {
  mains: 'Mains',
  brakes: 'Brakes',
  gas: 'Gas, flames',
  lifting: 'Holds people up',
  children: 'Small children',
};
export const INSIDE_WORDS: Record<Inside, string> = {
  spring: 'A spring under load',
  charge: 'Mains or charged parts',
  glass: 'Glass',
};

export const OLD_MATERIAL_WORDS: Record<OldMaterial, string> = {
  PP: 'polypropylene (PP)',
  PE: 'polyethylene (PE)',
  ABS: 'ABS',
  PS: 'polystyrene (PS)',
  PA: 'nylon (PA)',
  POM: 'acetal (POM)',
  PC: 'polycarbonate (PC)',
  PVC: 'PVC',
  PMMA: 'acrylic (PMMA)',
  PF: 'Bakelite (PF)',
  TPU: 'a soft plastic (TPU)',
  aluminium: 'aluminium',
  brass: 'brass',
  zinc: 'die-cast zinc',
  steel: 'steel',
};

const CAUTIONS: Record<BriefCaution['code'], string> = {
  mains:
    'It carries or touches the mains: a home-made part may burn or kill. Have the maker’s part put in by someone who is allowed to.',
  brakes: 'It is part of a brake: do not make it yourself. Get the maker’s part.',
  gas: 'It is near gas or flames: do not make it yourself. A leak or a part that drips can burn a house down.',
  lifting: 'It carries a person’s weight: do not make it yourself unless it can fail without anyone falling.',
  children:
    'Small children reach it: no piece that could be swallowed (smaller than 32 mm), no sharp edge, nothing that snaps into splinters.',
  food: 'It touches food: layers have gaps that cannot be cleaned, and resin is not safe. Use it for what is dry or wrapped, or line it.',
  spring:
    'There is a spring under load: glasses on, open it away from the face, and note how the spring sat.',
  charge: 'Pull the plug, wait ten minutes, and short nothing by hand: parts inside may hold a charge.',
  glass: 'There is glass: gloves and glasses on, and no levering against it.',
};

export const briefCautionSentence = ({ code }: Pick<BriefCaution, 'code'>): string => CAUTIONS[code];

const REASONS: Record<Reason['code'], string> = {
  'heat.gives': 'softens at that temperature',
  'heat.near': 'only just withstands the heat',
  'heat.stands': 'withstands the heat',
  'sun.brittle': 'goes brittle in the sun',
  'sun.slowly': 'fades and weakens in the sun over years',
  'sun.stands': 'withstands sunlight',
  'water.swells': 'absorbs water and swells',
  'water.rusts': 'rusts',
  'food.layers': 'layers hold dirt that cannot be washed out',
  'food.unknown': 'is not safe with food',
  'rubs.well': 'slides well',
  'rubs.wears': 'wears where it rubs; grease it or put in a bush',
  'springs.well': 'can be bent repeatedly',
  'springs.snaps': 'snaps when it is bent repeatedly',
  'knocks.well': 'withstands knocks',
  'knocks.snaps': 'snaps when it is knocked',
  'load.creeps': 'creeps under a steady load: make it thicker',
  'mains.conducts': 'conducts',
  'mains.flame': 'has no fire rating',
  'cold.brittle': 'is brittle in frost',
};

/** "Stands the sun; takes knocks." Empty when nothing speaks about it. */
export function reasonsSentence(reasons: readonly Reason[]): string {
  const text = reasons.map(({ code }) => REASONS[code]).join('; ');
  return text === '' ? '' : `${text[0]!.toUpperCase()}${text.slice(1)}.`;
}

/** Why a size is worth taking first. */
export const SIZE_REASONS: Record<SizeToTake['why'], string> = {
  mate: 'on the mating part: the broken piece may be worn or bent',
  outside: 'so that it fits in its space',
  broke: 'it broke there: make the next one thicker',
  springs: 'so that it holds and does not snap',
  worn: 'worn places give wrong sizes',
};

const FIRST_FIT_REASONS: Record<FirstFit['why'], string> = {
  rubs: 'the brief says that it rubs',
  springs: 'the brief says that it springs',
  still: 'the brief says that it does not move',
  knocks: 'the brief says that it does not move and is knocked',
  lock: 'the old one came loose',
  lies: 'something sits in it and has to come out again',
  unknown: 'the brief does not say whether it moves',
};

/** Why a fit begins with its class. */
export const firstFitSentence = (word: string, { why }: Pick<FirstFit, 'why'>): string =>
  `It starts as “${word}”, since ${FIRST_FIT_REASONS[why]}. You can change it on its card.`;

/** What to make a trial of. */
export const trialMaterialSentence = (name: string, chosen: string): string =>
  `For a first try ${name} does: it prints easily and costs little, and the machine’s corrections are the same. What ${chosen} is chosen for shows only in the real one.`;

const BETTERMENTS: Record<Betterment, string> = {
  tougher: 'Round its inner corners, and choose a tougher material.',
  slides: 'Choose a material that slides well, add a bush, or make it thicker where it wears.',
  lock: 'Add a lock: a bump that snaps in, a captive nut or a screw.',
  thicker: 'Make it thicker where it broke, not everywhere.',
  material: 'Copy its shape, not its material.',
  keep: 'Measure the mating part, and an identical part if there is one.',
};

const HOW_IT_LIES: Record<HowItLies, string> = {
  springsAlong: 'Orient the spring flat on the bed: bent across its layers it snaps.',
  loadAlong: 'Orient the part so that the load runs along its layers: pulled across, they split much sooner.',
  rubsRound: 'Print bores, pegs and rubbing faces upright: layers that run round them come out round.',
  brokeAcross: 'The old one snapped: orient the new one so that no layer runs across the break.',
};

/** How a part that is made in layers had better lie, with why. */
export const howItLiesSentence = (way: HowItLies): string => HOW_IT_LIES[way];

export const bettermentSentence = (betterment: Betterment): string => BETTERMENTS[betterment];

/** What the old part is most likely made of, with how surely. */
export function oldMaterialSentence(likely: readonly Likely[], answered: number): string {
  if (answered === 0) return 'No clue was tried on the old part yet.';
  const named = likely.filter(({ probability }) => probability >= 0.08).slice(0, 3);
  const [first, ...others] = named.map(
    ({ material, probability }) => `${OLD_MATERIAL_WORDS[material]} (${chanceWords(probability)})`,
  );
  if (!first) return 'No material is likelier than the others yet: try another clue.';
  return `The old part is most likely ${first}${others.length > 0 ? `, else ${others.join(' or ')}` : ''}.`;
}
