import { raw, type Request, type RequestHandler } from 'express';

import type { Fault } from '@core/foundations/fault';
import { JSON_DEPTH_LIMIT, JSON_VALUES_LIMIT } from '@core/record/model';

import { Refused } from '../refusal';
import { parseApart } from './parseApart';

const [QUOTE, BACKSLASH, COMMA, COLON] = [0x22, 0x5c, 0x2c, 0x3a];
const OPEN = new Set([0x5b, 0x7b]);
const CLOSE = new Set([0x5d, 0x7d]);

/** How much a body may have; `tooLarge` is the fault that tells of this limit. */
export interface BodyLimit {
  bytes: number;
  tooLarge?: 'request.tooLarge' | 'change.tooLarge' | 'file.tooBig' | 'job.tooBig' | 'workshop.tooLarge';
}

/**
 * Reads a body of JSON. How large, how deep and how full it is is looked at before it is parsed: a few packed
 * kilobytes can hold ten million brackets.
 */
export function boundedJson({ bytes: limitBytes, tooLarge = 'request.tooLarge' }: BodyLimit): RequestHandler {
  const read = raw({ type: () => true, limit: limitBytes });
  return (request, response, next) =>
    read(request, response, (error?: unknown) => {
      if (error === undefined) {
        parse(request).then(() => next(), next);
      } else if ((error as { type?: unknown }).type === 'entity.too.large') {
        const { length } = error as { length?: number };
        next(new Refused(413, { code: tooLarge, bytes: length ?? limitBytes + 1, limitBytes }));
      } else {
        next(error);
      }
    });
}

const BYTE_ORDER_MARK = Buffer.from([0xef, 0xbb, 0xbf]);
/** A larger body is parsed in a thread of its own: it would hold up whoever else asks something. */
const APART_FROM_BYTES = 2 * 1024 * 1024;

async function parse(request: Request): Promise<void> {
  const body: unknown = request.body;
  const bytes = withoutMark(Buffer.isBuffer(body) ? body : Buffer.alloc(0));
  const fault = tooMuchIn(bytes);
  if (fault) throw new Refused(400, fault);
  const parsed = bytes.length > APART_FROM_BYTES ? await parseApart(bytes) : parseHere(bytes);
  if (!parsed) throw new Refused(400, { code: 'file.notJson' });
  request.body = parsed.value;
}

/** Some programs put a byte order mark before it. */
const withoutMark = (bytes: Buffer): Buffer =>
  bytes.subarray(0, 3).equals(BYTE_ORDER_MARK) ? bytes.subarray(3) : bytes;

function parseHere(bytes: Buffer): { value: unknown } | null {
  try {
    return { value: JSON.parse(bytes.toString('utf8')) as unknown };
  } catch {
    return null;
  }
}

/** What is too deep or too much in a text of JSON, without parsing it; null if nothing is. */
export function tooMuchIn(bytes: Uint8Array): Fault | null {
  let depth = 0;
  let values = 0;
  for (let at = 0; at < bytes.length; at += 1) {
    const byte = bytes[at]!;
    if (byte === QUOTE) {
      at = endOfString(bytes, at + 1);
    } else if (byte === COMMA || byte === COLON) {
      if ((values += 1) > JSON_VALUES_LIMIT) {
        return { code: 'request.notRead', rule: 'values', limit: JSON_VALUES_LIMIT };
      }
    } else if (OPEN.has(byte)) {
      if ((depth += 1) > JSON_DEPTH_LIMIT) {
        return { code: 'request.notRead', rule: 'nesting', limit: JSON_DEPTH_LIMIT };
      }
    } else if (CLOSE.has(byte)) {
      depth -= 1;
    }
  }
  return null;
}

/** Where the quote that ends a string stands; the end of the text if it has none. */
function endOfString(bytes: Uint8Array, from: number): number {
  for (let at = bytes.indexOf(QUOTE, from); at >= 0; at = bytes.indexOf(QUOTE, at + 1)) {
    let before = at;
    while (bytes[before - 1] === BACKSLASH) before -= 1;
    if ((at - before) % 2 === 0) return at;
  }
  return bytes.length;
}
