<!-- Short of a cup: what to mix to the same recipe for the rest, and how long that cup pours. -->
<script lang="ts">
  import Table from '../Table.svelte';
  import Choice from '../forms/Choice.svelte';
  import { Dialog } from 'bits-ui';
  import { topUpCup } from '$core/run';
  import { booksOf, planFromRun, type FrozenRun, type RunState } from '$core/run';
  import type { EventBody } from '../../run/run-log.svelte';
  import { holdsFor, weighing } from '$core/quantity';
  import ProblemNote from '../ProblemNote.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let {
    open,
    frozen,
    run,
    ontell,
    onclose
  }: {
    open: boolean;
    frozen: FrozenRun;
    run: RunState;
    ontell: (told: EventBody) => unknown;
    onclose: () => void;
  } = $props();
  let cupId = $state<string>();
  let typed = $state<number>();
  const computed = $derived(frozen.computed);
  // To the recipe as it was really weighed, where that differs from the plan.
  const real = $derived(
    planFromRun(frozen.file.plan, computed, run, { id: frozen.file.plan.id, name: frozen.file.plan.name })
  );
  const cups = $derived(computed.cups.filter((c) => c.balance.pouredMl > 0));
  const books = $derived([...booksOf(frozen, run).values()]);
  /** The cup that is asked about; the one that is shortest of what it still pours, where one is. */
  const shortest = $derived(books.reduce((a, b) => (b.short > a.short ? b : a), books[0]!));
  const cup = $derived(cups.find((c) => c.cupId === (cupId ?? shortest?.cupId)) ?? cups[0]);
  const missing = $derived.by(() => {
    const own = books.filter((b) => b.cupId === cup?.cupId).reduce((s, b) => s + b.short, 0);
    return cup && own > 0 && cup.density > 0 ? Math.ceil((own / cup.density) * 10) / 10 : undefined;
  });
  const ml = $derived(typed ?? missing ?? 40);
  const extra = $derived(cup ? topUpCup(real, frozen.file.shelf, cup.cupId, ml) : undefined);

  function keep() {
    if (!cup || !extra) return;
    ontell({
      type: 'topped',
      mixId: cup.cupId,
      lines: extra.weighings.map((w) => ({ key: w.key, grams: w.weight }))
    });
    typed = undefined;
    onclose();
  }
</script>

<Dialog.Root {open} onOpenChange={(o) => !o && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 rounded-xl border border-rule-strong bg-ground p-6 text-[1.1rem] shadow-xl"
    >
      <Dialog.Title class="font-display text-[1.6rem] font-semibold">Mix more of a cup</Dialog.Title>
      <div class="mt-3 flex items-center gap-3">
        <Choice
          label="Which cup"
          value={cup?.cupId ?? ''}
          options={cups.map((c) => ({ value: c.cupId, label: `${c.letter} ${c.name}` }))}
          onchange={(v) => {
            cupId = v;
            typed = undefined;
          }}
          class="!min-h-[64px] flex-1"
        />
        <span class="w-40"
          ><QuantityField
            label="Missing"
            unit="ml"
            above
            max={20000}
            value={ml}
            onchange={(v) => (typed = v)}
          /></span
        >
      </div>
      {#if extra}
        <Table
          class="mt-4"
          testid="top-up"
          rows={extra.weighings}
          columns={[
            { id: 'what', text: (w) => `${w.name}${w.counted ? `, ${w.counted}` : ''}` },
            {
              id: 'grams',
              num: true,
              text: (w) => weighing(w.weight, w.division),
              class: 'text-[1.3rem] font-bold'
            }
          ]}
        />
        <p class="mt-2 text-ink-2">
          By what this cup was weighed, with its own clock: pourable for {holdsFor(extra.window)} after mixing.
        </p>
        {#each extra.problems as problem, i (i)}<ProblemNote {problem} />{/each}
        {#if missing}<p class="mt-2 font-semibold">
            What is left of it is {weighing(
              books.filter((b) => b.cupId === cup?.cupId).reduce((s, b) => s + b.short, 0)
            )} short of what it still pours.
          </p>{/if}
        <button class="button go mt-3 min-h-[64px] w-full" onclick={keep}>Mixed and poured in</button>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
