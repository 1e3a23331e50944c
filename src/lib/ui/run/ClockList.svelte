<!-- Each window draining, the most pressing largest: cups to pour, the gate waited for, demoulding's two edges. -->
<script lang="ts">
  import type { RunFigures } from '$core/run';
  import { clock, duration } from '$core/quantity';
  import { inWords } from '../../preferences.svelte';
  import type { Clock } from '$core/run';
  import CupIcon from '../drawing/CupIcon.svelte';

  let { clocks, computed, now }: { clocks: readonly Clock[]; computed: RunFigures; now: number } = $props();
  const WORDS = { pour: 'to pour', gate: 'until the gate', demould: 'until demould', late: 'late after' };
  const cupOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const nameOf = (c: Clock) =>
    cupOf(c.of)?.name ?? computed.groups.find((g) => g.groupId === c.of)?.name ?? '';

  /** What may be done from then on is not late when its time has come. */
  const opens = (c: Clock) => c.kind === 'gate' || c.kind === 'demould';

  function tone(c: Clock, share: number): string {
    if (opens(c)) return share <= 0 ? 'var(--verdigris)' : 'var(--ochre)';
    if (share <= 0) return 'var(--cinnabar)';
    return share < 0.25 ? 'var(--ochre)' : 'var(--verdigris)';
  }
</script>

<h2 class="label font-sans !text-[0.95rem]">Clocks</h2>
<ul class="mt-3 space-y-5">
  {#each clocks as c, i (c.id)}
    {@const share = Math.max(0, Math.min(1, (c.due - now) / (c.due - c.zero)))}
    {@const cup = cupOf(c.of)}
    <li class="flex items-center gap-3" data-clock={c.id}>
      {#if cup}
        <CupIcon colour={cup.colour} hatch={cup.hatch} size={38} />
      {:else}
        <svg width="38" height="38" viewBox="0 0 38 38" aria-hidden="true">
          <path d="M3 9H35V31H3Z" fill="var(--mould)" /><path
            d="M8 9H30A11 16 0 0 1 8 9Z"
            fill="var(--sheet)"
            stroke="var(--ink)"
            stroke-width="1.5"
          />
        </svg>
      {/if}
      <div class="min-w-0 flex-1">
        <p class={i ? 'truncate text-[1.05rem] text-ink-2' : 'text-[1.6rem] leading-tight'}>
          {nameOf(c)} · {WORDS[c.kind]}
        </p>
        <div class="mt-1.5 h-2.5 overflow-hidden rounded-full bg-sunk">
          <div class="h-full" style="width:{share * 100}%;background:{tone(c, share)}"></div>
        </div>
        {#if c.moved}<p class="mt-1 text-[0.9rem] leading-tight text-ochre">
            {duration(Math.abs(c.moved.now - c.moved.planned))}
            {c.moved.now < c.moved.planned ? 'sooner' : 'later'}: {inWords(c.moved.why)}
          </p>{/if}
      </div>
      <strong
        class={i ? 'text-[1.5rem]' : 'text-[2.1rem]'}
        style="color:{c.kind === 'pour' || c.due <= now ? tone(c, share) : 'inherit'}"
        >{opens(c) && c.due <= now ? 'now' : clock((c.due - now) / 1000)}</strong
      >
    </li>
  {:else}
    <li class="text-ink-2">No clock yet. Clocks start when the parts meet.</li>
  {/each}
</ul>
