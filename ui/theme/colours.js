/** The palette, in one place for the style sheet, the drawings and the part view. Contrast: colours.test.ts. */
const colours = {
  paper: '#F4F1E9',
  card: '#FFFDF9',
  bench: '#EDE8DB',
  ink: '#20282A',
  muted: '#5F6561',
  line: '#DCD6C8',
  rule: '#8C8674',
  green: { DEFAULT: '#1D5A4E', soft: '#E1ECE5' },
  brass: { DEFAULT: '#85590A', soft: '#F6EBD3' },
  plum: { DEFAULT: '#77386A', soft: '#F3E5EF' },
  rust: { DEFAULT: '#A53A22', soft: '#F7E2DA' },
  moss: { DEFAULT: '#3D6A2A', soft: '#E4EDDA' },
  slate: { DEFAULT: '#4F5E6B', line: '#73828F', soft: '#DCE1E4' },
  putty: { DEFAULT: '#E3CFAE', cut: '#F6ECD9' },
};

module.exports = { colours };
