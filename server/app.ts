import compression from 'compression';
import express, { type Express, type Router } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';

import type { Database } from './database/database';
import { guard, type Guard } from './http/guard';
import type { JobQueue } from './jobs/queue';
import { jobRoutes } from './jobs/routes';
import { photoRoutes } from './photos/routes';
import type { PhotoStore } from './photos/store';
import { scanRoutes } from './scans/routes';
import type { ScanStore } from './scans/store';
import { Refused, refuse } from './refusal';
import { repairRoutes } from './repairs/routes';
import type { RepairStore } from './repairs/store';
import type { Surroundings } from './surroundings';
import { Trouble } from './trouble';
import { staticFiles } from './web/staticFiles';
import { workshopRoutes } from './workshop/routes';
import type { WorkshopStore } from './workshop/store';

/** The whole server: the API under /api, the screens everywhere else. */
export function createApp(parts: {
  store: RepairStore;
  workshop: WorkshopStore;
  photos: PhotoStore;
  scans: ScanStore;
  jobs: JobQueue;
  /** Practice devices, each under its own address; the server knows nothing of what they hide. */
  devices: readonly { path: string; routes: Router }[];
  database: Database;
  guard: Guard;
  surroundings: Surroundings;
  webFolder: string;
  dataFolder: string;
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
  app.use(guard({ log: parts.log, ...parts.guard }));
  app.get('/api/health', async (_request, response) => {
    const fault = await parts.database.probe();
    if (fault) throw new Trouble(fault);
    response.json({ ok: true });
  });
  app.use('/api', repairRoutes(parts));
  app.use('/api', workshopRoutes(parts.workshop));
  app.use('/api', photoRoutes(parts.photos));
  app.use('/api', scanRoutes(parts.scans));
  app.use(
    '/api',
    jobRoutes(parts.jobs, async ({ repairId, machineId }) => {
      if (!(await parts.store.get(repairId))) return 'repair';
      const { machines } = await parts.workshop.get();
      return machines.some(({ id }) => id === machineId) ? null : 'machine';
    }),
  );
  for (const { path, routes } of parts.devices) app.use(`/api${path}`, routes);
  const nothing = () => {
    throw new Refused(404, { code: 'route.missing' });
  };
  app.use('/api', nothing);
  app.use(staticFiles(parts.webFolder));
  app.use(nothing);
  app.use(refuse(parts.log, parts.dataFolder));
  return app;
}
