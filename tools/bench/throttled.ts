import { createServer, request, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A link to a server that lets so many bytes a second through, shared evenly by all answers under way; it counts them. */
export interface ThrottledLink {
  address: string;
  bytes(): number;
  close(): Promise<void>;
}

/** How often a portion goes through, ms, and how much of one answer before the next has its turn, bytes. */
const [TICK_MS, TURN_BYTES] = [20, 1400];

/** @param bytesPerSecond of what is answered; questions go as they come. */
export async function throttledLink(to: string, bytesPerSecond: number): Promise<ThrottledLink> {
  const target = new URL(to);
  /** What is still to go through, and whether that is all; the answer whose turn it is first. */
  const waiting = new Map<ServerResponse, { data: Buffer; isAll: boolean }>();
  let sent = 0;
  let passed = performance.now();
  const pass = () => {
    // A busy machine ticks late; the link is as wide all the same.
    const now = performance.now();
    let room = (bytesPerSecond * (now - passed)) / 1000;
    passed = now;
    const ready = () => [...waiting].find(([, { data, isAll }]) => data.length > 0 || isAll);
    for (let next = ready(); next && room > 0; next = ready()) {
      const [answer, { data, isAll }] = next;
      const portion = data.subarray(0, Math.min(TURN_BYTES, Math.ceil(room)));
      const rest = data.subarray(portion.length);
      answer.write(portion);
      sent += portion.length;
      room -= portion.length;
      waiting.delete(answer);
      if (isAll && rest.length === 0) answer.end();
      else waiting.set(answer, { data: rest, isAll });
    }
  };
  const timer = setInterval(pass, TICK_MS);
  const server = createServer((question, answer) => {
    const onward = request(
      {
        host: target.hostname,
        port: target.port,
        path: question.url,
        method: question.method,
        headers: question.headers,
      },
      (reply) => {
        answer.writeHead(reply.statusCode ?? 502, reply.headers);
        const add = (data: Buffer, isAll: boolean) => {
          const before = waiting.get(answer)?.data ?? Buffer.alloc(0);
          waiting.set(answer, { data: Buffer.concat([before, data]), isAll });
        };
        reply.on('data', (data: Buffer) => add(data, false));
        reply.on('end', () => add(Buffer.alloc(0), true));
      },
    );
    onward.on('error', () => answer.destroy());
    question.pipe(onward);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    bytes: () => sent,
    close: () => {
      clearInterval(timer);
      server.closeAllConnections();
      return new Promise((resolve) => server.close(() => resolve()));
    },
  };
}
