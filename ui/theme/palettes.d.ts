/** Colours by their names, as hex or as what stands for them. */
export interface Palette {
  paper: string;
  card: string;
  bench: string;
  ink: string;
  muted: string;
  line: string;
  rule: string;
  green: { DEFAULT: string; soft: string };
  brass: { DEFAULT: string; soft: string };
  plum: { DEFAULT: string; soft: string };
  rust: { DEFAULT: string; soft: string };
  moss: { DEFAULT: string; soft: string };
  slate: { DEFAULT: string; line: string; soft: string };
  putty: { DEFAULT: string; cut: string };
  /** Over what a sheet lies on. */
  shade: string;
}
export type BenchLight = 'bright' | 'dim';
export declare const PALETTES: Record<BenchLight, Palette>;
export declare function mapped(palette: Palette, to: (variable: string, hex: string) => string): Palette;
export declare function variablesOf(bench: BenchLight): Record<string, string>;
