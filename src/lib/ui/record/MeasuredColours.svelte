<!-- The colours of a piece as they were measured, each with how far it is from its plan. -->
<script lang="ts">
  import { deltaE, labOfHex } from '$core/colour';
  import type { Piece } from '$core/inspect';
  import type { FigureCup } from '$core/run';
  import PhotoPick from '../colour/PhotoPick.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import Fold from '../Fold.svelte';
  import Choice from '../forms/Choice.svelte';

  type Measured = NonNullable<Piece['measured']>;
  let {
    cups,
    measured,
    onmeasured
  }: {
    cups: readonly FigureCup[];
    measured: Measured;
    onmeasured: (measured: Measured) => void;
  } = $props();

  /** The cup whose colour a photo tells; the first until one is chosen. */
  let measuring = $state<string>();

  const measuredOf = (cupId: string) => measured.find((m) => m.cupId === cupId);
  function measure(cupId: string, colour: string, as: 'as poured' | 'as finished') {
    const others = measured.filter((m) => m.cupId !== cupId);
    onmeasured([...others, { cupId, colour, as }]);
  }
  const plannedOf = (cup: FigureCup, as: 'as poured' | 'as finished') =>
    (as === 'as poured' ? cup.looks.cup : cup.looks.own).lab;
</script>

<Fold class="mt-3" words="Colours as measured">
  <div class="mt-1 flex flex-wrap items-start gap-2">
    <Choice
      class="!w-44"
      label="Which colour is measured"
      value={measuring ?? cups[0]?.cupId ?? ''}
      options={cups
        .filter((c) => c.balance.pouredMl > 0)
        .map((c) => ({ value: c.cupId, label: `${c.letter} ${c.name}` }))}
      onchange={(v) => (measuring = v)}
    />
    <PhotoPick
      label="From a photo, with a white in it"
      onpick={(hex) => {
        const cupId = measuring ?? cups[0]?.cupId;
        const as = measured.find((m) => m.cupId === cupId)?.as ?? 'as finished';
        if (cupId !== undefined) measure(cupId, hex, as);
      }}
    />
  </div>
  <ul class="mt-2 space-y-1.5">
    {#each cups.filter((c) => c.balance.pouredMl > 0) as cup (cup.cupId)}
      {@const m = measuredOf(cup.cupId)}
      <li class="flex flex-wrap items-center gap-2">
        <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} />
        <span class="w-28 truncate">{cup.name}</span>
        <input
          type="color"
          class="h-11 w-14 rounded border border-rule-strong bg-sheet"
          aria-label="Measured colour of cup {cup.letter}"
          value={m?.colour ?? cup.colour}
          onchange={(e) => measure(cup.cupId, e.currentTarget.value, m?.as ?? 'as finished')}
        />
        {#if m}
          <Choice
            class="!w-40"
            label="Cup {cup.letter} was measured"
            value={m.as}
            options={[
              { value: 'as poured', label: 'as poured' },
              { value: 'as finished', label: 'as finished' }
            ]}
            onchange={(v) => measure(cup.cupId, m.colour, v as typeof m.as)}
          />
          <strong data-testid="delta-e"
            >ΔE {deltaE(labOfHex(m.colour), plannedOf(cup, m.as)).toFixed(1)}</strong
          >
          <span class="text-ink-2">from the plan</span>
        {/if}
      </li>
    {/each}
  </ul>
</Fold>
