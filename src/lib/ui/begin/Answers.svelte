<!-- The few answers a plan cannot do without, and the plan made of them: its warnings mended before it is kept. -->
<script lang="ts">
  import Trash from '@lucide/svelte/icons/trash-2';
  import { mendInTurn, roleOf } from '$core/edit';
  import { figuresOf, type Plan } from '$core/plan';
  import { ok } from '$core/problem';
  import { parseCount } from '$core/quantity';
  import { proverFor } from '../../plan/prove-work';
  import type { ToBegin } from '../../plan/to-begin.svelte';
  import { facePictured } from '../drawing/face-shown';
  import PiecePicture from '../drawing/PiecePicture.svelte';
  import Choice from '../forms/Choice.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import Row from '../forms/Row.svelte';
  import NewMould from './NewMould.svelte';

  let { begin, onmake }: { begin: ToBegin; onmake: (plan: Plan) => void | Promise<void> } = $props();
  const technique = $derived(begin.technique);
  const colours = $derived(technique ? begin.colours(technique) : []);
  const drawn = $derived.by(() => {
    const own = begin.sized();
    const computed = own && figuresOf(own.plan, own.shelf);
    return own && computed?.groups[0] ? { ...own, computed, group: computed.groups[0] } : undefined;
  });
  const most = $derived(technique?.cups.at(-1) === '…' ? 6 : (technique?.cups.length ?? 1));
  /** A cup left as the material is. */
  const NONE = 'none';
  const colourOf = (id: string) => begin.shelf.colourants.find((c) => c.id === id)?.colour ?? '#888888';
  const hex = (i: number) => drawn?.computed.cups[i]?.colour ?? colourOf(colours[i] ?? '');

  let making = $state(false);
  /** What is wrong with the plan is mended as its own notes would mend it, the worst first. */
  async function make() {
    const made = begin.made();
    if (!made) return;
    making = true;
    await onmake(await mendInTurn(made.plan, proverFor(made.shelf, {})));
    making = false;
  }
</script>

<section class="sheet p-4 lg:sticky lg:top-4" aria-label="The plan to make">
  {#if technique}
    <h2 class="text-[1.35rem]">{technique.name}</h2>
    {#if drawn}
      <div class="mt-2" style="--piece-high:176px">
        <PiecePicture
          piece={{ plan: drawn.plan, shelf: drawn.shelf, group: drawn.group, cups: drawn.computed.cups }}
          face={facePictured(technique, drawn.plan, drawn.group)}
          size={320}
          letters={false}
        />
      </div>
    {/if}
    {#if !begin.shelf.moulds.length}<NewMould />{/if}
    <div class="grid grid-cols-[minmax(0,1fr)_5.4rem] gap-x-3">
      {#if begin.shelf.moulds.length}
        <Row label="Mould">
          <Choice
            label="Mould"
            value={begin.mould?.id ?? ''}
            options={begin.shelf.moulds.map((m) => ({ value: m.id, label: m.name }))}
            onchange={(mould) => begin.choose({ mould })}
          />
        </Row>
      {:else}<p class="self-end pb-5 text-[0.9rem] text-ink-2">Good pieces wanted</p>{/if}
      <Row label="How many">
        <ParsedField
          label="How many good pieces"
          value={begin.good ?? (begin.mould?.cavities[0]?.count ?? 1) * (begin.bars ?? 1)}
          format={String}
          parse={(text) => parseCount(text, 100_000)}
          onchange={(n) => (begin.good = n)}
        />
      </Row>
    </div>
    <Row label="Material">
      <Choice
        label="Material"
        value={begin.base?.id ?? ''}
        options={begin.shelf.bases.map((b) => ({ value: b.id, label: b.name }))}
        onchange={(base) => begin.choose({ base })}
      />
    </Row>
    {#if begin.leading || begin.cuts}
      <div class="grid grid-cols-[minmax(0,1fr)_5.4rem] gap-x-3">
        {#if begin.leading}
          {@const { name } = begin.leading}
          <Row label="{name.charAt(0).toUpperCase()}{name.slice(1)}, to start from" problem={drawn?.problem}>
            <QuantityField
              label="Start from {name}"
              unit="g"
              above
              max={1e6}
              value={begin.grams}
              onchange={(g) => (begin.grams = g)}
              empty={{ means: 'a full mould', on: () => (begin.grams = undefined) }}
            />
          </Row>
        {/if}
        {#if begin.cuts}
          <Row label="Bars">
            <ParsedField
              label="Bars from each casting"
              value={begin.bars ?? 1}
              format={(n) => (n > 1 ? String(n) : 'whole')}
              parse={(text) => (text.trim() === 'whole' ? ok(1) : parseCount(text, 1000))}
              onchange={(n) => (begin.bars = n > 1 ? n : undefined)}
            />
          </Row>
        {/if}
      </div>
      {#if begin.leading}
        <p class="text-[0.84rem] text-ink-2">
          <a class="underline" href="/shelf/bases/{begin.base?.id}?for=new-plan">Your own recipe</a>
          in grams or percent.
        </p>
      {/if}
    {/if}
    <p class="label mt-2">Colours</p>
    <ul class="mt-1 space-y-1.5">
      {#each colours as id, i (i)}
        <li class="flex items-center gap-2">
          <span
            class="size-8 shrink-0 rounded-md border border-rule-strong"
            style="background:{hex(i)}"
            aria-hidden="true"
          ></span>
          <span class="min-w-0 flex-1">
            <Choice
              quiet
              class="w-full border-transparent"
              label="Colour {i + 1}"
              value={id || NONE}
              options={[
                { value: NONE, label: 'no colour' },
                ...begin.pots.map((p) => ({ value: p.id, label: p.name, swatch: p.colour }))
              ]}
              onchange={(to) =>
                begin.setColours(colours.map((c, k) => (k === i ? (to === NONE ? '' : to) : c)))}
            />
            <span class="block pl-0.5 text-[0.8rem] leading-tight text-ink-2">{roleOf(technique, i)}</span>
          </span>
          {#if colours.length > technique.least}
            <button
              class="button bare !px-1.5"
              onclick={() => begin.setColours(colours.filter((_, k) => k !== i))}
              ><Trash size={15} aria-hidden="true" /><span class="sr-only">Without colour {i + 1}</span
              ></button
            >
          {/if}
        </li>
      {/each}
    </ul>
    {#if colours.length < most && colours.length < begin.pots.length}
      <button
        class="button bare mt-1 min-h-9 !px-1.5"
        onclick={() =>
          begin.setColours([...colours, begin.pots.find((p) => !colours.includes(p.id))?.id ?? colours[0]!])}
        >+ Colour</button
      >
    {/if}
    <button class="button go mt-3 w-full" disabled={making || !begin.mould || !!drawn?.problem} onclick={make}
      >{making ? 'Making the plan' : 'Make the plan'}</button
    >
    {#if making}<p class="mt-1 text-[0.86rem] text-ink-2" role="status">
        Working out every gram, and mending what would go wrong.
      </p>{/if}
  {/if}
</section>
