<!-- Events that the server will not keep as they are: each with its reason, to be mended or let go by hand. -->
<script lang="ts">
  import type { SetAside, PendingEvents } from '../../run/run-log.svelte';
  import { inWords, problemWords } from '../../preferences.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let { log }: { log: PendingEvents } = $props();
  let failed = $state('');

  const WORDS: Record<string, string> = {
    weighed: 'a weighing',
    added: 'a top-up',
    done: 'something done',
    skipped: 'something skipped',
    reported: 'a report',
    note: 'a note',
    problem: 'a problem',
    left: 'what was left over'
  };
  const gramsOf = ({ event }: SetAside) =>
    'grams' in event && typeof event.grams === 'number' ? event.grams : undefined;
  const textOf = ({ event }: SetAside) =>
    'text' in event && typeof event.text === 'string' ? event.text : undefined;

  function mend(id: string, change: Record<string, unknown>) {
    const problem = log.mend(id, change);
    failed = problemWords(problem);
  }
</script>

{#if log.aside.length || log.unreadable.length}
  <section
    class="shrink-0 border-b border-rule bg-cinnabar-soft px-7 py-3"
    aria-label="Set aside"
    data-testid="aside"
    data-own-keys
  >
    <h2 class="font-sans text-[1.05rem] font-semibold">
      Not stored: {log.aside.length + log.unreadable.length} set aside on this device
    </h2>
    <ul class="mt-1 space-y-2">
      {#each log.aside as kept (kept.event.id)}
        {@const grams = gramsOf(kept)}
        {@const text = textOf(kept)}
        <li class="flex flex-wrap items-center gap-3">
          <span class="flex-1"
            ><strong>{WORDS[kept.event.type] ?? kept.event.type}</strong>: {inWords(kept.sentence)}</span
          >
          {#if grams !== undefined}
            <span class="w-36"
              ><QuantityField
                label="Grams, mended"
                unit="g"
                max={1e9}
                value={grams}
                onchange={(v) => mend(kept.event.id, { grams: v })}
              /></span
            >
          {:else if text !== undefined}
            <input
              class="field flex-1"
              aria-label="Words, mended"
              value={text}
              onchange={(e) => mend(kept.event.id, { text: e.currentTarget.value })}
            />
          {/if}
          <button class="button" onclick={() => mend(kept.event.id, {})}>Try again</button>
          <button class="button" onclick={() => log.drop(kept.event.id)}>Let it go</button>
        </li>
      {/each}
      {#each log.unreadable as kept (kept.key)}
        <li class="flex flex-wrap items-center gap-3">
          <span class="min-w-0 flex-1 break-words"
            ><strong>something that cannot be read</strong>: {kept.text.slice(0, 200) || 'nothing'}</span
          >
          <button class="button" onclick={() => log.dropUnreadable(kept.key)}>Let it go</button>
        </li>
      {/each}
    </ul>
    {#if failed}<p class="mt-1 font-semibold text-cinnabar" role="alert">{failed}</p>{/if}
  </section>
{/if}
