import { buildWeb } from './buildWeb.mjs';
import { installPackages } from './install.mjs';

installPackages();
await buildWeb();
