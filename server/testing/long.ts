/** Long tests run with EVEN_SPARE_LONG=1; what they found stands in docs/kept-safe.md. */
export const LONG = process.env.EVEN_SPARE_LONG === '1';
