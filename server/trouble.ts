import type { ServerFault } from '@core/foundations/fault';
import { sentenceOf } from '@core/reporting/wording';

/** Thrown where something can't be kept, or the server can't start; its fault has a sentence. */
export class Trouble extends Error {
  override name = 'Trouble';
  constructor(
    readonly fault: ServerFault,
    options?: ErrorOptions,
  ) {
    super(sentenceOf(fault), options);
  }
}
