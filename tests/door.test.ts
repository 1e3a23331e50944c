import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Workshop } from './workshop';

const PASSPHRASE = 'heron by the sluice';
let workshop: Workshop;
beforeAll(async () => {
  workshop = await Workshop.serve({ demo: true, passphrase: PASSPHRASE });
});
afterAll(() => workshop.close());

const at = (path: string) => `${workshop.address}${path}`;

/** Signs in, asking to be led on; where to, and the cookie. */
async function signIn(then = '/'): Promise<{ leads: string | null; cookie: string }> {
  const answer = await fetch(at(`/sign-in?then=${encodeURIComponent(then)}`), {
    method: 'POST',
    redirect: 'manual',
    headers: { accept: 'text/html', origin: workshop.address },
    body: new URLSearchParams({ passphrase: PASSPHRASE })
  });
  const cookie = (answer.headers.get('set-cookie') ?? '').split(';')[0]!;
  return { leads: answer.headers.get('location'), cookie };
}

describe('a workshop that is open to the network', () => {
  it('leads on to a place of its own, and nowhere else', async () => {
    expect((await signIn('/plans?shown=all')).leads).toBe('/plans?shown=all');
    for (const then of [
      '//evil.example',
      '/\t/evil.example',
      '/\n/evil.example',
      '/\\evil.example',
      'https://evil.example',
      '/\u0000'
    ])
      expect([then, (await signIn(then)).leads]).toEqual([then, '/']);
  });

  it('takes a few thousand bytes from who is not let in, and no more', async () => {
    const much = 'x'.repeat(9000);
    const forms = { 'content-type': 'application/x-www-form-urlencoded', origin: workshop.address };
    expect((await fetch(at('/sign-in'), { method: 'POST', headers: forms, body: much })).status).toBe(413);
    const streamed = new Response(much).body!;
    const init = { method: 'POST', headers: forms, body: streamed, duplex: 'half' };
    expect((await fetch(at('/sign-in'), init as RequestInit)).status).toBe(413);
    const json = { 'content-type': 'application/json' };
    expect((await fetch(at('/api/v1/plans'), { method: 'POST', headers: json, body: much })).status).toBe(
      413
    );
    expect((await fetch(at('/api/v1/plans'))).status).toBe(401);
  });

  it('ends open streams with signing out everywhere', async () => {
    const { cookie } = await signIn();
    const stream = await fetch(at('/api/v1/changes'), { headers: { cookie } });
    const ended = stream.text();
    const out = await fetch(at('/api/v1/sign-out'), {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json' },
      body: '{"everywhere":true}'
    });
    expect(out.status).toBe(204);
    expect(await ended).toContain('retry');
    expect((await fetch(at('/api/v1/plans'), { headers: { cookie } })).status).toBe(401);
  });

  it('keeps its own passphrase and who is signed in when a backup is put in its place', async () => {
    const { cookie } = await signIn();
    const signed = { headers: { cookie } };
    const backup = await (await fetch(at('/api/v1/backup'), signed)).arrayBuffer();
    const later = await signIn();
    const restored = await fetch(at('/api/v1/backup'), {
      method: 'POST',
      headers: { ...signed.headers, 'content-type': 'application/octet-stream' },
      body: backup
    });
    expect(restored.status).toBe(200);
    // Who signed in after the backup was made is signed in still, and the passphrase opens as before.
    expect((await fetch(at('/api/v1/plans'), { headers: { cookie: later.cookie } })).status).toBe(200);
    expect((await signIn('/plans')).leads).toBe('/plans');
  });
});
