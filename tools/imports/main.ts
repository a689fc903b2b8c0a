import { writeFileSync } from 'node:fs';

import { drawnRooms } from './draw';
import { circlesIn, importsOf, sourceFiles } from './imports';

/** Draws docs/dependencies.md anew, and names files that import each other in a circle. */
const imports = importsOf('.', sourceFiles('.'));
writeFileSync('docs/dependencies.md', drawnRooms(imports));
for (const circle of circlesIn(imports)) console.log(`In a circle: ${circle.join(', ')}`);
