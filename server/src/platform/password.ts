import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

const N = 2 ** 15;
const R = 8;
const P = 1;
const LENGTH = 32;

function derive(password: string, salt: Buffer, n: number): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    scrypt(password.normalize('NFKC'), salt, LENGTH, { N: n, r: R, p: P, maxmem: 256 * n * R }, (error, key) =>
      error ? reject(error) : resolve(key),
    );
  });
}

/** Hash of a password, scrypt, with its own salt and cost. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(password, salt, N);
  return `scrypt$${N}$${salt.toString('base64')}$${key.toString('base64')}`;
}

/** Whether a password fits a hash; false for a hash that cannot be read. */
export async function verifyPassword(password: string, hash: string): Promise<boolean> {
  const [scheme, cost, salt, key] = hash.split('$');
  if (scheme !== 'scrypt' || !cost || !salt || !key) return false;
  const expected = Buffer.from(key, 'base64');
  const got = await derive(password, Buffer.from(salt, 'base64'), Number(cost));
  return expected.length === got.length && timingSafeEqual(expected, got);
}
