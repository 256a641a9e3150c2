import { createHash } from 'node:crypto';
import { type ENDPOINTS, PICTURE } from '@dauer/contract';
import { plainJpeg, THUMB_SIDE } from '@dauer/core/picture';
import { toResult } from '@dauer/core/quantity';
import { eq } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Database } from '../../db/connect.ts';
import { image } from '../../db/schema.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Call } from '../../platform/routes.ts';
import { requireRole } from '../../platform/session.ts';
import { apart, WorkFailed } from '../../beside/apart.ts';

const NOT_READ = 'This is not a picture that can be kept: it cannot be read to its end. Send a JPEG photograph.';

/** Decodes an image to its end and gives its thumbnail. Throws a HttpProblem where it is none. */
async function thumbOf(bytes: Uint8Array): Promise<Buffer> {
  try {
    return Buffer.from(await apart('thumbnail', { bytes, side: THUMB_SIDE }));
  } catch (error) {
    if (error instanceof WorkFailed) throw new HttpProblem('not_an_image', NOT_READ);
    throw error;
  }
}

/** Keeps an image once, under the hash of its bytes, with nothing in it but the image. */
export async function keepPicture({ db, body }: Call<typeof ENDPOINTS.keepPicture>) {
  const received = Buffer.from(body.base64, 'base64');
  const tried = toResult(() => plainJpeg(received));
  if (!tried.ok) throw tried.refusal;
  const { bytes, width, height } = tried.value;
  const data = Buffer.from(bytes);
  const hash = createHash('sha256').update(data).digest('hex');
  const [known] = await db.select({ hash: image.hash }).from(image).where(eq(image.hash, hash));
  if (!known) {
    const thumb = await thumbOf(bytes);
    await db.insert(image).values({ hash, width, height, data, thumb }).onConflictDoNothing();
  }
  return { hash, width, height };
}

/** Gives an image or its thumbnail out to whoever may see the records. */
export function servePictures(app: FastifyInstance, db: Database): void {
  const params = z.object({ hash: z.string().regex(/^[0-9a-f]{64}$/) });
  const querystring = z.object({ thumb: z.string().optional() });
  app.get(PICTURE.path, { schema: { hide: true, params, querystring } }, async (request, reply) => {
    await requireRole(db, request, PICTURE.role);
    const { hash } = params.parse(request.params);
    const small = querystring.parse(request.query).thumb !== undefined;
    const [row] = await db
      .select({ bytes: small ? image.thumb : image.data })
      .from(image)
      .where(eq(image.hash, hash));
    if (!row) throw new HttpProblem('not_found', 'This picture has not come in yet.');
    if (!row.bytes) throw new HttpProblem('blacked_out', 'This picture was blacked out.');
    return reply
      .type('image/jpeg')
      .header('content-security-policy', "default-src 'none'")
      .header('x-content-type-options', 'nosniff')
      .send(row.bytes);
  });
}
