export declare const colours: {
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
};
