<!-- A dose ladder: steps of one colourant over black and white. Measured cards where there are any, else the model's. -->
<script lang="ts">
  import Choice from '../forms/Choice.svelte';
  import { ladderOf, predictedLadder, readLadder, type TrialCard } from '$core/colour';
  import { formulaOf, limitOf, type Base, type Colourant } from '$core/material';
  import QuantityField from '../forms/QuantityField.svelte';
  import Swatch from './Swatch.svelte';

  let { bases, colourants, cards }: { bases: Base[]; colourants: Colourant[]; cards: TrialCard[] } = $props();
  let colourantId = $state('');
  let baseId = $state('');
  let typedMm = $state<number>();
  // A colourant whose ladder is laid already is the one to begin with, as thick as it was laid.
  const laid = $derived(
    cards.find((c) => c.backing === 'black' && ladderOf(cards, { ...c, ...c.lines[0]! }).length > 1)
  );
  const mm = $derived(typedMm ?? laid?.mm ?? 2);
  const base = $derived(bases.find((b) => b.id === (baseId || laid?.baseId)) ?? bases[0]!);
  const colourant = $derived(
    colourants.find((c) => c.id === (colourantId || laid?.lines[0]?.colourantId)) ?? colourants[0]!
  );
  const formula = $derived(formulaOf(base));
  const look = $derived({
    kind: base.kind,
    colour: base.colour,
    density: formula.ok ? formula.value.density : 1.1
  });
  const percents = $derived.by(() => {
    const most = limitOf(colourant, base.kind).limit;
    return [0.05, 0.1, 0.2, 0.4, 0.7, 1].map((share) => Number((share * most).toPrecision(2)));
  });
  const measured = $derived(readLadder(ladderOf(cards, { colourantId: colourant.id, baseId: base.id, mm })));
  const expected = $derived(readLadder(predictedLadder(colourant, look, mm, percents)));
  const rows = $derived([
    ...(measured.steps.length ? [{ name: 'measured', read: measured }] : []),
    { name: 'expected', read: expected }
  ]);
</script>

<section class="mt-8" aria-label="Dose ladder" data-testid="ladder">
  <h2 class="text-[1.35rem]">Dose ladder</h2>
  <p class="text-ink-2">
    How much
    <Choice
      label="Colourant of the ladder"
      value={colourant.id}
      options={colourants.map((c) => ({ value: c.id, label: c.name, swatch: c.colour }))}
      onchange={(v) => (colourantId = v)}
      quiet
      class="text-ink"
    />
    hides in
    <Choice
      label="Material of the ladder"
      value={base.id}
      options={bases.map((b) => ({ value: b.id, label: b.name }))}
      onchange={(v) => (baseId = v)}
      quiet
      class="text-ink"
    />,
    <QuantityField
      quiet
      width="3.4rem"
      label="Thickness of the ladder"
      unit="mm"
      above
      max={500}
      value={mm}
      onchange={(v) => (typedMm = v)}
    />
    thick, and from where more no longer shows.
  </p>
  {#each rows as row, i (i)}
    <div class="mt-3 flex items-end gap-3">
      <p class="w-44 text-[0.92rem]">
        <strong>{row.name}</strong><br />
        {row.read.hidesFrom === undefined ? 'does not hide yet' : `hides from ${row.read.hidesFrom} %`}<br />
        <span class="text-ink-2"
          >{row.read.enoughFrom === undefined
            ? 'each step still shows'
            : `past ${row.read.enoughFrom} % more does not show`}</span
        >
      </p>
      {#each row.read.steps as s, i (i)}
        <div class="w-24 text-center text-[0.82rem]">
          <Swatch hex={s.black} letter={String(s.percent)} label="{s.percent} % over black" height={30} />
          <Swatch hex={s.white} letter={String(s.percent)} label="{s.percent} % over white" height={30} />
          <span class={s.contrast >= 0.98 ? 'font-semibold text-verdigris' : 'text-ink-2'}
            >{(s.contrast * 100).toFixed(0)} % hidden</span
          >
        </div>
      {/each}
    </div>
  {/each}
  <p class="mt-2 text-[0.85rem] text-ink-2">
    To measure one, keep two cards a step: the same percentage over black and over white, all as thick.
    Measured cards stand in the ladder of their own thickness.
  </p>
</section>
