import { MEASURING } from './measuring';
import { OURS } from './ours';
import { PRINTING } from './printing';
import { SHAPING } from './shaping';
import type { Term } from './term';

export { glossaryDocument } from './document';
export type { Term, TermDrawing } from './term';

const TERMS_BY_ID = { ...PRINTING, ...MEASURING, ...SHAPING, ...OURS };

/** A word that the glossary explains. */
export type TermId = keyof typeof TERMS_BY_ID;

/** Every word of the glossary. */
export const TERMS: Readonly<Record<TermId, Term>> = TERMS_BY_ID;
