import { colours } from './colours';
import { PALETTES, variablesOf } from './palettes';

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

describe.each(Object.entries(PALETTES))('on a %s bench', (_, palette) => {
  const grounds = { paper: palette.paper, card: palette.card, bench: palette.bench };
  const inks = {
    ink: palette.ink,
    muted: palette.muted,
    green: palette.green.DEFAULT,
    brass: palette.brass.DEFAULT,
    plum: palette.plum.DEFAULT,
    rust: palette.rust.DEFAULT,
    moss: palette.moss.DEFAULT,
    slate: palette.slate.DEFAULT,
  };
  describe('text has a contrast of at least 4.5 (WCAG AA)', () => {
    for (const [inkName, ink] of Object.entries(inks)) {
      test.each(Object.entries(grounds))(`${inkName} on %s`, (_, ground) =>
        expect(contrast(ink, ground)).toBeGreaterThanOrEqual(4.5),
      );
    }
    test.each(['green', 'brass', 'plum', 'rust', 'moss', 'slate'] as const)('%s on its soft ground', (name) =>
      expect(contrast(palette[name].DEFAULT, palette[name].soft)).toBeGreaterThanOrEqual(4.5),
    );
    test('card on green, ink and rust', () => {
      for (const ground of [palette.green.DEFAULT, palette.ink, palette.rust.DEFAULT]) {
        expect(contrast(palette.card, ground)).toBeGreaterThanOrEqual(4.5);
      }
    });
  });

  test('ink stands out from the faces of a part', () => {
    for (const face of [palette.putty.DEFAULT, palette.putty.cut]) {
      expect(contrast(palette.ink, face)).toBeGreaterThanOrEqual(3);
    }
  });

  test('borders of controls have a contrast of at least 3 (WCAG 1.4.11)', () => {
    expect(contrast(palette.rule, palette.card)).toBeGreaterThanOrEqual(3);
    expect(contrast(palette.rule, palette.paper)).toBeGreaterThanOrEqual(3);
  });
});

test('styles go by variables that either bench gives a colour', () => {
  const names = [colours.ink, colours.green.soft, colours.putty.cut].map((colour) => colour.slice(4, -1));
  expect(names).toEqual(['--ink', '--green-soft', '--putty-cut']);
  for (const bench of ['bright', 'dim'] as const) {
    const variables = variablesOf(bench);
    for (const name of names) expect(variables[name]).toMatch(/^#[0-9A-F]{6}$/);
  }
  expect(variablesOf('dim')['--ink-rgb']).toBe('236 231 219');
});
