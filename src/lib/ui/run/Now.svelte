<!-- The one thing to do now: one instruction, one number, the live scale or timer. -->
<script lang="ts">
  import { lessonsAt } from '$core/inspect';
  import { clock, weighing } from '$core/quantity';
  import { worthAPhoto } from '$core/run';
  import { inWords, volume } from '$lib/preferences.svelte';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import Again from './now/Again.svelte';
  import BigNumber from './now/BigNumber.svelte';
  import ColourOver from './now/ColourOver.svelte';
  import Demould from './now/Demould.svelte';
  import Doubt from './now/Doubt.svelte';
  import Gate from './now/Gate.svelte';
  import Lately from './now/Lately.svelte';
  import Leaves from './now/Leaves.svelte';
  import Pour from './now/Pour.svelte';
  import Weigh from './now/Weigh.svelte';
  import Preflight from './Preflight.svelte';
  import StagePhoto from './StagePhoto.svelte';

  let { desk }: { desk: RunDesk } = $props();

  const { instruction, run, computed, frozen, now } = $derived(desk);
  const { log, lessons, pouring, short } = $derived(desk.given);
  let camera = $state<ReturnType<typeof StagePhoto>>();
  /** Takes the photo that is worth having now. */
  export const photo = () => camera?.take();
  const stage = $derived(instruction && log.photos ? worthAPhoto(run, instruction.task) : undefined);
  let preflight = $state<ReturnType<typeof Preflight>>();
  /** Ticks a check of the first task. */
  export const tick = (id: string) => preflight?.tick(id);
  const cup = $derived(computed.cups.find((c) => c.cupId === instruction?.cupId));
  /** What was learned of what is in hand. */
  const here = $derived(
    instruction && instruction.kind !== 'prepare'
      ? lessonsAt(lessons, frozen.file.plan, instruction.task)
      : []
  );
  // Seconds since the last thing was done.
  const since = $derived((now - Math.max(0, ...run.tasks.map((t) => t.doneAt ?? 0))) / 1000);
</script>

{#snippet worthNow()}
  {#if stage}<StagePhoto bind:this={camera} {stage} {run} {log} />{/if}
{/snippet}

{#if !instruction}
  <h1 class="text-[2.2rem]">The run is done.</h1>
  <p class="mt-2 text-[1.2rem] text-ink-2">Look at each piece while you remember the pour.</p>
{:else}
  <h1 class="flex flex-wrap items-center gap-3 text-[2rem]" data-testid="now">
    {inWords(instruction.title)}
    {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={38} />{/if}
  </h1>
  <p class="mt-1 text-[1.2rem] text-ink-2">{inWords(instruction.hint)}</p>
  {#each here as lesson, i (i)}
    <p
      class="mt-2 border-l-4 border-verdigris bg-verdigris-soft px-4 py-2 text-[1.05rem]"
      data-testid="lesson-here"
    >
      {lesson.text}
    </p>
  {/each}

  {#if instruction.kind === 'weigh'}
    <Weigh {desk} {instruction} />
  {:else if instruction.kind === 'stir'}
    {@const left = instruction.task.minutes * 60 - since}
    <BigNumber value={clock(Math.max(0, left))} words={left > 0 ? 'still to stir' : 'stirred long enough'} />
  {:else if instruction.kind === 'pour'}
    <Pour {desk} {instruction} />
  {:else if instruction.kind === 'fill'}
    <ul class="mt-6 max-w-[46rem] space-y-3">
      {#each instruction.task.from as part (part.cupId)}
        {@const own = computed.cups.find((c) => c.cupId === part.cupId)}
        <li class="flex items-center gap-4 text-[2rem]">
          {#if own}<CupMark letter={own.letter} colour={own.colour} hatch={own.hatch} size={38} />{/if}
          <strong>{weighing(part.grams, computed.division)}</strong>
          <span class="text-[1.2rem] text-ink-2">{volume(part.ml)} of {own?.name}</span>
        </li>
      {/each}
    </ul>
  {:else if instruction.kind === 'do' || instruction.kind === 'make'}
    {@const left = (instruction.task.unattended || instruction.task.attended) * 60 - since}
    {#if instruction.kind === 'do' && (instruction.task.times ?? 1) > 1}
      <Again {desk} task={instruction.task} />
    {:else if instruction.task.attended + instruction.task.unattended > 0}
      <BigNumber value={clock(Math.max(0, left))} words={left > 0 ? 'to go' : 'long enough'} />
    {/if}
    {#if instruction.kind === 'do'}
      <div class="mt-4"><Leaves {desk} stepId={instruction.task.stepId} /></div>
    {/if}
  {:else if instruction.kind === 'gate' && desk.gate}
    <Gate {desk} {instruction} gate={desk.gate}>{@render worthNow()}</Gate>
  {:else if instruction.kind === 'demould'}
    <Demould {desk} {instruction} />
  {:else if instruction.kind === 'prepare'}
    {#if instruction.task.checks}
      <Preflight
        bind:this={preflight}
        task={instruction.task}
        {run}
        {frozen}
        {lessons}
        {pouring}
        {short}
        {log}
      />
    {:else}
      <ul class="mt-6 max-w-[46rem] space-y-3 text-[1.15rem]">
        {#each computed.cautions as caution, i (i)}
          <li class="border-l-4 border-ochre bg-ochre-soft px-4 py-2.5">{caution}</li>
        {/each}
        <li class="px-4 text-ink-2">The data sheet, local rules and licensed practice come first.</li>
      </ul>
    {/if}
  {/if}

  {#if instruction.kind !== 'gate'}{@render worthNow()}{/if}

  <Doubt {desk} />

  {#if instruction.mixId}<ColourOver {desk} mixId={instruction.mixId} />{/if}
{/if}

<Lately {desk} />
