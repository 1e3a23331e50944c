<!-- The workshop's own ways and keeping: units, hours, makers, backups, and who is signed in. -->
<script lang="ts">
  import Bar from '../../../lib/ui/drawing/Bar.svelte';
  import { invalidateAll } from '$app/navigation';
  import type { Problem } from '$core/problem';
  import type { Contents } from '$lib/ui/workshop/contents';
  import { send } from '../../../lib/store/send';
  import { moment } from '$lib/when';
  import WaysForm from '$lib/ui/workshop/WaysForm.svelte';
  import { inWords } from '$lib/preferences.svelte';

  let { data } = $props();

  let chosen = $state<File>();
  let preview = $state<Contents>();
  let problems = $state<Problem[]>([]);
  let working = $state(false);
  let restored = $state(false);

  /** How much of the file is sent, a share; all of it while the server looks through it. */
  let sent = $state(0);
  let sending: XMLHttpRequest | undefined;

  /** Sends a file and tells how far it is: what `fetch` cannot. */
  const upload = (to: string, file: File, told: (share: number) => void) =>
    new Promise<{ ok: boolean; text: string }>((done, failed) => {
      const request = new XMLHttpRequest();
      sending = request;
      request.upload.onprogress = (e) => told(e.lengthComputable ? e.loaded / e.total : 0);
      request.onload = () => done({ ok: request.status < 300, text: request.responseText });
      request.onerror = () => failed(new Error('no answer'));
      request.onabort = () => failed(new Error('given up'));
      request.open('POST', to);
      request.setRequestHeader('content-type', 'application/octet-stream');
      request.send(file);
    });

  /** Sends the chosen file: to see what it holds, or to put it in the place of everything. */
  async function sendFile(file: File, how: '?preview' | ''): Promise<Contents | undefined> {
    working = true;
    problems = [];
    try {
      const kind = file.name.endsWith('.zip') ? 'archive' : 'backup';
      const answer = await upload(`/api/v1/${kind}${how}`, file, (share) => (sent = share));
      const body = JSON.parse(answer.text) as Contents & { problems?: Problem[] };
      if (answer.ok) return body;
      problems = body.problems ?? [];
    } catch {
      problems = [
        {
          code: 'no-answer',
          level: 'stop',
          path: '',
          sentence: 'The server does not answer.',
          mend: 'Nothing was changed; try again in a moment.'
        }
      ];
    } finally {
      working = false;
      sent = 0;
      sending = undefined;
    }
    return undefined;
  }

  async function choose(file: File | undefined) {
    restored = false;
    chosen = file;
    preview = file && (await sendFile(file, '?preview'));
  }

  async function restore() {
    if (!chosen) return;
    const done = await sendFile(chosen, '');
    preview = undefined;
    chosen = undefined;
    if (!done) return;
    restored = true;
    await invalidateAll();
  }

  async function signOut(everywhere: boolean) {
    const out = await send('POST', '/sign-out', { everywhere });
    // Runs that this browser keeps for a lost network are the workshop's.
    if (out.ok && 'caches' in window) for (const name of await caches.keys()) await caches.delete(name);
    if (out.ok) location.href = '/sign-in';
  }

  const size = (bytes: number) =>
    bytes > 1e6 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.ceil(bytes / 1000)} kB`;
  const held = (c: Contents) => c.counts.filter((x) => x.count > 0);
</script>

<svelte:head><title>Workshop · Kirapen</title></svelte:head>

<div class="page">
  <h1 class="text-[2rem]">Workshop</h1>

  <WaysForm ways={data.ways} />

  <section class="mt-8" aria-label="Backup">
    <h2 class="text-[1.35rem]">Backup</h2>
    <p class="mt-1 text-ink-2">
      {#if data.file}
        Everything lies in one file: <code class="text-ink">{data.file}</code>. A copy is made every day, and
        before every upgrade; the last fourteen days are kept beside it.
      {:else}
        Everything lies on a database server that several benches share. A copy of it is made here every day,
        as an archive; the last fourteen days are kept on this machine.
      {/if}
    </p>
    {#if held(data.contents).length}<p class="mt-2">
        {#each held(data.contents) as c, i (c.what)}{i ? ', ' : ''}<strong>{c.count}</strong>
          {c.what}{/each}.
      </p>{/if}
    <div class="mt-3 flex flex-wrap items-center gap-3">
      {#if data.file}<a class="button go" href="/api/v1/backup" download>Download everything</a>{/if}
      <a class="button" class:go={!data.file} href="/api/v1/archive" download>
        {data.file ? 'In open formats (ZIP)' : 'Download everything (ZIP)'}
      </a>
      <label class="button cursor-pointer">
        Restore a backup
        <input
          type="file"
          accept=".db,.zip"
          class="sr-only"
          aria-label="Backup to restore"
          onchange={(e) => {
            void choose(e.currentTarget.files?.[0]);
            e.currentTarget.value = '';
          }}
        />
      </label>
      {#if working}
        <Bar class="w-40" label="Reading the backup" share={sent > 0 && sent < 1 ? sent : null} />
        {#if sent < 1}<button class="button" onclick={() => sending?.abort()}>Cancel</button>{/if}
      {/if}
      {#if restored}<span class="font-semibold text-verdigris" role="status">It is restored.</span>{/if}
    </div>
    {#each problems as p, i (i)}
      <p class="mt-3 border-l-4 border-cinnabar bg-cinnabar-soft px-4 py-3" role="alert">
        {inWords(p.sentence)} <strong>{inWords(p.mend)}</strong>
      </p>
    {/each}
    {#if data.copies.length}
      <h3 class="mt-4 font-semibold">Copies beside the database</h3>
      <ul class="mt-1 max-w-[36rem] text-[0.92rem]">
        {#each data.copies as copy (copy.name)}
          <li class="flex gap-4 border-b border-rule py-1.5">
            <span class="min-w-0 flex-1 truncate">{copy.name}</span>
            <span class="text-ink-2">{moment(copy.at, Date.now())}</span>
            <span class="w-20 text-right tabular-nums">{size(copy.bytes)}</span>
          </li>
        {/each}
      </ul>
    {/if}
  </section>

  <section class="mt-8" aria-label="Who gets in">
    <h2 class="text-[1.35rem]">Who gets in</h2>
    {#if data.signsIn}
      <p class="mt-1 text-ink-2">Everyone on the network signs in with the workshop’s passphrase.</p>
      <div class="mt-3 flex gap-3">
        <button class="button" onclick={() => signOut(false)}>Sign out here</button>
        <button class="button" onclick={() => signOut(true)}>Sign out on every device</button>
      </div>
    {:else}
      <p class="mt-1 text-ink-2">
        Only this machine. To let the workshop’s other devices in, set a passphrase (<code
          >npm run passphrase</code
        >) and start with <code>HOST=0.0.0.0</code>.
      </p>
    {/if}
  </section>
</div>

{#if preview && chosen}
  {#await import('$lib/ui/workshop/RestoreDialog.svelte') then { default: RestoreDialog }}
    {#if preview && chosen}
      <RestoreDialog
        name={chosen.name}
        {preview}
        here={data.contents}
        onrestore={restore}
        onleave={() => (preview = undefined)}
      />
    {/if}
  {/await}
{/if}
