<!-- Short of a cup: what to mix to the same recipe for the rest, and how long that cup pours. -->
<script lang="ts">
  import Table from '../Table.svelte';
  import Choice from '../Choice.svelte';
  import { Dialog } from 'bits-ui';
  import { topUpCup } from '$core/plan';
  import { planFromRun, type FrozenRun, type RunState } from '$core/run';
  import { duration, weighing } from '$core/quantity';
  import ProblemNote from '../ProblemNote.svelte';
  import QuantityField from '../QuantityField.svelte';

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
    ontell: (text: string) => void;
    onclose: () => void;
  } = $props();
  let cupId = $state('');
  let ml = $state(40);
  const computed = $derived(frozen.computed);
  // To the recipe as it was really weighed, where that differs from the plan.
  const real = $derived(
    planFromRun(frozen.file.plan, computed, run, { id: frozen.file.plan.id, name: frozen.file.plan.name })
  );
  const cups = $derived(computed.cups.filter((c) => c.balance.pouredMl > 0));
  const cup = $derived(cups.find((c) => c.cupId === cupId) ?? cups[0]);
  const extra = $derived(cup ? topUpCup(real, frozen.file.shelf, cup.cupId, ml) : undefined);

  function keep() {
    if (!cup || !extra) return;
    const parts = extra.weighings.map((w) => `${w.name} ${weighing(w.weight, w.division)}`).join(', ');
    ontell(`Short of cup ${cup.letter} by ${ml} ml: mixed ${parts}.`);
    onclose();
  }
</script>

<Dialog.Root {open} onOpenChange={(o) => !o && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 rounded-xl border border-rule-strong bg-ground p-6 text-[1.1rem] shadow-xl"
    >
      <Dialog.Title class="font-display text-[1.6rem] font-semibold">Short of a cup</Dialog.Title>
      <div class="mt-3 flex items-center gap-3">
        <Choice
          label="Which cup"
          value={cup?.cupId ?? ''}
          options={cups.map((c) => ({ value: c.cupId, label: `${c.letter} ${c.name}` }))}
          onchange={(v) => (cupId = v)}
          class="!min-h-[64px] flex-1"
        />
        <span class="w-40"
          ><QuantityField
            label="Missing"
            unit="ml"
            above
            max={20000}
            value={ml}
            onchange={(v) => (ml = v)}
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
          As this cup was really weighed, its own clock: pours for {duration(extra.window)} after its parts meet.
        </p>
        {#each extra.problems as problem (problem.code)}<ProblemNote {problem} />{/each}
        <button class="button go mt-3 min-h-[64px] w-full" onclick={keep}>Note it and go on</button>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
