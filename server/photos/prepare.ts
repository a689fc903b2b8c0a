import sharp from 'sharp';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';

import { isPlainJpeg } from './plainJpeg';

/** Largest picture that is taken in, bytes and megapixels; a phone's best is below half of either. */
export const PHOTO_LIMIT_BYTES = 25 * 1024 * 1024;
export const PHOTO_LIMIT_MEGAPIXELS = 64;
/** Longer side of a picture that is kept, px: enough to read a vernier from. */
const KEPT_PX = 2400;
const KEPT_QUALITY = 82;

/** Photographs, and nothing that is drawn or can run. Of HEIF only AVIF can be read. */
const FORMATS = new Set(['jpeg', 'png', 'webp', 'heif', 'tiff']);

const READING = { limitInputPixels: PHOTO_LIMIT_MEGAPIXELS * 1e6 };

/** An ISO base media file that says it is of the HEIF family (ISO/IEC 23008-12, 10.2). */
function isHeif(bytes: Uint8Array): boolean {
  const text = Buffer.from(bytes.subarray(4, 12)).toString('latin1');
  return /^ftyp(hei|hev|mif|msf)/.test(text);
}

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
    const head = await sharp(bytes, { limitInputPixels: false }).metadata();
    const { format, width, height } = head;
    if (!format || !FORMATS.has(format)) return no({ code: 'photo.notAnImage' });
    const megapixels = (width * height) / 1e6;
    if (megapixels > PHOTO_LIMIT_MEGAPIXELS) {
      return no({ code: 'photo.tooManyPixels', megapixels, limitMegapixels: PHOTO_LIMIT_MEGAPIXELS });
    }
    if (format === 'jpeg' && Math.max(width, height) <= KEPT_PX && isPlainJpeg(bytes)) {
      // Written by this very function before: written anew at each opening, it would be a little worse each time.
      await sharp(bytes, READING).stats();
      return ok({ jpeg: Buffer.from(bytes), widthPx: width, heightPx: height });
    }
    const { data, info } = await sharp(bytes, READING)
      .rotate()
      .resize({ width: KEPT_PX, height: KEPT_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: KEPT_QUALITY })
      .toBuffer({ resolveWithObject: true });
    return ok({ jpeg: data, widthPx: info.width, heightPx: info.height });
  } catch {
    return no({ code: isHeif(bytes) ? 'photo.heif' : 'photo.notAnImage' });
  }
}
