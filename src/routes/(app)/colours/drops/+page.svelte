<script lang="ts">
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import { invalidateAll } from '$app/navigation';
  import { calibrateDrop, dropsWeigh } from '$core/dosing';
  import type { Problem } from '$core/problem';
  import { parseCount } from '$core/quantity';
  import { send } from '../../../../lib/store/send';
  import ParsedField from '../../../../lib/ui/forms/ParsedField.svelte';
  import ColourTabs from '$lib/ui/colour/ColourTabs.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import QuantityField from '../../../../lib/ui/forms/QuantityField.svelte';
  import Row from '../../../../lib/ui/forms/Row.svelte';

  let { data } = $props();
  const drippable = $derived(
    data.shelf.colourants.filter(
      (c) => c.form === 'ink' || c.form === 'dispersion' || c.form === 'plastisol colour'
    )
  );
  const finest = $derived([...data.shelf.scales].sort((a, b) => a.division - b.division)[0]);
  let colourantId = $state('');
  let drops = $state(20);
  let weighed = $state(0.84);
  let kept = $state('');
  let problems = $state<Problem[]>([]);
  const colourant = $derived(drippable.find((c) => c.id === colourantId) ?? drippable[0]);
  const drop = $derived(calibrateDrop(drops, weighed, finest?.division ?? 0.01));
  const spread = $derived(drop.grams > 0 ? drop.error / drop.grams : 1);

  async function keep() {
    if (!colourant) return;
    const stored = await send('PATCH', `/colourants/${colourant.id}`, {
      edits: [{ path: ['drop'], value: drop }]
    });
    problems = stored.ok ? [] : stored.problems;
    kept = stored.ok ? colourant.name : '';
    if (stored.ok) await invalidateAll();
  }
</script>

<svelte:head><title>Weigh a drop · Kirapen</title></svelte:head>

<div class="page">
  <ColourTabs />
  <h1 class="text-[1.9rem]">Weigh a drop</h1>
  {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
  <ol class="mt-4 grid gap-4 lg:grid-cols-3">
    <li class="sheet p-5">
      <p class="label">1 · Which bottle</p>
      <Row label="Colourant">
        <Choice
          label="Colourant"
          value={colourant?.id ?? ''}
          options={drippable.map((c) => ({ value: c.id, label: c.name, swatch: c.colour }))}
          onchange={(v) => (colourantId = v)}
        />
      </Row>
      {#if !drippable.length}<p class="text-ochre">No ink or dispersion is on the shelf yet.</p>{/if}
      {#if colourant?.drop}<p class="text-[0.9rem] text-ink-2">
          so far {colourant.drop.grams.toFixed(4)} g a drop
        </p>{/if}
    </li>
    <li class="sheet p-5">
      <p class="label">2 · Count into a tared cup</p>
      <Row label="Drops, the more the better">
        <ParsedField
          label="How many drops"
          value={drops}
          format={String}
          parse={(t) => parseCount(t, 500)}
          onchange={(n) => (drops = n)}
        />
      </Row>
      <Row label="Together they weigh">
        <QuantityField
          label="Together they weigh"
          unit="g"
          above
          value={weighed}
          onchange={(v) => (weighed = v)}
        />
      </Row>
    </li>
    <li class="sheet p-5">
      <p class="label">3 · One drop</p>
      <p class="mt-1 font-display text-[2.4rem] leading-none font-medium" data-testid="drop">
        {drop.grams.toFixed(4)} <span class="text-[1.2rem]">g</span>
      </p>
      <p class="text-[0.9rem] text-ink-2">
        ± {(spread * 100).toFixed(1)} % from the scale · 12 drops {dropsWeigh(12, drop.grams).toFixed(3)} g
      </p>
      {#if spread > 0.03}<p class="mt-1 text-[0.9rem] text-ochre">
          Count more drops: twenty or thirty tell better.
        </p>{/if}
      <button class="button go mt-3 w-full" onclick={keep} disabled={!colourant}>Save for this bottle</button>
      {#if kept}<p class="mt-2 text-verdigris" role="status">{kept} knows its drop now.</p>{/if}
    </li>
  </ol>
</div>
