import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';

import { isOver, Job, JobList, KeptGcode, type JobAct, type NewJob } from '@core/record/model';

import { ask, Unreachable } from '../api/client';
import { useNotices } from '../api/notices';

const JOBS_KEY = ['jobs'];
/** Asked again so often, ms, while one is under way and nothing is told by itself. */
const ASK_AGAIN_MS = 5000;

const useJobList = () =>
  useQuery({
    queryKey: JOBS_KEY,
    queryFn: ({ signal }) => ask('/jobs', { reply: JobList, signal }),
    refetchInterval: ({ state }) => (state.data?.jobs.some((job) => !isOver(job)) ? ASK_AGAIN_MS : false),
  });

/** Jobs that were written down wrongly, so that nothing but their names is known. */
export const useUnreadableJobs = () => useJobList().data?.unreadable ?? NOTHING_UNREADABLE;

/** How much of what machines were given is kept; undefined where nobody has told yet. */
export const useKeptGcode = () =>
  useQuery({
    queryKey: ['kept-gcode'],
    queryFn: ({ signal }) => ask('/kept-gcode', { reply: KeptGcode, signal }),
  }).data;
const NOTHING_UNREADABLE: NonNullable<JobList['unreadable']> = [];

/** The jobs of the workshop, newest first, kept up to date as the server tells what happens. */
export function useJobs(): Job[] {
  const client = useQueryClient();
  const query = useJobList();
  const jobs = query.data?.jobs ?? NONE;
  const live = jobs.some((job) => !isOver(job));
  useEffect(() => {
    if (!live || typeof EventSource === 'undefined') return;
    const events = new EventSource('/api/jobs/events');
    events.addEventListener('job', ({ data }: MessageEvent<string>) => {
      const told = Job.safeParse(JSON.parse(data));
      if (told.success) putJob(client, told.data);
    });
    return () => events.close();
  }, [client, live]);
  return jobs;
}

const NONE: Job[] = [];

function putJob(client: QueryClient, job: Job): void {
  client.setQueryData<JobList>(JOBS_KEY, (list) => {
    const jobs = list?.jobs ?? [];
    const known = jobs.some(({ id }) => id === job.id);
    return { ...list, jobs: known ? jobs.map((one) => (one.id === job.id ? job : one)) : [job, ...jobs] };
  });
  // What was made lies on the bench.
  if (job.state === 'done') void client.invalidateQueries({ queryKey: ['practice-caliper'] });
}

/** Sends a job to its machine. */
export function useSendJob() {
  const client = useQueryClient();
  const { say } = useNotices();
  return useMutation({
    mutationFn: (given: { job: NewJob; gcode: string }) =>
      ask('/jobs', { method: 'POST', body: given, reply: Job }),
    networkMode: 'always',
    onSuccess: (job) => putJob(client, job),
    onError: (error) =>
      say({
        tone: 'wrong',
        text:
          error instanceof Unreachable
            ? 'The job could not be sent. Start the server, then send it again. Nothing is lost.'
            : error.message,
      }),
  });
}

/** Pauses, resumes, cancels or repeats a job. */
export function useActOnJob() {
  const client = useQueryClient();
  const { say } = useNotices();
  return useMutation({
    mutationFn: ({ id, act }: { id: string; act: JobAct }) =>
      ask(`/jobs/${id}/acts`, { method: 'POST', body: { act }, reply: Job }),
    networkMode: 'always',
    onSuccess: (job) => putJob(client, job),
    onError: (error) =>
      say({
        tone: 'wrong',
        text:
          error instanceof Unreachable
            ? 'The server can’t be reached. Start it, then try again.'
            : error.message,
      }),
  });
}
