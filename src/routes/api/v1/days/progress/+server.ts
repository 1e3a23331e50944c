import { json } from '@sveltejs/kit';
import { placedSoFar } from '$lib/server/days';

/** How far the orders are that are being placed just now, 0 to 1; null while none are. */
export const GET = () => json({ share: placedSoFar() ?? null });
