import { ownValue } from '@core/foundations/own';

import { resolve } from 'node:path';

import { Trouble } from './trouble';
import type { Keeping } from './database/open';
import { isLoopback } from './http/guard';

export interface Config {
  host: string;
  /** 0 lets the system choose a free one. */
  port: number;
  /** Folder of the database. */
  dataFolder: string;
  /** Folder of the exported web build. */
  webFolder: string;
  /** Asked of everybody where the server can be reached from elsewhere; null at the loopback address. */
  passphrase: string | null;
  /** How surely it is kept; left out, as surely as can be. */
  keeping?: Keeping;
}

/** Shortest passphrase that is taken. */
export const LEAST_PASSPHRASE = 12;
const HIGHEST_PORT = 65_535;

/**
 * Reads the settings from the environment.
 * @throws Trouble with the name of the one that is wrong.
 */
export function readConfig(environment: Record<string, string | undefined>): Config {
  const text = (name: string, usual: string): string => {
    const value = ownValue(environment, name) ?? usual;
    if (value.trim() === '') throw bad(name, value, 'filled in, or left out');
    return value;
  };
  const host = text('EVEN_SPARE_HOST', '127.0.0.1');
  const passphrase = environment.EVEN_SPARE_PASSPHRASE ?? null;
  if (!isLoopback(host) && (passphrase === null || passphrase.length < LEAST_PASSPHRASE)) {
    throw new Trouble({ code: 'server.noPassphrase', host, least: LEAST_PASSPHRASE });
  }
  return {
    host,
    port: portOf(text('EVEN_SPARE_PORT', '4870')),
    dataFolder: resolve(text('EVEN_SPARE_DATA', 'data')),
    webFolder: resolve(text('EVEN_SPARE_WEB', 'dist')),
    passphrase,
  };
}

const bad = (name: string, value: string, wanted: string) =>
  new Trouble({ code: 'server.badSetting', name, value, wanted });

function portOf(value: string): number {
  const port = Number(value);
  if (/^\d+$/.test(value) && port <= HIGHEST_PORT) return port;
  throw bad('EVEN_SPARE_PORT', value, `a whole number from 0 to ${HIGHEST_PORT}`);
}
