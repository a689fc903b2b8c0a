import { z } from 'zod';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { faultOfIssue } from '@core/record/model';

import { drawPopulation, Population } from './population';
import { RealMachine } from './realMachine';

const MachinesFile = z.strictObject({ machines: z.array(RealMachine).min(1).max(500) });
const PopulationFile = z.strictObject({ population: Population });

/**
 * Machines from the text of a file: one by one, or drawn from a population. Documented in docs/learning.md.
 *
 * @param seed of the draw.
 */
export function readMachinesFile(text: string, seed: number): Result<RealMachine[], Fault> {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return no({ code: 'file.notJson' });
  }
  if (typeof data === 'object' && data !== null && 'population' in data) {
    const parsed = PopulationFile.safeParse(data);
    return parsed.success
      ? ok(drawPopulation(parsed.data.population, seed))
      : no(faultOfIssue(parsed.error.issues[0]!));
  }
  const parsed = MachinesFile.safeParse(data);
  return parsed.success ? ok(parsed.data.machines) : no(faultOfIssue(parsed.error.issues[0]!));
}
