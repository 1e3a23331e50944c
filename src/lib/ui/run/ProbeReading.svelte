<!-- What a probe reads while a gate waits for it: live, and told as it moves; or typed. -->
<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { warmthOf, type FrozenRun, type RunState } from '$core/run';
  import { LocalProbe } from '../../run/local-probe.svelte';
  import type { RunClock } from '../../run/run-clock.svelte';
  import type { PendingEvents } from '../../run/run-log.svelte';
  import { temperature } from '../../preferences.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let {
    of,
    wanted,
    frozen,
    run,
    clock,
    log
  }: {
    /** The cup or the cavities that it stands in, and what it is waited for, °C. */
    of: string;
    wanted: number;
    frozen: FrozenRun;
    run: RunState;
    clock: RunClock;
    log: PendingEvents;
  } = $props();

  /** A reading this far from the last one told says something new, °C. */
  const TELLS = 2;
  let live = $state(false);
  let told: number | undefined;
  const probe = new LocalProbe(() => {
    const at = clock.read();
    return { celsius: warmthOf(frozen, run, of, at), at };
  });
  onDestroy(() => probe.disconnect());

  function toggle() {
    live = !live;
    if (live) probe.connect();
    else probe.disconnect();
  }
  const tell = (celsius: number) => log.tell({ type: 'probed', of, celsius });

  $effect(() => {
    const { reading } = probe;
    if (reading === undefined) return;
    const news =
      told === undefined || Math.abs(reading - told) >= TELLS || (reading >= wanted && told < wanted);
    if (!news) return;
    told = reading;
    untrack(() => tell(reading));
  });
</script>

{#if live && probe.reading !== undefined}
  <strong class="text-[1.6rem] tabular-nums" data-testid="probe">{temperature(probe.reading)}</strong>
{:else}
  <span class="w-36">
    <QuantityField label="The probe reads" unit="°C" min={-40} max={400} value={wanted - 1} onchange={tell} />
  </span>
{/if}
<button class="button min-h-[56px]" aria-pressed={live} onclick={toggle}
  >{live ? 'type it instead' : 'use the probe'}</button
>
