import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { ZodError } from 'zod';

import type { Fault } from '@core/fault';
import { pathText, REPAIR_FILE_LIMIT_BYTES, type Refusal } from '@core/model';
import { sentenceOf } from '@core/wording';

/** Thrown by a route to say no. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly fault: Fault,
  ) {
    super(fault.code);
  }

  /** With the status that goes with the fault. */
  static of(fault: Fault): Refused {
    const status =
      fault.code === 'row.stale' || fault.code === 'row.frozen'
        ? 409
        : fault.code === 'row.missing'
          ? 404
          : 422;
    return new Refused(status, fault);
  }
}

const refusal = (fault: Fault): Refusal => ({ fault, sentence: sentenceOf(fault) });

/** Turns everything thrown into a refusal; what is nobody's mistake but ours is logged and says no more than that. */
export function refuse(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = knownRefusal(error);
    if (known) {
      response.status(known.status).json(refusal(known.fault));
      return;
    }
    log.error({ error }, 'a request failed');
    response.status(500).json({
      fault: { code: 'server.failed' },
      sentence: 'Something went wrong on the server. Nothing was changed; try again.',
    });
  };
}

function knownRefusal(error: unknown): Refused | null {
  if (error instanceof Refused) return error;
  if (error instanceof ZodError) {
    const issue = error.issues[0]!;
    return new Refused(400, { code: 'field.invalid', path: pathText(issue.path), message: issue.message });
  }
  if (error instanceof URIError) {
    return new Refused(400, { code: 'field.invalid', path: 'address', message: 'it is not well formed' });
  }
  // What Express's body reader throws.
  const type = (error as { type?: unknown }).type;
  if (type === 'entity.too.large') {
    const bytes = Number((error as { length?: unknown }).length) || REPAIR_FILE_LIMIT_BYTES + 1;
    return new Refused(413, { code: 'file.tooBig', bytes, limitBytes: REPAIR_FILE_LIMIT_BYTES });
  }
  if (type === 'entity.parse.failed') return new Refused(400, { code: 'file.notJson' });
  if (
    typeof type === 'string' &&
    (type.startsWith('encoding') ||
      type.startsWith('charset') ||
      type.startsWith('request.') ||
      type.startsWith('entity'))
  ) {
    return new Refused(400, { code: 'field.invalid', path: 'request', message: 'its body can’t be read' });
  }
  return null;
}
