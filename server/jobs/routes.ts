import { createSession } from 'better-sse';
import { Router } from 'express';
import { z } from 'zod';

import { JobAct, linesOf, NewJob, unreadableLine, type UnreadableLine } from '@core/record/model';

import { boundedJson } from '../http/boundedJson';
import { Refused } from '../refusal';
import type { JobQueue } from './queue';

/** Largest job that is taken, bytes of its G-code with what it is to make. */
const JOB_LIMIT_BYTES = 64 * 1024 * 1024;

const Sent = z.strictObject({ job: NewJob, gcode: z.string().min(1) });

/** Lines that are looked at before others have their turn. */
const LINES_AT_ONCE = 4000;

/** The first line of a job that is no G-code; whoever else asks something meanwhile is answered. */
async function unreadableIn(gcode: string): Promise<UnreadableLine | null> {
  let line = 0;
  for (const text of linesOf(gcode)) {
    line += 1;
    const wrong = unreadableLine([text]);
    if (wrong) return { ...wrong, line };
    if (line % LINES_AT_ONCE === 0) await new Promise(setImmediate);
  }
  return null;
}

/** The API of the queue. @param lacking what a job is for that is not there: its repair or its machine. */
export function jobRoutes(
  queue: JobQueue,
  lacking: (job: NewJob) => Promise<'repair' | 'machine' | null>,
): Router {
  const router = Router();
  router.get('/jobs', async (_request, response) => {
    response.json(await queue.list());
  });
  router.post(
    '/jobs',
    boundedJson({ bytes: JOB_LIMIT_BYTES, tooLarge: 'job.tooBig' }),
    async (request, response) => {
      const { job, gcode } = Sent.parse(request.body);
      const wrong = await unreadableIn(gcode);
      if (wrong) throw Refused.of({ code: 'job.unreadable', ...wrong });
      const lacks = await lacking(job);
      if (lacks) throw Refused.of({ code: 'job.forNothing', lacks });
      const added = await queue.add(job, gcode);
      if (!added.ok) throw Refused.of(added.fault);
      response.status(201).json(added.value);
    },
  );
  router.get('/kept-gcode', async (_request, response) => {
    response.json(await queue.kept());
  });
  // Every change of a job as it happens (server-sent events, WHATWG HTML 9.2).
  router.get('/jobs/events', async (request, response) => {
    // What is packed is held back until there is enough of it.
    response.setHeader('Cache-Control', 'no-cache, no-transform');
    const session = await createSession(request, response);
    const stop = queue.onChange((job) => session.push(job, 'job'));
    session.on('disconnected', stop);
  });
  router.get('/jobs/:id/gcode', async (request, response) => {
    const gcode = await queue.gcode(request.params.id);
    if (gcode === null) throw new Refused(404, { code: 'job.noGcode' });
    response.type('text/plain').send(gcode);
  });
  router.post('/jobs/:id/acts', boundedJson({ bytes: 2048 }), async (request, response) => {
    const { act } = z.strictObject({ act: JobAct }).parse(request.body);
    const done = await queue.act(String(request.params.id), act);
    if (!done.ok) throw Refused.of(done.fault);
    response.json(done.value);
  });
  return router;
}
