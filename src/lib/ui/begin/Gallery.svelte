<!-- Every technique of the material as a picture of the piece it makes, with the time it takes. -->
<script lang="ts">
  import { duration } from '$core/quantity';
  import { LOOKS, type Look, type Technique } from '$core/pour';
  import { figuresOf, type Computed } from '$core/plan';
  import { afterFrame } from '../../page/after-frame';
  import type { ToBegin } from '../../plan/to-begin.svelte';
  import { facePictured } from '../drawing/face-shown';
  import Choice from '../forms/Choice.svelte';
  import PiecePicture from '../drawing/PiecePicture.svelte';

  let { begin }: { begin: ToBegin } = $props();
  const NAMES: Record<Look, string> = {
    layers: 'Layers',
    cells: 'Cells, petals',
    swirls: 'Swirls',
    stone: 'Marble',
    'set in': 'Set in'
  };
  let look = $state<Look | 'any'>('any');
  let typed = $state('');
  /** Minutes of the hands that a technique may take. */
  let most = $state('any');
  const found = $derived(
    begin.techniques.filter(
      (t) =>
        (look === 'any' || t.look === look) &&
        named(t).some((w) => w.includes(typed.trim().toLowerCase())) &&
        (most === 'any' || handsOf(drawn.get(t.id)) <= Number(most))
    )
  );
  const named = (t: Technique) => [t.name, t.about, ...t.also].map((w) => w.toLowerCase());
  const offered = $derived(LOOKS.filter((l) => begin.techniques.some((t) => t.look === l)));

  /** A technique's plan with its figures: worked out one after another, a frame each. */
  type Drawn = NonNullable<ReturnType<ToBegin['plan']>> & { computed: Computed };
  let drawn = $state.raw(new Map<string, Drawn>());
  $effect(() => {
    const plans = begin.techniques.map((t) => [t.id, begin.plan(t)] as const);
    let gone = false;
    void (async () => {
      const next = new Map<string, Drawn>();
      for (const [id, made] of plans) {
        await afterFrame();
        if (gone) return;
        if (made) next.set(id, { ...made, computed: figuresOf(made.plan, made.shelf) });
        drawn = new Map(next);
      }
    })();
    return () => (gone = true);
  });
  /** Minutes with the hands in it until the last pour, waits left out; 0 until it is worked out. */
  const handsOf = (own: Drawn | undefined): number =>
    (own?.computed.score.blocks ?? []).reduce(
      (s, b) => (b.unattended || b.from >= own!.computed.score.ends ? s : s + b.to - b.from),
      0
    );
  const timeOf = (own: Drawn) => {
    const { ends, done } = own.computed.score;
    const later = done > ends + 1 || ends > handsOf(own) + 1;
    return `${duration(handsOf(own))}${later ? `, finished after ${duration(done)}` : ''}`;
  };
</script>

<section aria-label="Techniques">
  <div class="flex flex-wrap items-center gap-1.5">
    {#each ['any', ...offered] as const as l (l)}
      <button
        class="button min-h-9 rounded-full !px-3 text-[0.88rem] {look === l ? '!bg-ink !text-ground' : ''}"
        aria-pressed={look === l}
        onclick={() => (look = l)}>{l === 'any' ? 'Any look' : NAMES[l]}</button
      >
    {/each}
    <span class="ml-auto w-28">
      <Choice
        label="Time it may take"
        value={most}
        options={[
          { value: 'any', label: 'any time' },
          ...[20, 40, 60, 120].map((m) => ({ value: String(m), label: `up to ${duration(m)}` }))
        ]}
        onchange={(to) => (most = to)}
      />
    </span>
    <input
      class="field !w-28"
      aria-label="Search by what makers call it"
      placeholder="Search"
      bind:value={typed}
    />
  </div>
  <ul class="mt-4 grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-5" data-testid="techniques">
    {#each found as t (t.id)}
      {@const own = drawn.get(t.id)}
      <li>
        <button
          class="sheet flex h-full w-full flex-col p-2.5 text-left hover:border-ink-2 {begin.technique?.id ===
          t.id
            ? '!border-2 !border-verdigris'
            : ''}"
          aria-pressed={begin.technique?.id === t.id}
          data-technique={t.id}
          onclick={() => begin.choose({ technique: t.id })}
        >
          <span class="flex aspect-[5/4] w-full items-center">
            {#if own?.computed.groups[0]}
              <span class="block w-full" style="--piece-high:120px">
                <PiecePicture
                  piece={{
                    plan: own.plan,
                    shelf: own.shelf,
                    group: own.computed.groups[0],
                    cups: own.computed.cups
                  }}
                  face={facePictured(t, own.plan, own.computed.groups[0])}
                  size={180}
                  letters={false}
                />
              </span>
            {/if}
          </span>
          <strong class="mt-1.5 leading-tight">{t.name}</strong>
          <span class="text-[0.84rem] leading-tight text-ink-2">{t.about}</span>
          <span class="mt-auto pt-1 text-[0.84rem] leading-tight text-ink-2"
            >{own ? `Hands ${timeOf(own)}` : '…'}</span
          >
        </button>
      </li>
    {:else}
      <li class="col-span-full py-8 text-ink-2">
        {#if most !== 'any' && !typed}Nothing here is done in {duration(Number(most))} in this mould. Allow more
          time, or fewer cavities.{:else}Nothing is called that in {begin.base?.name ?? 'this material'}. Try
          what it looks like: cells, rings, flames, marble; or choose another material.{/if}
      </li>
    {/each}
  </ul>
</section>
