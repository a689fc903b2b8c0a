const { colours } = require('./ui/theme/colours.js');

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./app/**/*.{ts,tsx}', './ui/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  theme: {
    extend: {
      colors: colours,
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
  plugins: [],
};
