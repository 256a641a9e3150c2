import sharp from 'sharp';

/** Most points that an image may have, and still be decoded. */
const MAX_POINTS = 17_000_000;

/**
 * Decodes an image to its end and makes it smaller.
 * @param side longest side of what comes out, px
 * @returns a JPEG file with nothing in it but the image
 * @throws Error where it cannot be decoded whole
 */
export async function thumbnail(bytes: Uint8Array, side: number): Promise<Uint8Array> {
  const whole = sharp(bytes, { failOn: 'warning', limitInputPixels: MAX_POINTS });
  return await whole.resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 78 }).toBuffer();
}
