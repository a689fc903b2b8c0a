import { writeFileSync } from 'node:fs';

import { glossaryDocument } from '@core/reporting/glossary';

/** Writes docs/glossary.md from the words that the app explains. */
writeFileSync('docs/glossary.md', glossaryDocument());
