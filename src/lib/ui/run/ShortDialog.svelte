<!-- Short of a cup: what to mix to the same recipe for the rest, and how long that cup pours. -->
<script lang="ts">
  import Table from '../Table.svelte';
  import Choice from '../forms/Choice.svelte';
  import { Dialog } from 'bits-ui';
  import { booksOf, moreFromPot, planFromRun, topUpCup, type FrozenRun, type RunState } from '$core/run';
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
  let mixId = $state<string>();
  let typed = $state<number>();
  const computed = $derived(frozen.computed);
  // To the recipe as it was really weighed, where that differs from the plan.
  const real = $derived(
    planFromRun(frozen.file.plan, computed, run, { id: frozen.file.plan.id, name: frozen.file.plan.name })
  );
  const books = $derived(booksOf(frozen, run));
  /** Every mix of a cup that is weighed, with what it is short of. */
  const mixes = $derived(
    computed.cups.flatMap((cup) =>
      cup.mixes
        .filter((m) => m.weighings.length > 0)
        .map((m, i) => ({
          mixId: m.mixId,
          cup,
          name: `${cup.letter} ${cup.name}${cup.mixes.length > 1 ? `, mix ${i + 1}` : ''}`,
          short: books.get(m.mixId)?.short ?? 0
        }))
    )
  );
  /** The one that is asked about; the one that is shortest of what it still pours, where one is. */
  const shortest = $derived(mixes.reduce((a, b) => (b.short > a.short ? b : a), mixes[0]!));
  const mix = $derived(mixes.find((m) => m.mixId === mixId) ?? shortest);
  const missing = $derived(
    mix && mix.short > 0 && mix.cup.density > 0
      ? Math.ceil((mix.short / mix.cup.density) * 10) / 10
      : undefined
  );
  const ml = $derived(typed ?? missing ?? 40);
  const fromPot = $derived(mix ? moreFromPot(frozen, run, mix.mixId, ml * mix.cup.density) : undefined);
  const extra = $derived(mix ? topUpCup(real, frozen.file.shelf, mix.cup.cupId, ml) : undefined);
  /** What is put in: out of the pot where that still has it, else mixed anew. */
  const lines = $derived(
    fromPot?.lines ??
      extra?.weighings.map(({ key, name, counted, division, weight }) => ({
        key,
        name: counted ? `${name}, ${counted}` : name,
        division,
        grams: weight
      }))
  );

  function keep() {
    if (!mix || !lines) return;
    ontell({
      type: 'topped',
      mixId: mix.mixId,
      lines: lines.map(({ key, grams }) => ({ key, grams }))
    });
    typed = undefined;
    mixId = undefined;
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
          value={mix?.mixId ?? ''}
          options={mixes.map((m) => ({ value: m.mixId, label: m.name }))}
          onchange={(v) => {
            mixId = v;
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
      {#if missing}<p class="mt-3 font-semibold">
          What is left of it is {weighing(mix.short, computed.division)} short of what it still pours.
        </p>{/if}
      {#if lines}
        <Table
          class="mt-4"
          testid="top-up"
          rows={lines}
          columns={[
            { id: 'what', text: (w) => w.name },
            {
              id: 'grams',
              num: true,
              text: (w) => weighing(w.grams, w.division),
              class: 'text-[1.3rem] font-bold'
            }
          ]}
        />
        {#if fromPot}
          <p class="mt-2 text-ink-2">
            The mixing pot still has it, and {weighing(fromPot.spare, computed.division)} over. It pours as long
            as the pot does.
          </p>
        {:else if extra}
          <p class="mt-2 text-ink-2">
            By what this cup was weighed, with its own clock: pourable for {holdsFor(extra.window)} after mixing.
          </p>
          {#each extra.problems as problem, i (i)}<ProblemNote {problem} />{/each}
        {/if}
        <button class="button go mt-3 min-h-[64px] w-full" onclick={keep}>Mixed and poured in</button>
      {:else}
        <p class="mt-4">Nothing can be mixed more of it here: it is made of other cups. Mix more of those.</p>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
