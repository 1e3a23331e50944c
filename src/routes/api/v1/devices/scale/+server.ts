import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { scaleOfBench } from '$lib/server/devices/scale';
import { readBody } from '../../../../../lib/server/http/respond';

const Ask = z.discriminatedUnion('do', [
  z.object({ do: z.literal('tare'), bench: z.string().max(80), division: z.number().positive() }),
  z.object({ do: z.literal('clear'), bench: z.string().max(80), division: z.number().positive() }),
  z.object({
    do: z.literal('pour'),
    bench: z.string().max(80),
    division: z.number().positive(),
    grams: z.number().positive().max(100_000)
  })
]);

/** Asks something of the stand-in scale: tare it, clear it, or have its hand pour. */
export const POST = async ({ request }) => {
  const body = await readBody(request, Ask);
  if ('refused' in body) return body.refused;
  const ask = body.value;
  const scale = scaleOfBench(ask.bench, ask.division);
  if (ask.do === 'tare') scale.tare();
  if (ask.do === 'clear') scale.clear();
  if (ask.do === 'pour') scale.pour(ask.grams);
  return json({ done: ask.do });
};
