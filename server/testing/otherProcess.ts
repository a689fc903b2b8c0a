import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';

const root = join(__dirname, '..', '..');

/** Another program that holds a database for some time, ms. Resolves when it holds it; `done` when it let go. */
export async function holdDatabase(file: string, ms: number): Promise<{ done: Promise<void> }> {
  const script = `
    const Libsql = require('libsql');
    const database = new Libsql(${JSON.stringify(file)});
    database.exec('begin immediate');
    process.stdout.write('held');
    setTimeout(() => { database.exec('rollback'); process.exit(0); }, ${ms});`;
  const child = spawn(process.execPath, ['-e', script], { cwd: root, stdio: ['ignore', 'pipe', 'inherit'] });
  const done = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  await new Promise((resolve) => child.stdout.once('data', resolve));
  return { done };
}

/** A real server in a process of its own. */
export interface ServerProcess {
  child: ChildProcess;
  /** Where it listens; null if it ended without listening. */
  address: string | null;
  /** What it said where errors are said. */
  said(): string;
  /** Resolves with its status when it ends. */
  ended: Promise<number | null>;
}

/** Starts a real server on a folder and waits until it listens or has ended. */
export async function startProcess(
  dataFolder: string,
  environment: Record<string, string> = {},
): Promise<ServerProcess> {
  const child = spawn(
    process.execPath,
    // In the very process, and not in a child of it, so that it can be killed.
    ['tools/setup/serve.mjs'],
    {
      cwd: root,
      env: { ...process.env, EVEN_SPARE_PORT: '0', EVEN_SPARE_DATA: dataFolder, ...environment },
      stdio: ['ignore', 'pipe', 'pipe'],
    },
  );
  let errors = '';
  child.stderr.on('data', (text: Buffer) => (errors += text.toString()));
  const ended = new Promise<number | null>((resolve) => child.once('exit', (status) => resolve(status)));
  const address = await new Promise<string | null>((resolve) => {
    void ended.then(() => resolve(null));
    let words = '';
    child.stdout.on('data', (text: Buffer) => {
      words += text.toString();
      const found = /Even Spare is at (\S+)/.exec(words);
      if (found) resolve(found[1]!);
    });
  });
  return { child, address, said: () => errors, ended };
}
