import sharp from 'sharp';

import { no, ok, type Fault, type Result } from '@core/fault';

/** Largest picture that is taken in, bytes and megapixels; a phone's best is below half of either. */
export const PHOTO_LIMIT_BYTES = 25 * 1024 * 1024;
export const PHOTO_LIMIT_MEGAPIXELS = 64;
/** Longer side of a picture that is kept, px: enough to read a vernier from. */
const KEPT_PX = 2400;
const KEPT_QUALITY = 82;

/** Photographs, and nothing that is drawn or can run. */
const FORMATS = new Set(['jpeg', 'png', 'webp', 'heif', 'tiff']);

export interface PreparedPhoto {
  jpeg: Buffer;
  widthPx: number;
  heightPx: number;
}

/**
 * Turns a picture upright, makes it no larger than is useful, and writes it anew as JPEG: position, camera and all
 * other data about the picture stay behind, and so does anything hidden in the file.
 */
export async function preparePhoto(bytes: Uint8Array): Promise<Result<PreparedPhoto, Fault>> {
  if (bytes.length > PHOTO_LIMIT_BYTES) {
    return no({ code: 'photo.tooBig', bytes: bytes.length, limitBytes: PHOTO_LIMIT_BYTES });
  }
  try {
    // Reads the head of the file only.
    const { format, width, height } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (!format || !FORMATS.has(format)) return no({ code: 'photo.notAnImage' });
    const megapixels = (width * height) / 1e6;
    if (megapixels > PHOTO_LIMIT_MEGAPIXELS) {
      return no({ code: 'photo.tooManyPixels', megapixels, limitMegapixels: PHOTO_LIMIT_MEGAPIXELS });
    }
    const { data, info } = await sharp(bytes, { limitInputPixels: PHOTO_LIMIT_MEGAPIXELS * 1e6 })
      .rotate()
      .resize({ width: KEPT_PX, height: KEPT_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: KEPT_QUALITY })
      .toBuffer({ resolveWithObject: true });
    return ok({ jpeg: data, widthPx: info.width, heightPx: info.height });
  } catch {
    return no({ code: 'photo.notAnImage' });
  }
}
