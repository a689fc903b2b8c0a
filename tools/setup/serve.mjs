// Starts the server.
import { runBundled } from './bundle.mjs';

await runBundled('server', 'server/main.ts', ['server', 'devices']);
