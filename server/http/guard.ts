import { createHash, timingSafeEqual } from 'node:crypto';
import { hostname, networkInterfaces } from 'node:os';

import type { RequestHandler } from 'express';

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
}

/**
 * Lets in what was sent to this server by its own name and by its own pages. Another page that a person has open can
 * neither give the server a name of its own (and so read from it), nor post to it.
 */
export function guard({ host, passphrase }: Guard): RequestHandler {
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
    if (passphrase !== null && !knows(request.headers.authorization, passphrase)) {
      response.setHeader('WWW-Authenticate', 'Basic realm="Even Spare", charset="UTF-8"');
      throw new Refused(401, { code: 'server.passphraseWanted' });
    }
    next();
  };
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
