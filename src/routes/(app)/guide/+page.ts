import { redirect } from '@sveltejs/kit';
import { GUIDE } from '$lib/guide';

export const load = () => redirect(307, `/guide/${GUIDE[0]!.slug}`);
