import { createHash, timingSafeEqual } from 'node:crypto';
import { hostname, networkInterfaces } from 'node:os';

import type { RequestHandler } from 'express';
import { LRUCache } from 'lru-cache';
import type { Logger } from 'pino';

import { Refused } from '../refusal';

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

export const isLoopback = (host: string): boolean =>
  LOOPBACK.has(host) || host === '::1' || /^127(\.\d{1,3}){3}$/.test(host);

/** What may be asked, and by whom. */
export interface Guard {
  /** The host that the server listens at. */
  host: string;
  /** Asked of everybody when the server can be reached from elsewhere; null at the loopback address. */
  passphrase: string | null;
  /** Where wrong guesses are written down. */
  log?: Pick<Logger, 'warn'>;
  /** ms. */
  now?: () => number;
}

/**
 * Lets in what was sent to this server by its own name and by its own pages. Another page that a person has open can
 * neither give the server a name of its own (and so read from it), nor post to it.
 */
export function guard({ host, passphrase, log, now = Date.now }: Guard): RequestHandler {
  const guesses = new Guesses(now);
  return (request, response, next) => {
    const called = request.headers.host ?? '';
    const name = called.replace(/:\d+$/, '').toLowerCase();
    if (!namesOf(host).has(name)) throw new Refused(403, { code: 'server.otherHost', host: name });
    const { origin } = request.headers;
    const isOwn = origin === undefined || origin === `http://${called}` || origin === `https://${called}`;
    const site = request.headers['sec-fetch-site'];
    const asks = request.method === 'GET' || request.method === 'HEAD';
    if (!isOwn || (!asks && (site === 'cross-site' || site === 'same-site'))) {
      throw new Refused(403, { code: 'server.otherPage', origin: origin ?? 'another site' });
    }
    const address = request.socket.remoteAddress ?? '';
    const seconds = passphrase === null ? 0 : guesses.secondsLeft(address);
    if (seconds > 0) {
      response.setHeader('Retry-After', String(seconds));
      throw Refused.of({ code: 'server.tooManyGuesses', seconds });
    }
    if (passphrase !== null && !knows(request.headers.authorization, passphrase)) {
      // A browser that was not asked yet has guessed nothing.
      if (request.headers.authorization !== undefined) {
        const count = guesses.wrong(address);
        log?.warn({ address, count }, 'a wrong passphrase');
      }
      response.setHeader('WWW-Authenticate', 'Basic realm="Even Spare", charset="UTF-8"');
      throw new Refused(401, { code: 'server.passphraseWanted' });
    }
    if (passphrase !== null) guesses.right(address);
    next();
  };
}

/** Wrong guesses that cost no time, as fingers slip; each after them twice as long as the one before, s, up to a quarter of an hour. */
const FREE_GUESSES = 5;
const LONGEST_PAUSE = 900;
/** Addresses that are remembered. */
const ADDRESSES = 10_000;

/** Wrong guesses by the address that they came from. */
class Guesses {
  readonly #by = new LRUCache<string, { count: number; untilMs: number }>({ max: ADDRESSES });

  constructor(private readonly now: () => number) {}

  secondsLeft(address: string): number {
    return Math.max(0, Math.ceil(((this.#by.get(address)?.untilMs ?? 0) - this.now()) / 1000));
  }

  /** Gives how many there were by now. */
  wrong(address: string): number {
    const count = (this.#by.get(address)?.count ?? 0) + 1;
    const pause = count <= FREE_GUESSES ? 0 : Math.min(LONGEST_PAUSE, 2 ** (count - FREE_GUESSES));
    this.#by.set(address, { count, untilMs: this.now() + 1000 * pause });
    return count;
  }

  right(address: string): void {
    this.#by.delete(address);
  }
}

/** The names that this server goes by. */
function namesOf(host: string): Set<string> {
  if (isLoopback(host)) return new Set([...LOOPBACK, bracketed(host)]);
  const machine = hostname().toLowerCase();
  const addresses = Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .map(({ address }) => bracketed(address));
  return new Set([...LOOPBACK, ...addresses, bracketed(host), machine, `${machine}.local`]);
}

const bracketed = (host: string) => (host.includes(':') ? `[${host}]` : host).toLowerCase();

/** Compares hashes, so that the time it takes says nothing. */
function knows(header: string | undefined, passphrase: string): boolean {
  const given = /^Basic (.+)$/i.exec(header ?? '')?.[1];
  if (given === undefined) return false;
  const word = Buffer.from(given, 'base64')
    .toString('utf8')
    .replace(/^[^:]*:/, '');
  const hash = (text: string) => createHash('sha256').update(text).digest();
  return timingSafeEqual(hash(word), hash(passphrase));
}
