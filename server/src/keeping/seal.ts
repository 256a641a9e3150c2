import { createCipheriv, createDecipheriv, createHmac, hkdfSync, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto';
import { Transform, type TransformCallback } from 'node:stream';

/** First bytes of a sealed file: its form and version. */
const MAGIC = Buffer.from('DAUERSEAL1\n', 'latin1');
const SALT = 16;
/** Plain bytes a frame; the last one may be shorter, and is marked as the last. */
const FRAME = 64 * 1024;
const TAG = 16;
/** Cost of deriving a key from a passphrase: half a second and 128 MB. */
const COST = { N: 2 ** 17, r: 8, p: 1, maxmem: 256 * 2 ** 20 };

/** A sealed file cannot be opened: another key, changed, or cut off. */
export class NotSealed extends Error {}

/** The key that a passphrase gives: 32 bytes. Source: RFC 7914, scrypt. */
export function keyOf(passphrase: string, salt: Buffer): Buffer {
  return scryptSync(passphrase.normalize('NFKC').trim(), salt, 32, COST);
}

/** By which a key is known to be the right one, without saying anything of it. */
export const checkOf = (key: Buffer): string => createHmac('sha256', key).update('dauer backup key').digest('base64url');

export function fits(key: Buffer, check: string): boolean {
  const [own, known] = [Buffer.from(checkOf(key)), Buffer.from(check)];
  return own.length === known.length && timingSafeEqual(own, known);
}

/** The key of one file: another for each, so that no nonce is ever used twice with one. Source: RFC 5869, HKDF. */
const fileKey = (key: Buffer, salt: Buffer): Buffer => Buffer.from(hkdfSync('sha256', key, salt, 'dauer sealed file', 32));

function nonce(frame: number, last: boolean): Buffer {
  const n = Buffer.alloc(12);
  n.writeUInt32BE(frame, 7);
  n[11] = last ? 1 : 0;
  return n;
}

/** Bytes that are passed on in frames of one size; what is left at the end is the last. */
abstract class Framed extends Transform {
  private held: Buffer[] = [];
  private size = 0;
  private frame = 0;
  private readonly whole: number;
  constructor(whole: number) {
    super();
    this.whole = whole;
  }
  protected abstract put(bytes: Buffer, frame: number, last: boolean): void;
  protected abstract begin(bytes: Buffer): Buffer;
  private pass(upTo: number): void {
    while (this.size > upTo) {
      const all = Buffer.concat(this.held);
      this.put(all.subarray(0, this.whole), this.frame, false);
      this.frame += 1;
      const rest = all.subarray(this.whole);
      this.held = rest.length > 0 ? [rest] : [];
      this.size = rest.length;
    }
  }
  override _transform(chunk: Buffer, _encoding: BufferEncoding, done: TransformCallback): void {
    try {
      const bytes = this.begin(chunk);
      this.held.push(bytes);
      this.size += bytes.length;
      // A frame is passed on only once there is more behind it: the last is known by that.
      this.pass(this.whole);
      done();
    } catch (error) {
      done(error instanceof Error ? error : new Error(String(error)));
    }
  }
  override _flush(done: TransformCallback): void {
    try {
      this.put(Buffer.concat(this.held), this.frame, true);
      done();
    } catch (error) {
      done(error instanceof Error ? error : new Error(String(error)));
    }
  }
}

/**
 * Seals what passes through: AES-256-GCM in frames, each bound to its place, the last marked, so that nothing can be
 * changed, moved or cut off unnoticed.
 * Source: Hoang, Reyhanitabar, Rogaway, Vizár, Online Authenticated-Encryption and its Nonce-Reuse Misuse-Resistance
 * (2015), the STREAM construction; NIST SP 800-38D, GCM.
 */
export class Seal extends Framed {
  private readonly key: Buffer;
  constructor(key: Buffer) {
    super(FRAME);
    const salt = randomBytes(SALT);
    this.key = fileKey(key, salt);
    this.push(Buffer.concat([MAGIC, salt]));
  }
  protected begin(bytes: Buffer): Buffer {
    return bytes;
  }
  protected put(bytes: Buffer, frame: number, last: boolean): void {
    const cipher = createCipheriv('aes-256-gcm', this.key, nonce(frame, last));
    this.push(Buffer.concat([cipher.update(bytes), cipher.final(), cipher.getAuthTag()]));
  }
}

/** Opens what was sealed. Fails with NotSealed where it was changed, cut off, or sealed with another key. */
export class Open extends Framed {
  private readonly secret: Buffer;
  private key: Buffer | null = null;
  private head = Buffer.alloc(0);
  constructor(key: Buffer) {
    super(FRAME + TAG);
    this.secret = key;
  }
  protected begin(bytes: Buffer): Buffer {
    if (this.key) return bytes;
    this.head = Buffer.concat([this.head, bytes]);
    if (this.head.length < MAGIC.length + SALT) return Buffer.alloc(0);
    if (!this.head.subarray(0, MAGIC.length).equals(MAGIC)) throw new NotSealed('This is no sealed file of Dauer.');
    this.key = fileKey(this.secret, this.head.subarray(MAGIC.length, MAGIC.length + SALT));
    return this.head.subarray(MAGIC.length + SALT);
  }
  protected put(bytes: Buffer, frame: number, last: boolean): void {
    if (!this.key || bytes.length < TAG) throw new NotSealed('This sealed file was cut off.');
    const cipher = createDecipheriv('aes-256-gcm', this.key, nonce(frame, last));
    cipher.setAuthTag(bytes.subarray(bytes.length - TAG));
    try {
      this.push(Buffer.concat([cipher.update(bytes.subarray(0, bytes.length - TAG)), cipher.final()]));
    } catch {
      throw new NotSealed('This sealed file was changed or cut off, or was sealed with another passphrase.');
    }
  }
}
