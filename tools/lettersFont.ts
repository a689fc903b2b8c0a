import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';

import { readFont, type Font } from '@core/shaping/text';

/** The font that letters on parts are made from, read from its package; the same as the screens fetch. */
export function lettersFont(): Font {
  const folder = createRequire(join(process.cwd(), 'package.json')).resolve(
    '@expo-google-fonts/barlow/package.json',
  );
  const bytes = readFileSync(join(folder, '..', '600SemiBold', 'Barlow_600SemiBold.ttf'));
  return readFont(new Uint8Array(bytes).buffer);
}
