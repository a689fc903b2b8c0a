import { colours } from './colours';

/** Relative luminance of WCAG 2.2. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const channel = parseInt(hex.slice(at, at + 2), 16) / 255;
    return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

test('contrast is computed as WCAG does', () => {
  expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5);
});

const grounds = { paper: colours.paper, card: colours.card, bench: colours.bench };
const inks = {
  ink: colours.ink,
  muted: colours.muted,
  green: colours.green.DEFAULT,
  brass: colours.brass.DEFAULT,
  plum: colours.plum.DEFAULT,
  rust: colours.rust.DEFAULT,
  moss: colours.moss.DEFAULT,
  slate: colours.slate.DEFAULT,
};
describe('text has a contrast of at least 4.5 (WCAG AA)', () => {
  for (const [inkName, ink] of Object.entries(inks)) {
    test.each(Object.entries(grounds))(`${inkName} on %s`, (_, ground) =>
      expect(contrast(ink, ground)).toBeGreaterThanOrEqual(4.5),
    );
  }
  test.each(['green', 'brass', 'plum', 'rust', 'moss', 'slate'] as const)('%s on its soft ground', (name) =>
    expect(contrast(colours[name].DEFAULT, colours[name].soft)).toBeGreaterThanOrEqual(4.5),
  );
  test('card on green, ink and rust', () => {
    for (const ground of [colours.green.DEFAULT, colours.ink, colours.rust.DEFAULT]) {
      expect(contrast(colours.card, ground)).toBeGreaterThanOrEqual(4.5);
    }
  });
});

test('borders of controls have a contrast of at least 3 (WCAG 1.4.11)', () => {
  expect(contrast(colours.rule, colours.card)).toBeGreaterThanOrEqual(3);
  expect(contrast(colours.rule, colours.paper)).toBeGreaterThanOrEqual(3);
});
