import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';

import { refuse } from './refusal';
import { repairRoutes } from './repairs/routes';
import type { RepairStore, Surroundings } from './repairs/store';
import { staticFiles } from './web/staticFiles';

/** The whole server: the API under /api, the screens everywhere else. */
export function createApp(parts: {
  store: RepairStore;
  surroundings: Surroundings;
  webFolder: string;
  log: Logger;
}): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('etag', 'weak');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          // Served without TLS on the loopback address.
          upgradeInsecureRequests: null,
        },
      },
    }),
  );
  app.use(compression());
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api', repairRoutes(parts.store, parts.surroundings));
  app.use('/api', (_request, response) => {
    response.status(404).json({
      fault: { code: 'route.missing' },
      sentence: 'There is nothing at this address. docs/api.md lists what there is.',
    });
  });
  app.use(staticFiles(parts.webFolder));
  app.use(refuse(parts.log));
  return app;
}
