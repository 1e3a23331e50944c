<!-- A pour: how much into each cavity, how long it still levels, and what it should leave. -->
<script lang="ts">
  import { clock, displayOf, intoEach, reading, weighing } from '$core/quantity';
  import { standsReady } from '$core/run';
  import type { Instruction } from '$lib/run/instruction';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import { inWords, volume } from '$lib/preferences.svelte';
  import CoreDrawing from '../../drawing/CoreDrawing.svelte';
  import BigNumber from './BigNumber.svelte';
  import Leaves from './Leaves.svelte';
  import { soFar } from './so-far';

  let { desk, instruction }: { desk: RunDesk; instruction: Extract<Instruction, { kind: 'pour' }> } =
    $props();

  const { now } = $derived(desk);
  const division = $derived(instruction.task.division ?? desk.computed.division);
  // What this scale shows.
  const unit = $derived(displayOf(division).symbol);
  const g = $derived((x: number) => reading(x, division));
  const weighed = $derived((x: number) => weighing(x, division));
  const nameOfGroup = $derived(
    desk.computed.groups.find((x) => x.groupId === instruction.task.groupId)?.name ?? 'the mould'
  );
  const also = $derived(instruction.task.also ?? []);
  const gramsInAll = $derived(
    [instruction.task, ...also].reduce((s, x) => s + x.gramsEach, 0) * instruction.task.count
  );
  const stands = $derived(standsReady(desk.frozen, desk.run, instruction.task));
  /** No more cavities are offered than what is in the cup fills. */
  const count = $derived(stands?.short && stands.fills > 0 ? stands.fills : instruction.task.count);
  const window = $derived(desk.clocks.find((c) => c.id === `pour:${instruction.task.mixId}`));
  const partial = $derived(soFar(desk));
</script>

<BigNumber
  value={[instruction.task, ...also].map((x) => g(x.gramsEach)).join(' + ')}
  words={`${unit} ${intoEach(count, nameOfGroup, count === instruction.task.count ? instruction.task.numbers : undefined)}`}
/>
{#if window && window.due < now}
  <p class="mt-1 text-[1.3rem] font-bold text-cinnabar" role="status" data-testid="too-late">
    Too late by {clock((now - window.due) / 1000)}: it may no longer level. If it does not, press R to see
    what can still be made.
  </p>
{:else if window}
  <p class="mt-1 text-[1.2rem] {window.due - now < 60_000 ? 'font-bold text-ochre' : 'text-ink-2'}">
    {clock((window.due - now) / 1000)} left to pour it{window.moved ? ` (${inWords(window.moved.why)})` : ''}
  </p>
{/if}
{#if stands?.short}
  <p class="mt-1 border-l-4 border-ochre pl-3 text-[1.2rem]" role="status" data-testid="short-cup">
    <strong>{weighed(stands.grams)} are in the cup.</strong>
    {stands.fills
      ? `It fills ${stands.fills} of ${instruction.task.count} whole; ${weighed(stands.grams - stands.fills * instruction.task.gramsEach)} stay over.`
      : 'It fills no cavity whole.'} S mixes more.
  </p>
{/if}
<p class="text-[1.1rem] text-ink-2">
  {#if stands && !stands.short}{weighed(stands.grams)} in the cup;{/if}
  {#if instruction.task.count > 1 || also.length}
    {volume(instruction.task.mlEach)} each{also.length ? ' of the first' : ''}, {weighed(gramsInAll)} in all
  {:else}{volume(instruction.task.mlEach)}{/if}
</p>
{#if instruction.task.round && desk.roundsLeft.length > 1}
  <p class="mt-2 flex flex-wrap items-center gap-3 text-[1.1rem]">
    round {instruction.task.round.nth} of {instruction.task.round.of}
    <button class="button min-h-[52px]" disabled={!desk.given.conducting} onclick={desk.confirmRounds}>
      All rounds are in
    </button>
  </p>
{/if}
<div class="mt-4 flex flex-wrap items-start gap-8">
  <Leaves {desk} stepId={instruction.task.stepId} />
  {#if partial}<div class="w-[270px]">
      <CoreDrawing group={partial} cups={desk.computed.cups} showFace="mould face" height={200} />
    </div>{/if}
  <label class="block text-[1.05rem]">
    if you poured a different amount in all
    <span class="mt-1 flex items-center gap-2">
      <input
        class="field !min-h-[64px] !w-40 text-[1.4rem]"
        aria-label="{unit === 'g' ? 'Grams' : 'Ounces'} poured in all"
        inputmode="decimal"
        autocomplete="off"
        placeholder={g(gramsInAll)}
        bind:value={desk.entry}
      />
      {unit}
    </span>
  </label>
</div>
