/** What a thing is to the eye: smooth and round, with a thread, with flats, or a groove. */
export const FORMS = ['round', 'thread', 'flats', 'groove'] as const;
export type Form = (typeof FORMS)[number];

/** A standard thing that a size may be a size of. */
export interface StandardThing {
  /** "Bearing seat 22, series 10, bore 8". */
  name: string;
  /** The standard with its table or clause, or whose habit it is. */
  source: string;
  form: Form;
  /** What the size is called in the standard, mm. */
  nominalMm: number;
  /** Which diameter was measured, where that is not the one that the standard is called by. */
  across?: 'over the crests' | 'between the crests';
  /** Where sound examples of it measure, mm. */
  fromMm: number;
  toMm: number;
  /** Measured over the outside, or inside a hole. */
  side: 'outside' | 'inside' | 'width';
  /** How often one meets it, against other things: prior weight. */
  common: number;
  /** Pitch of a thread, mm, to hold against a pitch that was measured. */
  pitchMm?: number;
}

export const INCH_MM = 25.4;

/** "1 1/2" for 24 sixteenths. */
export function inchWords(sixteenths: number): string {
  const whole = Math.floor(sixteenths / 16);
  let [over, under] = [sixteenths % 16, 16];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  return [whole > 0 ? String(whole) : '', over > 0 ? `${over}/${under}` : ''].filter(Boolean).join(' ');
}
