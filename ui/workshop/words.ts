import type { FeatureKind, Instrument, MaterialFamily, Process } from '@core/record/model';

export const PROCESS_WORDS: Record<Process, string> = {
  printing: 'Layer printing',
  resin: 'Cured resin',
  casting: 'Casting',
  machining: 'Machining',
  sheet: 'Sheet, saw and file',
};

export const FAMILY_WORDS: Record<MaterialFamily, string> = {
  plastic: 'hard plastic',
  soft: 'soft plastic',
  resin: 'resin',
  metal: 'metal',
  wood: 'wood',
};

export const FEATURE_WORDS: Record<FeatureKind, string> = {
  inside: 'Insides, such as holes',
  outside: 'Outsides, such as pegs',
  spacing: 'Spacings of holes',
  height: 'Heights and depths',
};

export const INSTRUMENT_WORDS: Record<Instrument['kind'], string> = {
  caliper: 'Caliper',
  micrometer: 'Micrometer',
  rule: 'Rule',
  tape: 'Tape',
  protractor: 'Protractor',
  gauge: 'Gauge',
};
