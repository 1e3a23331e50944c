<!-- A trial card, recorded in under a minute: base, recipe, thickness, the colour as measured. -->
<script lang="ts">
  import Choice from '../forms/Choice.svelte';
  import { BACKINGS, TrialCard } from '$core/colour';
  import type { Base, Colourant } from '$core/material';
  import type { Problem } from '$core/problem';
  import { newId } from '$lib/id';
  import { send } from '../../store/send';
  import { submission } from '../../store/submission.svelte';
  import ProblemNote from '../ProblemNote.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Row from '../forms/Row.svelte';
  import PhotoPick from './PhotoPick.svelte';
  import TargetField from './TargetField.svelte';

  let {
    bases,
    colourants,
    onsaved
  }: { bases: Base[]; colourants: Colourant[]; onsaved: () => Promise<void> } = $props();
  const WORDS = { deep: 'deep in the cup', white: 'over white', black: 'over black' };
  let photo = $state<File>();
  let measured = $state(false);
  const measure = (hex: string) => {
    $card.colour = hex;
    measured = true;
  };
  const start: TrialCard = {
    id: newId(),
    name: '',
    // svelte-ignore state_referenced_locally
    baseId: bases[0]?.id ?? '',
    // Which colourant is the maker's to say: one that was never touched is no card.
    lines: [{ colourantId: '', percent: 1 }],
    mm: 2,
    backing: 'white',
    colour: '#8a8f80',
    light: 'daylight',
    madeAt: Date.now(),
    note: ''
  };

  const UNMEASURED: Problem = {
    code: 'input-missing',
    level: 'stop',
    path: 'colour',
    sentence: 'The colour of the card was not measured yet.',
    mend: 'Pick it from a photo of the card, or type it.'
  };
  async function keep(card: TrialCard): Promise<Problem[]> {
    if (!measured) return [UNMEASURED];
    const named = { ...card, name: card.name.trim() || 'card' };
    const stored = await send('PUT', `/trialcards/${card.id}`, named, 'new');
    if (!stored.ok) return stored.problems;
    if (photo)
      await fetch(`/api/v1/trialcards/${card.id}/photo`, {
        method: 'POST',
        headers: { 'content-type': photo.type },
        body: photo
      });
    await onsaved();
    return [];
  }
  const sending = submission(TrialCard, start, keep);
  const { form: card, enhance } = sending;
</script>

<form
  class="sheet mt-4 grid items-start gap-x-6 p-5 md:grid-cols-3"
  aria-label="New trial card"
  method="POST"
  use:enhance
>
  <div>
    <Row label="Call it">
      <input
        class="field"
        aria-label="Name of the card"
        placeholder="heron, second try"
        bind:value={$card.name}
      />
    </Row>
    <Row label="Material">
      <Choice
        label="Material of the card"
        value={$card.baseId}
        options={bases.map((b) => ({ value: b.id, label: b.name }))}
        onchange={(v) => ($card.baseId = v as typeof $card.baseId)}
      />
    </Row>
    <div class="grid grid-cols-2 gap-x-3">
      <Row label="Thick">
        <QuantityField
          label="Thickness"
          unit="mm"
          above
          max={500}
          value={$card.mm}
          onchange={(v) => ($card.mm = v)}
        />
      </Row>
      <Row label="Laid">
        <Choice
          label="Laid"
          value={$card.backing}
          options={BACKINGS.map((b) => ({ value: b, label: WORDS[b] }))}
          onchange={(v) => ($card.backing = v as typeof $card.backing)}
        />
      </Row>
    </div>
  </div>
  <div>
    <span class="label">Recipe, g to 100 g of the mix</span>
    {#each $card.lines as line, i (i)}
      <div class="mt-1 grid grid-cols-[1fr_5rem_1.6rem] items-center gap-2">
        <Choice
          label="Colourant {i + 1} of the card"
          placeholder="choose"
          value={line.colourantId}
          options={colourants.map((c) => ({ value: c.id, label: c.name, swatch: c.colour }))}
          onchange={(v) => ($card.lines[i]!.colourantId = v as typeof line.colourantId)}
        />
        <QuantityField
          label="Percent {i + 1} of the card"
          unit="%"
          above
          max={1}
          value={line.percent / 100}
          onchange={(v) => ($card.lines[i]!.percent = Number((v * 100).toFixed(4)))}
        />
        <button
          class="text-ink-2 hover:text-cinnabar"
          aria-label="Take out colourant {i + 1}"
          type="button"
          onclick={() => ($card.lines = $card.lines.toSpliced(i, 1))}>×</button
        >
      </div>
    {/each}
    <button
      class="button mt-2"
      disabled={!colourants.length || $card.lines.length >= 6}
      type="button"
      onclick={() => ($card.lines = [...$card.lines, { colourantId: colourants[0]!.id, percent: 1 }])}
      >+ colourant</button
    >
    <Row label="Note">
      <input class="field" aria-label="Note on the card" bind:value={$card.note} />
    </Row>
  </div>
  <div>
    <Row label="Colour as measured, dry">
      <TargetField label="Colour as measured" value={$card.colour} onchange={measure} />
    </Row>
    <PhotoPick label="Measure it on a photo" onpick={measure} />
    <div class="grid grid-cols-2 gap-x-3">
      <Row label="Light">
        <Choice
          label="Light"
          value={$card.light}
          options={[
            { value: 'daylight', label: 'daylight' },
            { value: 'lamp', label: 'lamp' },
            { value: 'mixed', label: 'mixed' }
          ]}
          onchange={(v) => ($card.light = v as typeof $card.light)}
        />
      </Row>
      <Row label="Photo to keep">
        <input
          class="field py-2 text-[0.8rem]"
          type="file"
          accept="image/*"
          aria-label="Photo to keep"
          onchange={(e) => (photo = e.currentTarget.files?.[0])}
        />
      </Row>
    </div>
    {#each sending.problems as problem, i (i)}<ProblemNote {problem} />{/each}
    <button class="button go mt-2 w-full">Keep the card</button>
  </div>
</form>
