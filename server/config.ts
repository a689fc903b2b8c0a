import { resolve } from 'node:path';

import { z } from 'zod';

const Settings = z.object({
  /** Loopback unless told otherwise: the workshop has no passwords yet. */
  EVEN_SPARE_HOST: z.string().min(1).default('127.0.0.1'),
  EVEN_SPARE_PORT: z.coerce.number().int().min(0).max(65535).default(4870),
  EVEN_SPARE_DATA: z.string().min(1).default('data'),
  EVEN_SPARE_WEB: z.string().min(1).default('dist'),
});

export interface Config {
  host: string;
  /** 0 lets the system choose a free one. */
  port: number;
  /** Folder of the database. */
  dataFolder: string;
  /** Folder of the exported web build. */
  webFolder: string;
}

/** Reads the settings from the environment. Throws with the name of the one that is wrong. */
export function readConfig(environment: Record<string, string | undefined>): Config {
  const settings = Settings.parse(environment);
  return {
    host: settings.EVEN_SPARE_HOST,
    port: settings.EVEN_SPARE_PORT,
    dataFolder: resolve(settings.EVEN_SPARE_DATA),
    webFolder: resolve(settings.EVEN_SPARE_WEB),
  };
}
