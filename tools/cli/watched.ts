import { parentPort, Worker, workerData } from 'node:worker_threads';

import type { RepairFileContent } from '@core/record/model';

import { build, buildStarters, type StepAt, type Telling } from './build';
import { slice, type SliceWish } from './slice';

/** What is done: a repair is built or laid in layers; without one, every starter is built. */
export interface Task {
  content: RepairFileContent | null;
  outFolder: string;
  layers?: SliceWish;
}

type Message =
  { kind: 'print' | 'tell'; text: string } | { kind: 'step'; at: StepAt } | { kind: 'done'; well: boolean };

/** How a build ended: `hung` at a step that took too long, `stopped` by the person. */
export type End = { how: 'done'; well: boolean } | { how: 'hung' | 'stopped'; at: StepAt | null };

/**
 * Builds in a thread beside this one, so that a step that takes too long can be ended, and all of it at any time.
 * @param limitMs for each step, and for what follows the last.
 * @param stop called when the person wants it to end.
 */
export function watched(
  task: Task,
  limitMs: number,
  telling: Telling,
  stop: (end: () => void) => void,
): Promise<End> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(__filename, { workerData: task });
    let at: StepAt | null = null;
    let alarm: NodeJS.Timeout | undefined;
    const end = (with_: End) => {
      clearTimeout(alarm);
      void worker.terminate().then(() => resolve(with_), reject);
    };
    const watch = () => {
      clearTimeout(alarm);
      alarm = setTimeout(() => end({ how: 'hung', at }), limitMs);
    };
    stop(() => end({ how: 'stopped', at }));
    watch();
    worker.on('message', (message: Message) => {
      watch();
      switch (message.kind) {
        case 'print':
          return telling.print(message.text);
        case 'tell':
          return telling.tell(message.text);
        case 'step':
          at = message.at;
          return telling.step(at);
        case 'done':
          return end({ how: 'done', well: message.well });
      }
    });
    worker.on('error', (error) => {
      clearTimeout(alarm);
      reject(error);
    });
  });
}

/** What the thread does that `watched` starts. */
export async function work(): Promise<void> {
  const { content, outFolder, layers } = workerData as Task;
  const send = (message: Message) => parentPort!.postMessage(message);
  const telling: Telling = {
    print: (text) => send({ kind: 'print', text }),
    tell: (text) => send({ kind: 'tell', text }),
    step: (at) => send({ kind: 'step', at }),
  };
  const well = !content
    ? await buildStarters(outFolder, telling)
    : layers
      ? await slice(content, outFolder, layers, telling)
      : await build(content, outFolder, telling);
  send({ kind: 'done', well });
}
