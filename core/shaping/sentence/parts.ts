import {
  isTaken,
  type PlainNumber,
  type PlainQuantity,
  type TakenNumber,
  type Value,
} from '@core/record/model';
import { ownValue } from '@core/foundations/own';

/** Choices that are drawn where they are made; each is built from its example. */
export const CHOICE_FIGURES = [
  'outlineCircle',
  'outlineEllipse',
  'outlineRectangle',
  'outlineSlot',
  'outlinePolygon',
  'outlineSector',
  'outlineHull',
  'outlinePoints',
  'outlineDrawn',
  'outlineGear',
  'outlineRack',
  'depthThrough',
  'depthFlat',
  'depthPointed',
  'headSeat',
  'headSink',
  'headNut',
  'nutFar',
  'nutMouth',
  'nutSide',
  'patternRow',
  'patternGrid',
  'patternRoundAxle',
  'patternRoundPoint',
  'patternPath',
  'patternPoints',
  'edgesUpright',
  'edgesRims',
  'edgesTop',
  'edgesBottom',
  'edgesMouths',
  'edgesAll',
  'edgesInsides',
  'edgesBetween',
  'threadOutside',
  'threadInside',
  'betweenStraight',
  'betweenSmooth',
] as const;
export type ChoiceFigure = (typeof CHOICE_FIGURES)[number];

/** Other words, and what of the step they stand for, by the path of each thing they set: `outline`, `sections.1.turn`. */
export interface Option {
  word: string;
  patch: Record<string, unknown>;
  /** Something is to be picked on the part; the patch is made of what is picked. */
  pick?: PickWanted;
  /** What it stands among, in a long list. Options of a group follow each other. */
  group?: string;
  /** The drawing that it is chosen by. */
  figure?: ChoiceFigure;
}

/**
 * What is picked and where it goes: a face to stand on, the edges round a face, edges one by one, faces, a face whose
 * outline is taken, or a face by itself.
 */
export interface PickWanted {
  field: string;
  picks: 'ground' | 'rim' | 'edges' | 'faces' | 'outline' | 'face';
  /** Picked on this other body. */
  body?: string;
  /** The step has a place: an outline that is taken stays where it stands. */
  stays?: boolean;
}

/** What a plain number is, so that it is typed and read back in its own unit. */
export type PlainKind = PlainQuantity | 'words';

/** A column of a list of rows: the key in each row, and what it is called. */
export interface Column {
  key: string;
  word: string;
}

/** A piece of a recipe sentence: the verb, plain words, or something that can be tapped. */
export type SentencePart =
  | { kind: 'verb'; text: string }
  | { kind: 'words'; text: string }
  /** Words that can be tapped for others; taking one changes the step by `patch`. */
  | { kind: 'choice'; what: string; text: string; strong: boolean; options: Option[] }
  | { kind: 'chip'; field: string; what: string; value: Value }
  /** A number that is no length, or words: an angle in radians, a count, a factor. */
  | { kind: 'plain'; field: string; what: string; text: string; input: PlainKind; value: number | string }
  /** The same, taken from a size or a formula. */
  | { kind: 'taken'; field: string; what: string; input: PlainQuantity; value: TakenNumber }
  /** A list of rows of lengths, of which there are at least `least`. */
  | { kind: 'rows'; field: string; what: string; text: string; columns: Column[]; least: number }
  /** An outline that is drawn by hand, on a board of its own. */
  | { kind: 'drawing'; field: string; what: string; text: string };

export const verb = (text: string): SentencePart => ({ kind: 'verb', text });
export const words = (text: string): SentencePart => ({ kind: 'words', text });
export const chip = (field: string, what: string, value: Value): SentencePart => ({
  kind: 'chip',
  field,
  what,
  value,
});

/** An angle, radians. */
export const angle = (field: string, what: string, value: PlainNumber): SentencePart =>
  isTaken(value)
    ? { kind: 'taken', field, what, input: 'angle', value }
    : { kind: 'plain', field, what, text: degrees(value), input: 'angle', value };

/** A count or a factor. `after`: words that belong to the number, “24 teeth”. */
export function plainNumber(
  field: string,
  what: string,
  value: PlainNumber,
  input: Exclude<PlainQuantity, 'angle'>,
  after = '',
): SentencePart[] {
  if (isTaken(value)) {
    const taken: SentencePart = { kind: 'taken', field, what, input, value };
    return after ? [taken, words(` ${after}`)] : [taken];
  }
  const shown = String(value).replace('-', '−');
  return [{ kind: 'plain', field, what, text: after ? `${shown} ${after}` : shown, input, value }];
}

/** Letters that are typed. */
export const typedWords = (field: string, what: string, text: string): SentencePart => ({
  kind: 'plain',
  field,
  what,
  text: `“${text}”`,
  input: 'words',
  value: text,
});

/** The words of the option that holds now, with the others to choose from. */
export function choice(
  what: string,
  now: (option: Option) => boolean,
  options: readonly Option[],
  strong = false,
): SentencePart {
  const text = (options.find(now) ?? options[0]!).word;
  return { kind: 'choice', what, text, strong, options: [...options] };
}

/** Words for something that was added, which can be taken away again. */
export const added = (
  what: string,
  word: string,
  without: string,
  patch: Record<string, unknown>,
): SentencePart => ({
  kind: 'choice',
  what,
  text: word,
  strong: false,
  options: [
    { word, patch: {} },
    { word: without, patch },
  ],
});

/** A choice of one setting among named ones. */
export function setting<T>(
  field: string,
  what: string,
  value: T,
  options: readonly (readonly [T, string, ChoiceFigure?])[],
): SentencePart {
  return choice(
    what,
    ({ patch }) => ownValue(patch, field) === value,
    options.map(([of, word, figure]) => ({ word, patch: { [field]: of }, ...(figure ? { figure } : {}) })),
  );
}

/**
 * A sentence with its numbers filled in, for a screen reader and for plain text.
 * @param show the words of a number; `input` is what it is, where it is no length.
 */
export function spokenSentence(
  parts: readonly SentencePart[],
  show: (value: Value, input?: PlainQuantity) => string,
): string {
  return parts
    .map((part) => {
      if (part.kind === 'chip') return show(part.value);
      return part.kind === 'taken' ? show(part.value, part.input) : part.text;
    })
    .join('');
}

/** Radians as degrees, for reading. */
export const degrees = (radians: number): string => {
  const shown = Math.round(((radians * 180) / Math.PI) * 100) / 100;
  return `${String(shown).replace('-', '−')}°`;
};
