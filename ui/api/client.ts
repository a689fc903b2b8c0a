import { z } from 'zod';

import { Refusal } from '@core/record/model';
import { isKnownFault, sentenceOf } from '@core/reporting/wording';
import type { Fault } from '@core/foundations/fault';

/** The server said no. The sentence is for the person; the fault, when we know it, for the screen. */
export class Refused extends Error {
  override name = 'Refused';
  constructor(
    readonly status: number,
    readonly fault: Fault | null,
    sentence: string,
  ) {
    super(sentence);
  }
}

/** The server did not answer. What was asked may be asked again later. */
export class Unreachable extends Error {
  override name = 'Unreachable';
}

/** The server answered that it can't do it now, and why. What was asked may be asked again later. */
export class Troubled extends Error {
  override name = 'Troubled';
}

/** Whether the same may well be answered when it is asked again. */
export const mayComeBack = (error: unknown): boolean =>
  error instanceof Unreachable || error instanceof Troubled;

interface Call<S extends z.ZodType> {
  method?: 'GET' | 'POST' | 'PUT';
  body?: unknown;
  reply: S;
  signal?: AbortSignal | undefined;
}

/** Browsers let 64 KiB in all go on after the page was left, of letters that take up to four bytes each. */
const KEPT_ALIVE_CHARACTERS = 12_000;

/** Longest wait for an answer, ms; after it the server counts as away. */
const PATIENCE_MS = 15_000;

/**
 * Asks the server and parses what it answers.
 * @throws Unreachable, Troubled, or Refused.
 */
export async function ask<S extends z.ZodType>(path: string, call: Call<S>): Promise<z.infer<S>> {
  const response = await reach(path, call);
  const data: unknown = response.status === 204 ? null : await response.json().catch(() => null);
  if (response.ok) return call.reply.parse(data);
  const refusal = Refusal.safeParse(data);
  // Anything between us and the server answers for it while it is away; nothing that fails there was taken.
  if (!refusal.success && response.status >= 500) throw new Unreachable(`${response.status}`);
  if (!refusal.success) {
    throw new Refused(
      response.status,
      null,
      'The server gave an answer that can’t be read. Reload the page.',
    );
  }
  const { fault, sentence } = refusal.data;
  const words = isKnownFault(fault) ? sentenceOf(fault) : sentence;
  if (response.status >= 500) throw new Troubled(words);
  throw new Refused(response.status, isKnownFault(fault) ? fault : null, words);
}

/**
 * Asks the server for a text.
 * @throws Unreachable, Troubled, or Refused.
 */
export async function askText(path: string, signal: AbortSignal): Promise<string> {
  const response = await reach(path, { reply: z.string(), signal });
  if (response.ok) return response.text();
  const refusal = Refusal.safeParse(await response.json().catch(() => null));
  if (!refusal.success) throw new Unreachable('The server does not answer.');
  const { fault, sentence } = refusal.data;
  throw new Refused(
    response.status,
    isKnownFault(fault) ? fault : null,
    isKnownFault(fault) ? sentenceOf(fault) : sentence,
  );
}

async function reach(path: string, call: Call<z.ZodType>): Promise<Response> {
  const timeout = AbortSignal.timeout(PATIENCE_MS);
  const signal = call.signal ? AbortSignal.any([call.signal, timeout]) : timeout;
  const body = call.body === undefined ? undefined : JSON.stringify(call.body);
  try {
    return await fetch(`/api${path}`, {
      method: call.method ?? 'GET',
      signal,
      ...(body === undefined
        ? {}
        : {
            headers: { 'content-type': 'application/json' },
            body,
            // A change goes out even if the page is left in the same moment.
            keepalive: body.length < KEPT_ALIVE_CHARACTERS,
          }),
    });
  } catch (error) {
    if (call.signal?.aborted) throw error;
    throw new Unreachable('no answer');
  }
}
