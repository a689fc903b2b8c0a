import type { Fault, FaultCode } from '@core/foundations/fault';

import { ADDED } from './added';
import { ANY_STEP } from './anyStep';
import { CHANGED } from './changed';
import { FILES } from './files';
import { FORMULA } from './formula';
import { FOUND } from './found';
import { MADE } from './made';
import { MEASURED } from './measured';
import { OUTLINE } from './outline';
import { PLAIN } from './plain';
import { ROWS } from './rows';
import { SERVER } from './server';
import { TYPED } from './typed';
import { VALUE } from './value';
import type { Sentences } from './sentences';

const SENTENCES: Sentences<Fault> = {
  ...ADDED,
  ...ANY_STEP,
  ...CHANGED,
  ...FILES,
  ...FORMULA,
  ...FOUND,
  ...MADE,
  ...MEASURED,
  ...OUTLINE,
  ...PLAIN,
  ...ROWS,
  ...SERVER,
  ...TYPED,
  ...VALUE,
};

/** The sentence for a fault, for a screen, the CLI or a refusal of the API. */
export function sentenceOf(fault: Fault): string {
  return (SENTENCES[fault.code] as (fault: Fault) => string)(fault);
}

/** Codes that have a sentence; for the test that none is missing. */
export const FAULT_CODES = Object.keys(SENTENCES) as FaultCode[];

/** True for data that has the shape of a fault we know, for what comes over a border. */
export function isKnownFault(data: { code: string }): data is Fault {
  return data.code in SENTENCES;
}
