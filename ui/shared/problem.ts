import type { Fault } from '@core/foundations/fault';
import { sentenceOf } from '@core/reporting/wording';

/** What is wrong with what was typed; where it can be read in two ways, both, to be chosen from. */
export interface Problem {
  sentence: string;
  readings: readonly string[];
}

export const problemOf = (fault: Fault): Problem => ({
  sentence: sentenceOf(fault),
  readings: 'readings' in fault ? fault.readings : [],
});
