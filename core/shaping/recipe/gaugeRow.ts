import { numberValue, type Body, type Fit, type Step } from '@core/record/model';

/** How much looser than the working size each place is, mm: below zero is tighter. */
export const GAUGE_STEPS_MM: readonly number[] = [-0.3, -0.2, -0.1, 0, 0.1, 0.2, 0.3, 0.4, 0.5];

/** Small hollows that count tenths: their width, depth and distance. */
const DOT_MM = 1.2;
const DOT_DEEP_MM = 0.5;
const DOTS_APART_MM = 2;
const NAME_MM = 3.5;
const MARGIN_MM = 3;
/** Room between holes, so that they keep their form, and for five dots in a row. */
const BETWEEN_MM = 3;
const DOTS_ROOM_MM = 11;
const HOLE_DEEP_MM = 5;
const PEG_HIGH_MM = 8;
const PEG_BASE_MM = 3;

/** Whether a gauge row can be made for a fit: for what is round. */
export const hasGaugeRow = ({ feature }: Pick<Fit, 'feature'>): boolean =>
  feature === 'bore' || feature === 'peg';

/**
 * A small plate with holes (or pegs) from 0.3 mm tighter to 0.5 mm looser than a working size, to find by feel how freely something should go. Dots count
 * the tenths: those before a place how much looser it is, those behind it how much tighter. (Letters would take a minute to build.) Its numbers stay what they were when it was laid out. Null for a fit of something that is not round, or so tight that nothing would be left.
 *
 * @param workingMm the working size, a diameter.
 * @param label marks the plate: the size's tag.
 */
export function gaugeRow(
  fit: Pick<Fit, 'feature' | 'name'>,
  workingMm: number,
  label: string,
  newId: () => string,
): Body | null {
  const tightestMm = Math.min(...GAUGE_STEPS_MM);
  if (!hasGaugeRow(fit) || workingMm + tightestMm < 0.5) return null;
  const isHole = fit.feature === 'bore';
  const widestMm = workingMm + Math.max(...GAUGE_STEPS_MM);
  const pitchMm = Math.max(widestMm + BETWEEN_MM, DOTS_ROOM_MM);
  const lengthMm = GAUGE_STEPS_MM.length * pitchMm + 2;
  const dotsMm = widestMm / 2 + MARGIN_MM;
  const breadthMm = widestMm + 4 * MARGIN_MM + 2 * NAME_MM;
  const nameMm = -breadthMm / 2 + MARGIN_MM / 2 + NAME_MM / 2;
  const at = (x: number, y: number) => ({ on: 'top' as const, x: rounded(x), y: rounded(y) });
  const steps: Step[] = [
    {
      id: newId(),
      kind: 'plate',
      length: rounded(lengthMm),
      breadth: rounded(breadthMm),
      thickness: numberValue(isHole ? HOLE_DEEP_MM : PEG_BASE_MM),
      cornerRadius: numberValue(1.5),
    },
  ];
  const places = GAUGE_STEPS_MM.map((looserMm, index) => ({
    looserMm,
    x: (index - (GAUGE_STEPS_MM.length - 1) / 2) * pitchMm,
  }));
  // All marks before the pegs, whose ends are the top then.
  for (const { looserMm, x } of places) {
    const count = Math.round(Math.abs(looserMm) * 10);
    if (count === 0) continue;
    const first: Step = {
      id: newId(),
      kind: 'hole',
      diameter: numberValue(DOT_MM),
      depth: numberValue(DOT_DEEP_MM),
      ...at(x - ((count - 1) * DOTS_APART_MM) / 2, looserMm > 0 ? -dotsMm : dotsMm),
    };
    steps.push(first);
    if (count > 1) {
      const pattern = { by: 'row', count, dx: numberValue(DOTS_APART_MM), dy: numberValue(0) } as const;
      steps.push({ id: newId(), kind: 'pattern', of: first.id, pattern });
    }
  }
  steps.push({
    id: newId(),
    kind: 'text',
    effect: 'cut',
    text: `${label} ${workingMm.toFixed(2)}`,
    height: numberValue(NAME_MM),
    depth: numberValue(DOT_DEEP_MM),
    turn: 0,
    ...at(0, nameMm),
  });
  for (const [index, { looserMm, x }] of places.entries()) {
    // A larger hole is looser, and a smaller peg.
    const diameter = rounded(isHole ? workingMm + looserMm : workingMm - looserMm);
    // The top is the end of the first peg once that stands: the others begin so much lower.
    const lift = index > 0 ? { lift: numberValue(-PEG_HIGH_MM) } : {};
    steps.push(
      isHole
        ? { id: newId(), kind: 'hole', diameter, depth: 'through', ...at(x, 0) }
        : { id: newId(), kind: 'peg', diameter, height: numberValue(PEG_HIGH_MM), ...at(x, 0), ...lift },
    );
  }
  const name = `Gauge row, ${fit.name}`.slice(0, 80);
  return { id: newId(), version: 0, name, role: 'spare', steps, removed: false };
}

const rounded = (mm: number) => numberValue(Math.round(mm * 100) / 100);
