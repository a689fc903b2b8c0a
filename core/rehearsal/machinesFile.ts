import { z } from 'zod';

import { no, ok, type Fault, type Result } from '@core/fault';
import { faultOfIssue, FeatureKind } from '@core/model';

/**
 * A printer as it really is, for rehearsals: what it makes of a size is asked + offset + scale × asked, and it scatters about that.
 */
export const RealMachine = z.strictObject({
  name: z.string().min(1).max(80),
  /** Made less asked, on the diameter, mm; kinds that are not named come out as asked. */
  habits: z
    .array(
      z.strictObject({
        feature: FeatureKind,
        offsetMm: z.number().min(-2).max(2),
        /** Share of the size, as −0.002 for 0.2 % smaller. */
        scale: z.number().min(-0.05).max(0.05).default(0),
      }),
    )
    .max(4),
  /** One standard deviation of what it makes, mm. */
  scatterMm: z.number().positive().max(1),
});
export type RealMachine = z.infer<typeof RealMachine>;

const MachinesFile = z.strictObject({ machines: z.array(RealMachine).min(1).max(500) });

/** Machines from the text of a file; documented in docs/learning.md. */
export function readMachinesFile(text: string): Result<RealMachine[], Fault> {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return no({ code: 'file.notJson' });
  }
  const parsed = MachinesFile.safeParse(data);
  return parsed.success ? ok(parsed.data.machines) : no(faultOfIssue(parsed.error.issues[0]!));
}

/** What the machine makes of a size on average, mm. */
export function meanMade({ habits }: RealMachine, feature: FeatureKind, askedMm: number): number {
  const habit = habits.find((one) => one.feature === feature);
  return habit ? askedMm * (1 + habit.scale) + habit.offsetMm : askedMm;
}
