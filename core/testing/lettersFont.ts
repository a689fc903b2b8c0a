import { readFileSync } from 'node:fs';

import { readFont, type Font } from '@core/shaping/text';

/** The font that letters on parts are made from. */
export function lettersFont(): Font {
  const path = require.resolve('@expo-google-fonts/barlow/600SemiBold/Barlow_600SemiBold.ttf');
  return readFont(new Uint8Array(readFileSync(path)).buffer);
}
