// Starts the command line.
import { runBundled } from '../setup/bundle.mjs';

await runBundled('cli', 'tools/cli/main.ts', ['tools']);
