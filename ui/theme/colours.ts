import { mapped, PALETTES } from './palettes';

/** Colours for styles and drawings in the page, as variables of the style sheet: they follow the light on the bench by themselves. */
export const colours = mapped(PALETTES.bright, (variable) => `var(${variable})`);
