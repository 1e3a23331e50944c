<!-- Something stored that cannot be read: its text as it is, to be mended, exported or deleted. -->
<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Problem } from '$core/problem';
  import { BACK } from '../../../lib/store/broken';
  import { send } from '../../../lib/store/send';
  import { inWords } from '$lib/preferences.svelte';

  let { data } = $props();
  let text = $derived(pretty(data.text));
  let found = $state<Problem[]>();
  const problems = $derived(found ?? data.problems);
  const query = $derived(new URLSearchParams({ kind: data.kind, id: data.id }));
  const back = $derived(BACK[data.kind] ?? '/');

  function pretty(raw: string): string {
    try {
      return JSON.stringify(JSON.parse(raw), null, 2);
    } catch {
      return raw;
    }
  }

  async function save() {
    let document: unknown;
    try {
      document = JSON.parse(text);
    } catch (e) {
      found = [
        {
          code: 'not-json',
          level: 'stop',
          path: '',
          sentence: `It is not written as a document yet: ${e instanceof Error ? e.message : ''}.`,
          mend: 'Look at the place it names.'
        }
      ];
      return;
    }
    const stored = await send('PUT', `/stored?${query}`, document);
    if (stored.ok) await goto(back, { invalidateAll: true });
    else found = stored.problems;
  }

  async function remove() {
    const gone = await send('DELETE', `/stored?${query}`);
    if (gone.ok) await goto(back, { invalidateAll: true });
    else found = gone.problems;
  }
</script>

<svelte:head><title>Mend · Kirapen</title></svelte:head>

<div class="page">
  <p class="text-[0.9rem] text-ink-2"><a class="underline" href={back}>Back</a> · cannot be read</p>
  <h1 class="text-[1.9rem] break-words">{data.name}</h1>
  <ul class="mt-3 space-y-2" data-testid="problems">
    {#each problems as p, i (i)}
      <li class="border-l-4 border-cinnabar bg-cinnabar-soft px-4 py-2">
        {inWords(p.sentence)} <strong>{inWords(p.mend)}</strong>
        {#if p.path}<code class="block text-[0.82rem] text-ink-2">{p.path}</code>{/if}
      </li>
    {:else}
      <li class="text-verdigris">It can be read. Nothing needs mending.</li>
    {/each}
  </ul>
  <textarea
    class="field mt-4 min-h-[15rem] py-3 font-mono text-[0.85rem] leading-relaxed"
    aria-label="The text as it is stored"
    spellcheck="false"
    bind:value={text}
    readonly={data.kind === 'runs'}></textarea>
  <div class="mt-4 flex flex-wrap gap-3">
    {#if data.kind !== 'runs'}<button class="button go" onclick={save}>Save it mended</button>{/if}
    <a class="button" href="/api/v1/stored?{query}" download>Export it as it is</a>
    <button class="button" onclick={remove}>Delete it</button>
  </div>
</div>
