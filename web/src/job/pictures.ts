import { PICTURE } from '@dauer/contract';
import { PICTURE_SIDE, plainJpeg } from '@dauer/core/picture';
import { DomainError } from '@dauer/core/quantity';

/** An image as it will be kept: a plain JPEG under the hash of its bytes. */
export interface PreparedImage {
  readonly hash: string;
  readonly bytes: Uint8Array;
}

const ENOUGH_BYTES = 420_000;
const QUALITIES = [0.82, 0.7, 0.58, 0.45] as const;
const hex = (buffer: ArrayBuffer): string => [...new Uint8Array(buffer)].map((b) => b.toString(16).padStart(2, '0')).join('');

/**
 * Makes a photograph smaller on this device: long side 2,048 px, about 300 kB, nothing in it but the image.
 * @throws DomainError where the file is no image that this browser can open
 */
export async function prepareImage(file: Blob): Promise<PreparedImage> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new DomainError('not_an_image', 'This file is not a picture that can be opened here. Choose a photograph.');
  }
  const scale = Math.min(1, PICTURE_SIDE / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const context = canvas.getContext('2d');
  if (!context) throw new DomainError('no_canvas', 'This browser cannot make pictures smaller. Use another one for pictures.');
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  let made: Blob | null = null;
  for (const quality of QUALITIES) {
    made = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
    if (made && made.size <= ENOUGH_BYTES) break;
  }
  if (!made) throw new DomainError('no_canvas', 'This browser cannot make pictures smaller. Use another one for pictures.');
  const { bytes } = plainJpeg(new Uint8Array(await made.arrayBuffer()));
  return { hash: hex(await crypto.subtle.digest('SHA-256', bytes.slice())), bytes };
}

export function base64Of(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return btoa(text);
}

/** Where an image or its thumbnail is fetched from. */
export const imageUrl = (hash: string, thumb = false): string => PICTURE.path.replace(':hash', hash) + (thumb ? '?thumb=1' : '');

/** Has the browser ask for an image anew, so that what it kept of a struck one goes. */
export async function forgetImage(hash: string): Promise<void> {
  if (hash === '') return;
  for (const thumb of [false, true])
    await fetch(imageUrl(hash, thumb), { cache: 'reload', credentials: 'same-origin' }).catch(() => undefined);
}
