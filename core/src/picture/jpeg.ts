import { DomainError } from '../quantity/domainError.ts';

/** An image as it is kept: nothing in the file but the image. */
export interface PlainJpeg {
  readonly bytes: Uint8Array;
  /** px. */
  readonly width: number;
  readonly height: number;
}

/** Longest side that is taken, px; the application itself makes pictures of 2,048. */
export const LONGEST_SIDE = 4096;
/** Long side to which a picture is made smaller before it is sent, px, and of its thumbnail. */
export const PICTURE_SIDE = 2048;
export const THUMB_SIDE = 320;

const START_OF_IMAGE = 0xd8;
const END_OF_IMAGE = 0xd9;
const START_OF_SCAN = 0xda;
const COMMENT = 0xfe;
const isFrame = (m: number): boolean => m >= 0xc0 && m <= 0xcf && m !== 0xc4 && m !== 0xc8 && m !== 0xcc;
/** Application segments other than JFIF (0) and Adobe's colour transform (14): place, camera, colour profile, previews. */
const isBeside = (m: number): boolean => m === COMMENT || (m > 0xe0 && m <= 0xef && m !== 0xee);
const notOne = (why: string): DomainError =>
  new DomainError('not_an_image', `This is not a picture that can be kept: ${why}. Send a JPEG photograph.`);

/**
 * Takes a JPEG file apart and leaves out everything that is not the image: place, camera, comments, previews, and
 * whatever follows its end. The image itself is not touched.
 * @param bytes the whole file
 * @throws DomainError not_an_image for anything that is no whole JPEG; too_large for one of more than 4,096 px a side
 * Source: ITU-T T.81, annex B (markers and segments).
 */
export function plainJpeg(bytes: Uint8Array): PlainJpeg {
  const at = (i: number): number => bytes[i] ?? 0;
  if (bytes.length < 20 || at(0) !== 0xff || at(1) !== START_OF_IMAGE) throw notOne('it is of another kind, whatever its name says');
  const segments: Uint8Array[] = [bytes.subarray(0, 2)];
  let [width, height] = [0, 0];
  let scans = 0;
  let i = 2;
  for (;;) {
    if (i + 1 >= bytes.length) throw notOne('it ends before its end');
    if (at(i) !== 0xff) throw notOne('it is damaged');
    const marker = at(i + 1);
    if (marker === 0xff) {
      i += 1;
      continue;
    }
    if (marker === END_OF_IMAGE) {
      segments.push(bytes.subarray(i, i + 2));
      break;
    }
    const length = at(i + 2) * 256 + at(i + 3);
    const next = i + 2 + length;
    if (length < 2 || next > bytes.length) throw notOne('it is damaged');
    if (isFrame(marker)) {
      if (width > 0) throw notOne('it holds more than one image');
      height = at(i + 5) * 256 + at(i + 6);
      width = at(i + 7) * 256 + at(i + 8);
      if (width === 0 || height === 0) throw notOne('it has no size');
      if (width > LONGEST_SIDE || height > LONGEST_SIDE)
        throw new DomainError('too_large', `This picture would be ${width} by ${height} points; ${LONGEST_SIDE} a side are taken.`);
    }
    if (!isBeside(marker)) segments.push(bytes.subarray(i, next));
    i = next;
    if (marker !== START_OF_SCAN) continue;
    if (width === 0) throw notOne('it is damaged');
    scans += 1;
    let end = i;
    while (end + 1 < bytes.length && !(at(end) === 0xff && at(end + 1) !== 0 && !(at(end + 1) >= 0xd0 && at(end + 1) <= 0xd7))) end += 1;
    segments.push(bytes.subarray(i, end));
    i = end;
  }
  if (scans === 0) throw notOne('there is no image in it');
  const whole = new Uint8Array(segments.reduce((n, k) => n + k.length, 0));
  let to = 0;
  for (const k of segments) {
    whole.set(k, to);
    to += k.length;
  }
  return { bytes: whole, width, height };
}
