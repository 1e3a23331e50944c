<!-- One kind of cavity: its shape, its capacity with the working shown, and level to volume both ways. -->
<script lang="ts">
  import OneOf from '../forms/OneOf.svelte';
  import Choice from '../forms/Choice.svelte';
  import {
    capacityFromWater,
    cavityOf,
    fitted,
    widened,
    geometryOf,
    CavityKind,
    Shape,
    type Mould
  } from '$core/mould';
  import { parseCount } from '$core/quantity';
  import { inWords, volume } from '../../preferences.svelte';
  import type { CardForm } from '../../store/card-form.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import ProblemNote from '../ProblemNote.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import CavityDrawing from './CavityDrawing.svelte';
  import { sectionOf } from './cavity-section';
  import CavityMore from './CavityMore.svelte';
  import ShapeFields from './ShapeFields.svelte';
  import { blankOf } from './shapes';
  import Row from '../forms/Row.svelte';

  let { form, kind, index }: { form: CardForm<Mould>; kind: CavityKind; index: number } = $props();
  const shapeOf = ({ shape }: CavityKind): Shape =>
    Shape.safeParse(shape).success ? shape : blankOf(shape.kind);
  const whole = $derived(CavityKind.safeParse(kind).success);
  // What is not all typed yet is drawn as its shape usually is, and its figures are not shown.
  const drawn = $derived<CavityKind>(
    whole ? kind : { ...kind, shape: shapeOf(kind), capacity: { from: 'dimensions' } }
  );
  const cavity = $derived(cavityOf(drawn));
  let level = $state(4);
  const at = $derived(Math.min(level, cavity.depth));

  // What the same water would mean if it had stood in one cavity, or in all of them.
  const readings = $derived.by(() => {
    const fill = kind.capacity;
    if (fill.from !== 'water' || !whole) return [];
    return [...new Set([1, kind.count])].flatMap((n) => {
      const one = capacityFromWater({ ...fill, cavitiesFilled: n });
      return one.ok ? [{ n, ml: one.value.ml }] : [];
    });
  });

  // A mould that is measured with water needs no dimension but its depth: the drawing grows to what the water says.
  const sides = ({ shape }: CavityKind) => JSON.stringify({ ...shape, depth: undefined });
  let drawnSides = $state('');
  const untouched = $derived(form.fresh && sides(kind) === drawnSides);
  $effect.pre(() => {
    if (!drawnSides) drawnSides = sides(kind);
  });
  $effect(() => {
    if (!untouched || !whole || kind.capacity.from !== 'water') return;
    if (cavity.problems.length && cavity.problems.every((p) => p.code === 'capacity-disagrees')) fitDrawing();
  });

  /** Makes the drawing hold what the water says: to the sides, where it has a depth of its own. */
  function fitDrawing() {
    const ratio = cavity.capacity / geometryOf(kind.shape).volumeAt(Infinity);
    const shape = (untouched ? widened(kind.shape, ratio) : undefined) ?? fitted(kind.shape, ratio);
    if (untouched) drawnSides = sides({ ...kind, shape });
    form.set(['cavities', index, 'shape'], shape);
  }

  const SOURCES = [
    { from: 'dimensions', name: 'its dimensions' },
    { from: 'water', name: 'a water fill' },
    { from: 'pour', name: 'a past pour' }
  ] as const;

  /** What water asks stands empty until it is typed; nothing is stored of it before, and nothing is made up. */
  function setSource(from: string) {
    const blank = {
      dimensions: { from: 'dimensions' },
      water: {
        from: 'water',
        emptyGrams: undefined,
        fullGrams: undefined,
        waterCelsius: 20,
        cavitiesFilled: 1
      },
      pour: { from: 'pour', ml: Math.round(cavity.capacity * 100) / 100 }
    }[from];
    if (from === 'water' && untouched && 'depth' in kind.shape)
      form.set(['cavities', index, 'shape'], { ...kind.shape, depth: undefined });
    form.set(['cavities', index, 'capacity'], blank);
  }
</script>

<section class="sheet mt-5" aria-label="Cavity {kind.name}">
  <div class="grid gap-8 p-5 lg:grid-cols-[1fr_1fr_300px]">
    <div>
      <h2 class="text-[1.2rem]">Shape</h2>
      <div class="grid grid-cols-[1fr_6rem] gap-x-3">
        <Row label="Name of one piece" problem={form.at(`cavities/${index}/name`)}>
          <input
            class="field"
            aria-label="Name of one piece"
            value={kind.name}
            oninput={(e) => form.set(['cavities', index, 'name'], e.currentTarget.value)}
          />
        </Row>
        <Row label="How many">
          <ParsedField
            label="How many cavities"
            value={kind.count}
            format={String}
            parse={(text) => parseCount(text, 400)}
            onchange={(count) => form.set(['cavities', index, 'count'], count)}
          />
        </Row>
      </div>
      <ShapeFields {form} {kind} {index} />
    </div>

    <div>
      <h2 class="text-[1.2rem]">Capacity</h2>
      <Row label="Known from">
        <Choice
          label="Capacity known from"
          value={kind.capacity.from}
          options={SOURCES.map((s) => ({ value: s.from, label: s.name }))}
          onchange={(v) => setSource(v)}
        />
      </Row>
      {#if kind.capacity.from === 'water'}
        {@const fill = kind.capacity}
        <div class="grid grid-cols-2 gap-x-3">
          <Row label="Mould empty" problem={form.at(`cavities/${index}/capacity/emptyGrams`)}>
            <QuantityField
              label="Mould empty"
              unit="g"
              value={fill.emptyGrams}
              onchange={(v) => form.set(['cavities', index, 'capacity', 'emptyGrams'], v)}
            />
          </Row>
          <Row label="Filled with water" problem={form.at(`cavities/${index}/capacity/fullGrams`)}>
            <QuantityField
              label="Filled with water"
              unit="g"
              value={fill.fullGrams}
              onchange={(v) => form.set(['cavities', index, 'capacity', 'fullGrams'], v)}
            />
          </Row>
          <Row label="Water is at">
            <QuantityField
              label="Water is at"
              unit="°C"
              value={fill.waterCelsius}
              onchange={(v) => form.set(['cavities', index, 'capacity', 'waterCelsius'], v)}
            />
          </Row>
        </div>
        {#if kind.count > 1 && whole}
          <p class="label mt-1">The water stood in</p>
          <OneOf
            label="The water stood in"
            value={String(fill.cavitiesFilled)}
            options={readings.map((r) => ({ ...r, value: String(r.n) }))}
            onchange={(n) => form.set(['cavities', index, 'capacity', 'cavitiesFilled'], Number(n))}
          >
            {#snippet children(r)}
              <span>
                {r.n === 1 ? 'one cavity' : `all ${r.n} of them`}: <strong>{volume(r.ml)}</strong> each
              </span>
            {/snippet}
          </OneOf>
        {/if}
      {:else if kind.capacity.from === 'pour'}
        <Row label="Volume of one cavity, measured">
          <QuantityField
            label="Volume of one cavity, measured"
            unit="ml"
            above
            value={kind.capacity.ml}
            onchange={(v) => form.set(['cavities', index, 'capacity', 'ml'], v)}
          />
        </Row>
      {/if}
      {#if !whole}
        <p class="mt-2 text-[0.95rem] text-ink-2">
          Weigh the mould dry, then filled to the rim with water, and say how deep it is inside: layers are
          laid in mm. Its capacity follows.
        </p>
      {:else}
        <p class="mt-2 font-display text-[2.2rem] leading-tight font-medium" data-testid="capacity">
          {volume(cavity.capacity)} <span class="text-[1.2rem]">each</span>
        </p>
        <p class="text-[0.9rem] text-ink-2" data-testid="working">{inWords(cavity.working)}</p>
        {#if kind.count > 1}<p class="text-[0.9rem] text-ink-2">
            all {kind.count}: {volume(cavity.capacity * kind.count)}
          </p>{/if}
      {/if}
      <div class="mt-2 space-y-1.5">
        {#each cavity.problems as problem, i (i)}
          <ProblemNote {problem} />
          {#if problem.code === 'capacity-disagrees'}
            <button class="button" onclick={fitDrawing}>The water is right: fit the drawing to it</button>
          {/if}
        {/each}
      </div>
    </div>

    <div>
      <h2 class="text-[1.2rem]">Level and volume</h2>
      <CavityDrawing section={sectionOf(drawn)} level={at} />
      <div class="grid grid-cols-2 gap-3">
        <Row label="Level">
          <QuantityField
            label="Level"
            unit="mm"
            max={cavity.depth}
            value={at}
            onchange={(v) => (level = v)}
          />
        </Row>
        <Row label="Volume below it">
          <QuantityField
            label="Volume below it"
            unit="ml"
            max={cavity.capacity}
            value={cavity.volumeAt(at)}
            onchange={(v) => (level = cavity.levelAt(v))}
          />
        </Row>
      </div>
      <p class="text-[0.85rem] text-ink-2">Type in either: the other follows.</p>
    </div>
  </div>
  <CavityMore {form} kind={drawn} {index} />
</section>
