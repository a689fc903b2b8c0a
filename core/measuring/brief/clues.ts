import { ownValue } from '@core/foundations/own';

/** What an old part may be made of, by its mark (ISO 1043-1), or the metal's name. */
export const OLD_MATERIALS = [
  'PP',
  'PE',
  'ABS',
  'PS',
  'PA',
  'POM',
  'PC',
  'PVC',
  'PMMA',
  'PF',
  'TPU',
  'aluminium',
  'brass',
  'zinc',
  'steel',
] as const;
export type OldMaterial = (typeof OLD_MATERIALS)[number];

/** One thing that can be tried on the old part, and what each answer says: how many of a hundred parts of each material would give it. */
export interface Clue {
  id: string;
  /** What was tried. */
  question: string;
  /** How to try it, and with what care. */
  how: string;
  answers: readonly { id: string; word: string; ofHundred: Readonly<Record<OldMaterial, number>> }[];
  source: string;
}

const METALS = ['aluminium', 'brass', 'zinc', 'steel'] as const;

/** Shares for plastics as stated, for metals one and the same. */
function shares(
  plastics: Partial<Record<OldMaterial, number>>,
  others: number,
  metals: number,
): Record<OldMaterial, number> {
  return Object.fromEntries(
    OLD_MATERIALS.map((material) => [
      material,
      plastics[material] ?? (METALS.some((metal) => metal === material) ? metals : others),
    ]),
  ) as Record<OldMaterial, number>;
}

/** The other answer of two. */
const rest = (of: Record<OldMaterial, number>) =>
  Object.fromEntries(OLD_MATERIALS.map((material) => [material, 100 - of[material]])) as Record<
    OldMaterial,
    number
  >;

const floats = shares({ PP: 97, PE: 97 }, 2, 0);
const softens = shares({ ABS: 95, PS: 97, PMMA: 85, PC: 70, PVC: 50, PF: 2, TPU: 30 }, 3, 0);
const attracts = shares({ steel: 95 }, 0, 2);

/** What tells materials apart on a bench. Shares are ours, from the properties that the sources state. */
export const CLUES: readonly Clue[] = [
  {
    id: 'mark',
    question: 'Is there a mark?',
    how: 'Letters between > and <, often inside.',
    answers: (
      [
        ['PP', 'PP'],
        ['PE', 'PE'],
        ['ABS', 'ABS'],
        ['PS', 'PS'],
        ['PA', 'PA 6, PA 66'],
        ['POM', 'POM'],
        ['PC', 'PC'],
        ['PVC', 'PVC'],
      ] as const
    ).map(([material, word]) => ({
      id: material,
      word,
      ofHundred: shares({ [material]: 60 }, 0.3, 0),
    })),
    source: 'ISO 11469 (marking), ISO 1043-1 (abbreviations)',
  },
  {
    id: 'water',
    question: 'Does a piece float?',
    how: 'Put a clean chip, without metal or air in it, into water with a drop of soap.',
    answers: [
      { id: 'floats', word: 'Floats', ofHundred: floats },
      { id: 'sinks', word: 'Sinks', ofHundred: rest(floats) },
    ],
    source: 'ISO 1183 densities: PP 0.90, PE 0.92 to 0.96, all others above 1.03 g/cm³',
  },
  {
    id: 'acetone',
    question: 'Does acetone soften it?',
    how: 'Put one drop where it does not show, wait a minute, then scratch with a fingernail. Air the room.',
    answers: [
      { id: 'softens', word: 'Goes soft or dull', ofHundred: softens },
      { id: 'nothing', word: 'Nothing', ofHundred: rest(softens) },
    ],
    source: 'Makers’ tables of chemical resistance, ketones at 20 °C',
  },
  {
    id: 'iron',
    question: 'At what temperature does a soldering iron sink in?',
    how: 'Set the iron’s temperature and try an edge that is not needed. Do not breathe the smoke.',
    answers: [
      {
        id: 'below130',
        word: 'Below 130 °C',
        ofHundred: shares(
          { PS: 85, ABS: 75, PVC: 85, PMMA: 75, PE: 45, TPU: 50, PP: 10, PC: 8, PF: 0 },
          3,
          0,
        ),
      },
      {
        id: 'to180',
        word: '130 to 180 °C',
        ofHundred: shares(
          { PP: 78, PE: 50, POM: 62, PC: 70, ABS: 22, TPU: 40, PS: 13, PVC: 13, PMMA: 22, PF: 0, PA: 10 },
          10,
          0,
        ),
      },
      {
        id: 'above180',
        word: 'Above 180 °C',
        ofHundred: shares({ PA: 86, POM: 34, PC: 20, PP: 11, PE: 4, PF: 5, TPU: 9 }, 2, 0),
      },
      { id: 'never', word: 'Not at all', ofHundred: shares({ PF: 94, PA: 2, PC: 2 }, 0.5, 99) },
    ],
    source:
      'ISO 306 (Vicat), ISO 11357-3 (melting): PS and ABS about 95, PE 130, PC 148, PP 165, POM 175, PA 220 °C; PF sets once',
  },
  {
    id: 'edge',
    question: 'What does a thin edge do when it is bent?',
    how: 'Bend it with pliers, on a piece that has broken off. Protect your eyes.',
    answers: [
      {
        id: 'snaps',
        word: 'Snaps like glass',
        ofHundred: shares({ PS: 75, PMMA: 80, PF: 88, PVC: 15, ABS: 6, zinc: 70, POM: 10 }, 3, 3),
      },
      {
        id: 'whitens',
        word: 'Turns white, then tears',
        ofHundred: shares({ ABS: 75, PP: 55, PVC: 55, PS: 20, PE: 20, PC: 12, POM: 12, PA: 12 }, 5, 0),
      },
      {
        id: 'springs',
        word: 'Springs back',
        ofHundred: shares(
          { PA: 66, POM: 70, PC: 65, PP: 20, PE: 18, TPU: 40, steel: 40, brass: 20, ABS: 12 },
          8,
          15,
        ),
      },
      {
        id: 'stays',
        word: 'Stays bent',
        ofHundred: shares(
          { PE: 55, PP: 20, TPU: 50, PVC: 20, PA: 15, aluminium: 85, brass: 75, steel: 55, zinc: 25 },
          6,
          60,
        ),
      },
    ],
    source: 'ISO 527: strain at break and at yield',
  },
  {
    id: 'feel',
    question: 'How does it feel?',
    how: 'On a clean face.',
    answers: [
      { id: 'waxy', word: 'Waxy, slippery', ofHundred: shares({ PE: 85, PP: 62, POM: 62, PA: 30 }, 4, 1) },
      {
        id: 'hard',
        word: 'Hard, glossy',
        ofHundred: shares({ PE: 12, PP: 35, POM: 36, PA: 67, TPU: 3 }, 92, 30),
      },
      { id: 'rubbery', word: 'Like rubber', ofHundred: shares({ TPU: 95, PE: 3, PP: 3, PVC: 6 }, 1, 0) },
      { id: 'cold', word: 'Cold and heavy', ofHundred: shares({}, 1, 70) },
    ],
    source: 'ISO 8295 (friction); heat drawn by metals',
  },
  {
    id: 'magnet',
    question: 'Does a magnet stick?',
    how: '',
    answers: [
      { id: 'sticks', word: 'Sticks', ofHundred: attracts },
      { id: 'not', word: 'Does not', ofHundred: rest(attracts) },
    ],
    source: 'Steel is magnetic; stainless 1.4301 mostly not',
  },
];

/** How often household parts are made of each, before anything was tried; ours. */
const COMMON: Record<OldMaterial, number> = {
  PP: 18,
  PE: 7,
  ABS: 22,
  PS: 8,
  PA: 10,
  POM: 7,
  PC: 4,
  PVC: 4,
  PMMA: 1,
  PF: 2,
  TPU: 3,
  aluminium: 4,
  brass: 2,
  zinc: 4,
  steel: 4,
};

/** A material that the old part may be of, and how likely. */
export interface Likely {
  material: OldMaterial;
  probability: number;
}

/**
 * What the old part is most likely made of (Bayes, clues taken as independent), most likely first. Answers that nobody knows are passed over.
 *
 * @param answers by the id of the clue.
 */
export function oldMaterial(answers: Readonly<Record<string, string>>): Likely[] {
  const given = CLUES.flatMap(({ id, answers: known }) =>
    known.filter((answer) => answer.id === ownValue(answers, id)),
  );
  const weights = OLD_MATERIALS.map((material) => ({
    material,
    // Nothing is impossible on a bench: a clue may have been misread.
    weight: given.reduce(
      (product, { ofHundred }) => product * (0.01 + ofHundred[material] / 100),
      COMMON[material],
    ),
  }));
  const all = weights.reduce((sum, { weight }) => sum + weight, 0);
  return weights
    .map(({ material, weight }) => ({ material, probability: weight / all }))
    .sort((a, b) => b.probability - a.probability);
}

/** How much one answer makes a material more likely against all others: above 1 it speaks for it. */
export function speaksFor(clueId: string, answerId: string, material: OldMaterial): number {
  const answer = CLUES.find(({ id }) => id === clueId)?.answers.find(({ id }) => id === answerId);
  if (!answer) return 1;
  const others = OLD_MATERIALS.filter((other) => other !== material);
  const common = others.reduce((sum, other) => sum + COMMON[other], 0);
  const usual = others.reduce((sum, other) => sum + COMMON[other] * answer.ofHundred[other], 0) / common;
  return (1 + answer.ofHundred[material]) / (1 + usual);
}
