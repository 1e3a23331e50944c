import { LRUCache } from 'lru-cache';
import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { z } from 'zod';
import { SHOW_FACES } from '$core/mould';
import type { Plan } from '$core/plan';
import type { Shelf } from '$core/shelf';
import { problemsOf } from '$core/validate';
import { notHere, refuse } from './respond';
import { inThread } from '../workers';

/** What may be asked of a picture, as the address gives it. */
const Query = z.object({
  face: z.enum(SHOW_FACES).default('mould face'),
  heading: z.coerce.number().min(-360).max(360).optional(),
  off: z.coerce.number().min(-5000).max(5000).default(0),
  size: z.coerce
    .number()
    .int()
    .min(16, 'is too small to see')
    .max(1600, 'can be at most 1600 pixels')
    .default(360),
  cavities: z.string().max(60).optional(),
  piece: z.string().max(20).optional(),
  until: z.string().max(60).optional(),
  as: z.enum(['png', 'svg', 'template']).default('png')
});
export type PictureQuery = z.infer<typeof Query>;

interface Made {
  type: string;
  bytes: Uint8Array<ArrayBuffer>;
}

/** Pictures that are kept, or being made, by what they are of: asked for twice at once, one is made once. */
/** Larger ones are made for a file and not kept, pixels. */
const SMALL = 400;
const made = new LRUCache<string, Promise<Made | undefined>>({ max: 240 });

/**
 * The picture of a piece as the address asks for it: PNG, or SVG in true size. Made in a thread, and kept for as long as
 * nothing it is made of changes.
 *
 * @param key what the plan and its shelf are now: another key, another picture
 */
export async function pictureResponse(
  url: URL,
  { plan, shelf, key }: { plan: Plan; shelf: Shelf; key: string }
): Promise<Response> {
  const query = Query.safeParse({
    ...(plan.showFace ? { face: plan.showFace } : {}),
    ...Object.fromEntries(url.searchParams)
  });
  if (!query.success) return refuse(problemsOf(query.error, 'picture'));
  const id = createHash('sha256')
    .update(`${key} ${JSON.stringify(query.data)}`)
    .digest('base64');
  const making = made.get(id) ?? make(plan, shelf, query.data);
  if (query.data.as === 'png' && query.data.size <= SMALL) made.set(id, making);
  // What could not be made is tried again by the next who asks.
  const found = await making.catch((error: unknown) => {
    made.delete(id);
    throw error;
  });
  if (!found) return notHere('group of cavities', query.data.cavities ?? 'the first');
  return new Response(found.bytes, {
    headers: {
      'content-type': found.type,
      'cache-control': 'private, no-cache',
      ...fileName(plan, query.data)
    }
  });
}

/** The show face of a plan as PNG, to be set into a sheet; undefined where it has no cavities. */
export async function picturePng(plan: Plan, shelf: Shelf): Promise<Uint8Array | undefined> {
  const query = Query.parse({ ...(plan.showFace ? { face: plan.showFace } : {}) });
  return (await make(plan, shelf, query))?.bytes;
}

async function make(plan: Plan, shelf: Shelf, query: PictureQuery): Promise<Made | undefined> {
  const drawn = await inThread('picture', { plan, shelf, query });
  if (!drawn) return undefined;
  if ('svg' in drawn) return { type: 'image/svg+xml', bytes: new TextEncoder().encode(drawn.svg) };
  const { rgba, width, height } = drawn;
  const png = await sharp(rgba, { raw: { width, height, channels: 4 } })
    .png({ palette: true })
    .toBuffer();
  return { type: 'image/png', bytes: new Uint8Array(png) };
}

/** A drawing in true size is a file to keep; a picture is shown where it stands. */
function fileName({ id }: Plan, { as, face }: PictureQuery): Record<string, string> {
  if (as === 'png') return {};
  const name = `${id}-${as === 'template' ? 'template' : face.replace(' ', '-')}.svg`;
  return { 'content-disposition': `attachment; filename="${name}"` };
}
