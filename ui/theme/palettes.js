/** The palettes, by the bench that they are for. One grammar: every name means the same on both. Contrast: colours.test.ts. */
const PALETTES = {
  bright: {
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
    shade: '#20282A',
  },
  dim: {
    paper: '#1D2120',
    card: '#272C2A',
    bench: '#161918',
    ink: '#ECE7DB',
    muted: '#ACB0A8',
    line: '#3B413E',
    rule: '#878C7E',
    green: { DEFAULT: '#86C9B4', soft: '#21372F' },
    brass: { DEFAULT: '#E2B661', soft: '#393019' },
    plum: { DEFAULT: '#DDA4D0', soft: '#3A2836' },
    rust: { DEFAULT: '#F29A83', soft: '#43271F' },
    moss: { DEFAULT: '#A6CE8F', soft: '#283621' },
    slate: { DEFAULT: '#AEBCC7', line: '#83929E', soft: '#2D363C' },
    putty: { DEFAULT: '#5B5344', cut: '#7B6F58' },
    shade: '#000000',
  },
};

/** The name of a colour's variable: --green, --green-soft. */
const variableOf = (name, shade) => (shade && shade !== 'DEFAULT' ? `--${name}-${shade}` : `--${name}`);

/** What a value becomes, with the name of its variable, shade by shade. */
const mapped = (palette, to) =>
  Object.fromEntries(
    Object.entries(palette).map(([name, colour]) => [
      name,
      typeof colour === 'string'
        ? to(variableOf(name), colour)
        : Object.fromEntries(
            Object.entries(colour).map(([shade, hex]) => [shade, to(variableOf(name, shade), hex)]),
          ),
    ]),
  );

const channelsOf = (hex) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)).join(' ');

/** The variables of a bench, for the style sheet: each colour, and its channels for one that is let through. */
function variablesOf(bench) {
  const variables = {};
  mapped(PALETTES[bench], (name, hex) => {
    variables[name] = hex;
    variables[`${name}-rgb`] = channelsOf(hex);
  });
  return variables;
}

module.exports = { PALETTES, mapped, variablesOf };
