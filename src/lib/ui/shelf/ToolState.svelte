<!-- How a scale or a vessel is, and how often it was used. -->
<script lang="ts">
  import { counted } from '$core/quantity';
  import { TOOL_CONDITIONS } from '$core/dosing';
  import { day } from '$lib/when';
  import Choice from '../forms/Choice.svelte';
  import Row from '../forms/Row.svelte';

  let {
    condition,
    uses,
    onchange
  }: {
    condition: string | undefined;
    uses: { runs: number; last?: number | undefined };
    onchange: (condition: string) => void;
  } = $props();
</script>

<Row label="Condition" hint={condition === 'broken' ? 'no plan weighs on it or mixes in it' : ''}>
  <Choice
    label="Condition"
    value={condition ?? 'sound'}
    options={TOOL_CONDITIONS.map((c) => ({ value: c, label: c }))}
    {onchange}
  />
</Row>
<p class="self-end pb-3 text-[0.95rem] text-ink-2" data-testid="uses">
  {uses.runs
    ? `Used in ${counted(uses.runs, 'run')}, last on ${day(uses.last ?? 0)}.`
    : 'Not used in a run yet.'}
</p>
