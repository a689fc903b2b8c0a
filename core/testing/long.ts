/**
 * Whether the long runs are asked for, with EVEN_SPARE_LONG=1. What they found stands in docs/kept-safe.md and
 * docs/kernel-notes.md; without it the same tests try less of the same.
 */
export const LONG = process.env.EVEN_SPARE_LONG === '1';
