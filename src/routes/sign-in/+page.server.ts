import { fail, redirect } from '@sveltejs/kit';
import { duration } from '$core/quantity';
import { COOKIE, signIn, STAYS_MS } from '../../lib/server/access';
import { store } from '$lib/server/store';

/** Where to go once someone is signed in: a place of this workshop, and no other. */
function placeIn(then: string | null, { origin }: URL): string {
  // Browsers drop tabs and newlines from an address, and take a backslash for a stroke.
  const odd = [...(then ?? '')].some((c) => c < ' ' || c === '\u007f' || c === '\\');
  if (!then || odd || !/^\/(?!\/)/.test(then)) return '/';
  if (!URL.canParse(then, origin)) return '/';
  const { pathname, search, origin: leads } = new URL(then, origin);
  return leads === origin ? pathname + search : '/';
}

export const load = ({ url }) => ({ then: placeIn(url.searchParams.get('then'), url) });

export const actions = {
  default: async ({ request, cookies, url, getClientAddress }) => {
    const form = await request.formData();
    const passphrase = String(form.get('passphrase') ?? '').slice(0, 500);
    const came = await signIn(await store(), passphrase, getClientAddress(), Date.now());
    if (came === 'wrong') return fail(403, { sentence: 'That is not the passphrase of this workshop.' });
    if ('wait' in came)
      return fail(429, {
        sentence: `Too many tries. Wait ${duration(Math.ceil(came.wait / 60_000))}, then try again.`
      });
    cookies.set(COOKIE, came.token, {
      path: '/',
      httpOnly: true,
      sameSite: 'strict',
      secure: url.protocol === 'https:',
      maxAge: STAYS_MS / 1000
    });
    redirect(303, placeIn(url.searchParams.get('then'), url));
  }
};
