import { LRUCache } from 'lru-cache';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { version } from '$app/environment';
import sharp from 'sharp';
import { z } from 'zod';
import { SHOW_FACES } from '$core/mould';
import type { Plan } from '$core/plan';
import type { Shelf } from '$core/shelf';
import { problemsOf } from '$core/validate';
import { folderBeside } from '../database';
import { store } from '../store';
import { KeptPictures } from './kept-pictures';
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

/** Larger ones are made for a file and not kept, pixels. */
const SMALL = 400;
/** Pictures that were asked for lately, or are being made: asked for twice at once, one is made once. */
const made = new LRUCache<string, Promise<Made | undefined>>({ max: 240 });
/** Those of earlier starts, beside the database. */
const keptPictures = async () => new KeptPictures(join(folderBeside((await store()).file), 'pictures'));

/**
 * The picture of a piece as the address asks for it: PNG, or SVG in true size. Made in a thread, and kept for as long as
 * nothing it is made of changes.
 */
export async function pictureResponse(request: Request, plan: Plan, shelf: Shelf): Promise<Response> {
  const query = Query.safeParse({
    ...usualFace(plan),
    ...Object.fromEntries(new URL(request.url).searchParams)
  });
  if (!query.success) return refuse(problemsOf(query.error, 'picture'));
  const name = nameOf(plan, shelf, query.data);
  const headers = { 'cache-control': 'private, no-cache', etag: `"${name}"` };
  if (request.headers.get('if-none-match') === headers.etag)
    return new Response(null, { status: 304, headers });
  const found = await drawn(name, plan, shelf, query.data);
  if (!found) return notHere('group of cavities', query.data.cavities ?? 'the first');
  return new Response(found.bytes, {
    headers: { ...headers, 'content-type': found.type, ...fileName(plan, query.data) }
  });
}

/** The show face of a plan as PNG, to be set into a sheet; undefined where it has no cavities. */
export async function picturePng(plan: Plan, shelf: Shelf): Promise<Uint8Array | undefined> {
  const query = Query.parse(usualFace(plan));
  return (await drawn(nameOf(plan, shelf, query), plan, shelf, query))?.bytes;
}

const usualFace = ({ showFace }: Plan) => (showFace ? { face: showFace } : {});

/** A name for a picture by all that it is drawn from and by: another program may draw it otherwise. */
const nameOf = (plan: Plan, { moulds, colourants, bases }: Shelf, query: PictureQuery): string =>
  createHash('sha256')
    .update(JSON.stringify([version, plan, moulds, colourants, bases, query]))
    .digest('hex');

/** A picture under its name: as it was kept, or made now. */
async function drawn(name: string, plan: Plan, shelf: Shelf, query: PictureQuery): Promise<Made | undefined> {
  if (query.as !== 'png' || query.size > SMALL) return make(plan, shelf, query);
  const making = made.get(name) ?? keptOrMade(name, plan, shelf, query);
  made.set(name, making);
  // What could not be made is tried again by the next who asks.
  making.catch(() => made.delete(name));
  return making;
}

async function keptOrMade(
  name: string,
  plan: Plan,
  shelf: Shelf,
  query: PictureQuery
): Promise<Made | undefined> {
  const kept = await keptPictures();
  const before = await kept.find(name);
  if (before) return { type: 'image/png', bytes: before };
  const now = await make(plan, shelf, query);
  if (now) await kept.keep(name, now.bytes);
  return now;
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
