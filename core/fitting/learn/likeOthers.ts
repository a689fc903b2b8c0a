import { FeatureKind, type Correction, type Machine, type MaterialFamily } from '@core/record/model';
import { NORMAL_95 } from '@core/record/workshop';

/**
 * A machine that begins with what trials taught of others that make the same way: of each kind of feature the middle of theirs, and as doubtful as they
 * differ and are doubtful themselves. Null where none of them has learned, or the machine has itself.
 *
 * @param others all machines of the workshop.
 */
export function likeOthers(
  machine: Machine,
  others: readonly Machine[],
): { machine: Machine; names: string[] } | null {
  if (machine.corrections.some(({ learned }) => learned)) return null;
  const taught = others.filter(
    ({ id, process, removed, corrections }) =>
      !removed &&
      id !== machine.id &&
      process === machine.process &&
      corrections.some(({ learned }) => learned),
  );
  if (taught.length === 0) return null;
  const families = new Set(
    taught.flatMap(({ corrections }) =>
      corrections.flatMap(({ family, learned }) => (learned ? [family] : [])),
    ),
  );
  const learned = [...families].flatMap((family) =>
    FeatureKind.options.flatMap((feature) => middleOf(taught, family as MaterialFamily, feature) ?? []),
  );
  const isNew = ({ family, feature }: Correction) =>
    learned.some((one) => one.family === family && one.feature === feature);
  const corrections = [...machine.corrections.filter((one) => !isNew(one)), ...learned];
  return { machine: { ...machine, corrections }, names: taught.map(({ name }) => name) };
}

/** A single machine differs from another of its kind by about this much, one standard deviation, mm. */
const BETWEEN_MM = 0.04;

function middleOf(
  taught: readonly Machine[],
  family: MaterialFamily,
  feature: FeatureKind,
): Correction | null {
  const all = taught.flatMap(({ name, corrections }) =>
    corrections.flatMap((one) =>
      one.learned && one.family === family && one.feature === feature ? [{ name, ...one }] : [],
    ),
  );
  if (all.length === 0) return null;
  const mean = (of: (one: Correction) => number) => all.reduce((sum, one) => sum + of(one), 0) / all.length;
  const offsetMm = mean((one) => one.offsetMm);
  const between =
    all.length < 2
      ? BETWEEN_MM ** 2
      : all.reduce((sum, one) => sum + (one.offsetMm - offsetMm) ** 2, 0) / (all.length - 1);
  const own = mean((one) => (one.plusMinusMm / NORMAL_95) ** 2);
  return {
    family,
    feature,
    offsetMm: Math.round(offsetMm * 1000) / 1000,
    scale: mean((one) => one.scale),
    plusMinusMm: Math.round(NORMAL_95 * Math.sqrt(Math.max(between, BETWEEN_MM ** 2) + own) * 1000) / 1000,
    learnedFrom: `as ${all.map(({ name }) => name).join(', ')} ${all.length === 1 ? 'does' : 'do'}`.slice(
      0,
      120,
    ),
  };
}
