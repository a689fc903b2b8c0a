const plugin = require('tailwindcss/plugin');

/** Type grows with what a person asked for; what has little room, up to one and a half times or a quarter more. */
const TYPE = 'var(--type)';
const grown = (value, most) =>
  /^[\d.]+(px|rem)$/.test(value) ? `calc(${value} * ${most ? `min(${TYPE}, ${most})` : TYPE})` : value;
const typeUtilities = ({ matchUtilities, theme }) => {
  const sizes = Object.fromEntries(
    Object.entries(theme('fontSize')).map(([name, value]) => [name, [value].flat()[0]]),
  );
  const of = (values) => ({ values, type: ['length', 'number'] });
  matchUtilities({ text: (value) => ({ 'font-size': grown(value) }) }, of(sizes));
  matchUtilities({ 'text-half': (value) => ({ 'font-size': grown(value, 1.5) }) }, of(sizes));
  matchUtilities({ 'text-quarter': (value) => ({ 'font-size': grown(value, 1.25) }) }, of(sizes));
  matchUtilities({ leading: (value) => ({ 'line-height': grown(value) }) }, of(theme('lineHeight')));
};

const { PALETTES, mapped, variablesOf } = require('./ui/theme/palettes.js');

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./app/**/*.{ts,tsx}', './ui/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  // In place of them, those below.
  corePlugins: { fontSize: false, lineHeight: false },
  theme: {
    extend: {
      colors: mapped(PALETTES.bright, (variable) => `rgb(var(${variable}-rgb) / <alpha-value>)`),
      fontFamily: {
        sans: ['Barlow_400Regular'],
        medium: ['Barlow_500Medium'],
        semibold: ['Barlow_600SemiBold'],
        label: ['BarlowSemiCondensed_500Medium'],
        number: ['BarlowSemiCondensed_600SemiBold'],
      },
      borderRadius: { DEFAULT: '5px', sm: '4px', lg: '6px' },
    },
  },
  plugins: [
    plugin(typeUtilities),
    plugin(({ addBase }) =>
      addBase({
        ':root': { ...variablesOf('bright'), 'color-scheme': 'light', '--type': '1' },
        ":root[data-bench='dim']": { ...variablesOf('dim'), 'color-scheme': 'dark' },
        // Paper is bright.
        '@media print': { ":root, :root[data-bench='dim']": variablesOf('bright') },
      }),
    ),
  ],
};
