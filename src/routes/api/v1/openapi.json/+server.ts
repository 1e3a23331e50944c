import { json } from '@sveltejs/kit';
import { openapi } from '../../../../lib/server/openapi';

export const GET = () => json(openapi());
