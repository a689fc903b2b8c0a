// One command from a fresh clone to a workshop that can be tried.
import { buildWeb } from './buildWeb.mjs';
import { installPackages, runTool, say } from './install.mjs';

installPackages();
await buildWeb();
say('Opening the demo workshop');
runTool('tsx', ['demo/main.ts']);
