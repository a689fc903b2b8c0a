import { randomUUID } from 'node:crypto';

import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { ZodError } from 'zod';

import type { Fault } from '@core/foundations/fault';
import { pathText, type Refusal } from '@core/record/model';
import { sentenceOf } from '@core/reporting/wording';

import { storageFault } from './database/storageFault';
import { Trouble } from './trouble';

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
    return new Refused(STATUS[fault.code] ?? 422, fault);
  }
}

/** Status of the faults that have one of their own; the others were understood, but are not possible: 422. */
const STATUS: Partial<Record<Fault['code'], number>> = {
  'row.stale': 409,
  'row.frozen': 409,
  'change.idTaken': 409,
  'row.missing': 404,
  'job.missing': 404,
  'job.over': 409,
  'job.idTaken': 409,
  'job.tooBig': 413,
  'workshop.tooLarge': 413,
  'server.tooManyGuesses': 429,
  'job.machineBusy': 409,
  'change.tooLarge': 413,
  'file.tooBig': 413,
  'photo.tooBig': 413,
  'scan.tooBig': 413,
};

const refusal = (fault: Fault): Refusal => ({ fault, sentence: sentenceOf(fault) });

/**
 * Turns everything thrown into a refusal. What the storage can't do is said by its name; what is nobody's mistake but
 * ours is logged under a report that the answer names, and says no more than that.
 */
export function refuse(log: Logger, dataFolder: string): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = knownRefusal(error);
    if (known) {
      response.status(known.status).json(refusal(known.fault));
      return;
    }
    const trouble = error instanceof Trouble ? error.fault : storageFault(error, dataFolder);
    const report = randomUUID().slice(0, 8);
    log.error({ err: error, report, method: request.method, path: request.path }, 'a request failed');
    response.status(trouble ? 503 : 500).json(refusal(trouble ?? { code: 'server.failed', report }));
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
  const { type, code, status, length, limit } = (error ?? {}) as Record<string, unknown>;
  // A body that is not packed as it says, or that ends before it should.
  if (typeof code === 'string' && /^(Z_|ERR__ERROR_FORMAT|ERR_BROTLI|ERR_ZLIB)/.test(code)) {
    return new Refused(400, { code: 'request.notUnpacked' });
  }
  // What Express's body reader throws.
  if (type === 'entity.too.large') {
    const limitBytes = Number(limit) || 0;
    return new Refused(413, {
      code: 'request.tooLarge',
      bytes: Number(length) || limitBytes + 1,
      limitBytes,
    });
  }
  if (typeof type === 'string' && /^(encoding|charset|request\.|entity)/.test(type)) {
    return new Refused(400, { code: 'field.invalid', path: 'request', message: 'its body can’t be read' });
  }
  // What else is the sender's mistake by Express's own word.
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return new Refused(status, { code: 'field.invalid', path: 'request', message: 'it is not well formed' });
  }
  return null;
}
