<!-- A weighing: how much goes on the scale, what it reads, and how near it is. -->
<script lang="ts">
  import { displayOf, reading } from '$core/quantity';
  import { CUE_WORDS, cueOf } from '$lib/run/cue';
  import { vesselOf, type Instruction } from '$lib/run/instruction';
  import { offPlan } from '$lib/run/off-plan';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import WeighBar from '../WeighBar.svelte';
  import BigNumber from './BigNumber.svelte';
  import OffTarget from './OffTarget.svelte';

  let { desk, instruction }: { desk: RunDesk; instruction: Extract<Instruction, { kind: 'weigh' }> } =
    $props();

  const { toCount } = $derived(desk);
  const scale = $derived(desk.given.scale);
  const division = $derived(instruction.task.division);
  // What this scale shows.
  const unit = $derived(displayOf(division).symbol);
  const g = $derived((x: number) => reading(x, division));
  const cup = $derived(desk.computed.cups.find((c) => c.cupId === instruction.cupId));
  const onPan = $derived(desk.useScale ? scale.reading : undefined);
  const aim = $derived(instruction.before + instruction.target);
  const slow = $derived(g(instruction.before + instruction.target * 0.9));
  const toGo = $derived(onPan ? aim - onPan.grams : undefined);
  const cue = $derived(toGo === undefined ? undefined : cueOf(toGo, instruction.target, division));
</script>

{#if toCount}
  <BigNumber
    value={`${toCount.count}`}
    words={`of ${toCount.wanted} ${toCount.unit}${toCount.count > toCount.wanted ? ', too many: it counts as it is' : ''}`}
  />
{:else if onPan && toGo !== undefined}
  <BigNumber
    value={g(Math.abs(toGo))}
    words={toGo >= 0 ? `${unit} to go of ${g(instruction.target)}` : `${unit} too much`}
  />
  {#if cue && CUE_WORDS[cue]}<p
      class="text-[2rem] font-bold {cue === 'over'
        ? 'text-cinnabar'
        : cue === 'stop'
          ? 'text-verdigris'
          : 'text-ochre'}"
      data-testid="cue"
    >
      {CUE_WORDS[cue]}
    </p>{/if}
{:else}
  <BigNumber
    value={g(aim)}
    words={instruction.before ? `${unit} on the scale, ${g(instruction.target)} more` : unit}
  />
{/if}
{#if desk.freshOnScale}
  {@const off = onPan !== undefined && Math.abs(onPan.grams) > 3 * division}
  <p
    class="mt-3 border-l-4 px-4 py-2 text-[1.25rem] {off
      ? 'border-ochre bg-ochre-soft font-bold'
      : 'border-rule-strong'}"
    role="status"
    data-testid="fresh-on-scale"
  >
    Put {vesselOf(instruction.task, desk.computed)} on the scale, then tare it to 0{off
      ? `: it reads ${g(onPan.grams)} ${unit}`
      : ''}.
  </p>
{/if}
<!-- What an overshoot comes to takes the place of the bar until a way out is chosen. -->
{#if (cup || instruction.cupId) && offPlan(desk.run, instruction.mixId ?? '') !== 'over'}
  <WeighBar
    colour={cup?.colour ?? desk.frozen.file.shelf.bases[0]?.colour ?? '#efe9da'}
    hatch={cup?.hatch ?? 'plain'}
    share={onPan ? (onPan.grams - instruction.before) / instruction.target : 0}
  />
  <p class="mt-2 flex justify-between text-[1.05rem] text-ink-2">
    <span
      >{instruction.before
        ? `${g(instruction.before)} in the cup`
        : desk.freshOnScale
          ? ''
          : 'tared to 0'}</span
    >
    <span>{slow === g(aim) ? '' : `slow from ${slow} · `}stop at {g(aim)}</span>
  </p>
{/if}
<div class="mt-5 flex flex-wrap items-center gap-3">
  <label class="flex items-center gap-3 text-[1.1rem]">
    the scale reads
    <input
      class="field !min-h-[64px] !w-44 text-[1.6rem] font-semibold"
      aria-label="{unit === 'g' ? 'Grams' : 'Ounces'} on the scale"
      inputmode="decimal"
      autocomplete="off"
      placeholder={onPan ? g(onPan.grams) : g(aim)}
      bind:value={desk.entry}
    />
    {unit}
  </label>
  {#if !desk.useScale && !toCount}
    <span class="text-ink-2">or type the pot’s weight before − after</span>
  {/if}
  {#if toCount}
    <button class="button min-h-[64px]" onclick={desk.countOne}>
      One more <kbd class="rounded border border-current px-1.5 text-[0.8rem]">D</kbd>
    </button>
    {#if toCount.count < toCount.wanted}
      <button class="button min-h-[64px]" onclick={desk.countAll}
        >All {toCount.wanted} are in, counted by hand</button
      >
    {/if}
  {/if}
  {#if instruction.task.creeps}
    <button class="button min-h-[64px]" onclick={desk.enough}>
      Enough: it looks right <kbd class="rounded border border-current px-1.5 text-[0.8rem]">E</kbd>
    </button>
  {/if}
  {#if desk.useScale}
    {#if scale.standIn}
      <button
        class="button min-h-[64px]"
        onclick={() => scale.ask({ do: 'pour', grams: Math.max(desk.computed.division, toGo ?? 0) })}
      >
        Let the screen play the scale
      </button>
    {/if}
    <button class="button min-h-[64px]" onclick={() => scale.ask({ do: 'tare' })}>Tare</button>
    {#if desk.given.oncable && scale.standIn}
      <button class="button min-h-[64px]" onclick={desk.given.oncable}>A scale on a cable</button>
    {/if}
    {#if onPan && !onPan.stable}<span class="text-ink-2" data-testid="settling">settling</span>{/if}
  {/if}
</div>
<OffTarget {desk} {instruction} />
