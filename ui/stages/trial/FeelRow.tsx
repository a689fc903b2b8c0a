import { Verdict } from '@core/record/model';
import { VERDICT_WORDS } from '@core/reporting/numberWords';

import { DrawnChoice } from '../../shared/DrawnChoice';
import { DEEPEST, DrawnFit } from '../../shared/DrawnFit';

/** What is drawn for each. */
const DRAWN: Record<Verdict, { gap: number; lean: number; deep: number }> = {
  rattles: { gap: 6, lean: 9, deep: DEEPEST },
  loose: { gap: 3, lean: 3, deep: DEEPEST },
  right: { gap: 1, lean: 0, deep: DEEPEST },
  stiff: { gap: -1, lean: 0, deep: 20 },
  willNotGo: { gap: -4, lean: 0, deep: 2 },
};

/** How it went, from rattling to will not go: five drawn fits, one tap. */
export function FeelRow({
  name,
  value,
  onChange,
}: {
  name: string;
  value: Verdict | null;
  onChange(verdict: Verdict | null): void;
}) {
  return (
    <DrawnChoice
      label={`How it went: ${name}`}
      options={Verdict.options.map((verdict) => ({
        id: verdict,
        word: VERDICT_WORDS[verdict],
        drawing: <DrawnFit {...DRAWN[verdict]} />,
      }))}
      value={value}
      onChange={(verdict) => onChange(verdict === value ? null : verdict)}
    />
  );
}
