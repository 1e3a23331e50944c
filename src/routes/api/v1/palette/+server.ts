import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { readPalette, writePalette, writePaletteCsv } from '$core/colour';
import { listCards } from '$lib/server/database';
import { readBody, refuse } from '../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** The colourants of the shelf as a palette: text, or CSV. */
export const GET = async ({ url }) => {
  const colourants = await listCards((await store()).db, 'colourants');
  const swatches = colourants.map((c) => ({ name: c.name, hex: c.colour }));
  const csv = url.searchParams.get('as') === 'csv';
  return new Response(csv ? writePaletteCsv(swatches) : writePalette('Kirapen shelf', swatches), {
    headers: {
      'content-type': `${csv ? 'text/csv' : 'text/plain'}; charset=utf-8`,
      'content-disposition': `attachment; filename="kirapen-shelf.${csv ? 'csv' : 'gpl'}"`
    }
  });
};

/** Reads a palette: its text, in JSON. */
export const POST = async ({ request }) => {
  const body = await readBody(request, z.object({ text: z.string().max(500_000) }));
  if ('refused' in body) return body.refused;
  const read = readPalette(body.value.text);
  return read.ok ? json({ swatches: read.value }) : refuse([read.problem]);
};
