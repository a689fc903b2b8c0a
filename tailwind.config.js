const plugin = require('tailwindcss/plugin');

const { PALETTES, mapped, variablesOf } = require('./ui/theme/palettes.js');

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./app/**/*.{ts,tsx}', './ui/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
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
    plugin(({ addBase }) =>
      addBase({
        ':root': { ...variablesOf('bright'), 'color-scheme': 'light' },
        ":root[data-bench='dim']": { ...variablesOf('dim'), 'color-scheme': 'dark' },
        // Paper is bright.
        '@media print': { ":root, :root[data-bench='dim']": variablesOf('bright') },
      }),
    ),
  ],
};
