import { Worker } from 'node:worker_threads';

/** What a thread of its own does: the text of one message is parsed, and what came of it goes back. */
const THREAD = `
const { parentPort } = require('node:worker_threads');
parentPort.once('message', (bytes) => {
  let reply;
  try {
    reply = { value: JSON.parse(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length).toString('utf8')) };
  } catch {
    reply = null;
  }
  parentPort.postMessage(reply);
});
`;

/** Threads of one size: a body has at most so many MB, and what is in it some times that. */
const LIMITS = { maxOldGenerationSizeMb: 1024 };

/**
 * Parses a large text of JSON in a thread of its own, so that others are answered meanwhile. Null where it is no JSON.
 *
 * @throws what ends the thread, as too little memory does.
 */
export function parseApart(bytes: Uint8Array): Promise<{ value: unknown } | null> {
  const worker = new Worker(THREAD, { eval: true, resourceLimits: LIMITS });
  return new Promise<{ value: unknown } | null>((resolve, reject) => {
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('a thread that was parsing ended')));
    // Its own copy goes over whole, without being copied again.
    const own = new Uint8Array(bytes);
    worker.postMessage(own, [own.buffer]);
  }).finally(() => void worker.terminate());
}
