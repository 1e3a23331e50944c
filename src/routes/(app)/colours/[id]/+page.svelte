<script lang="ts">
  import { carrierWords } from '$core/shelf';
  import { VERDICTS } from '$lib/ui/colour/verdicts';
  import Table from '$lib/ui/Table.svelte';
  import Tick from '../../../../lib/ui/forms/Tick.svelte';
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import { Colourant, compatibilityOf, FORMS, limitOf, materials } from '$core/material';
  import { CardForm } from '../../../../lib/store/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import QuantityField from '../../../../lib/ui/forms/QuantityField.svelte';
  import Row from '../../../../lib/ui/forms/Row.svelte';
  import {
    filmReflectance,
    flat,
    hidingThickness,
    labOf,
    lookOf,
    mixtureOf,
    tintingStrength,
    tintLook,
    PLAIN_BASE
  } from '$core/colour';
  import { startingLibrary } from '$core/shelf';
  import PhotoPick from '$lib/ui/colour/PhotoPick.svelte';
  import Swatch from '$lib/ui/colour/Swatch.svelte';
  import { length } from '../../../../lib/preferences.svelte';
  import TargetField from '$lib/ui/colour/TargetField.svelte';

  let { data } = $props();
  const form = $derived(new CardForm<Colourant>('colourants', Colourant, data.card, data.revision));
  const card = $derived(form.card);
  const reference = startingLibrary.colourants.find((c) => c.id === 'brown-paste')!;
  const one = $derived(mixtureOf({ base: PLAIN_BASE, doses: [{ colourant: card, percent: 1 }] }));
  const hides = $derived.by(() => {
    const mm = hidingThickness(one);
    return Number.isFinite(mm) ? length(mm) : 'no thickness';
  });
  const predictedTint = $derived(tintLook(card, card.tint?.percent ?? 10).hex);
  const overBlack = $derived(lookOf(labOf(filmReflectance(one, 1, flat(0.02)))).hex);

  function setColour(which: 'colour' | 'tint', hex: string, from: 'typed' | 'photo') {
    form.set(['colourFrom'], from);
    if (which === 'colour') form.set(['colour'], hex);
    else form.set(['tint'], { ...(card.tint ?? freshTint()), at: card.strength, colour: hex });
  }
  const whiteOf = ({ colour, strength }: { colour: string; strength: number }) => ({ colour, strength });
  /** A tint in the shelf's palest white, as the card's colour gives it so far. */
  function freshTint(): NonNullable<Colourant['tint']> {
    const [white] = data.whites;
    return {
      percent: 10,
      colour: predictedTint,
      at: card.strength,
      ...(white ? { white: whiteOf(white) } : {})
    };
  }
  const sameWhite = (w: { colour: string; strength: number }) =>
    w.colour === card.tint?.white?.colour && w.strength === card.tint.white.strength;
  const MATERIALS = materials.all().map((m) => m.kind);
  const CARRIERS = ['none', 'part A', 'part B', 'water', 'oil', 'alcohol', 'base'] as const;
</script>

<svelte:head><title>{card.name || 'New colourant'} · Kirapen</title></svelte:head>

<div class="page">
  <CardHead {form} back="/colours" what="colourant" put="/colours" />
  <div class="sheet mt-4 grid grid-cols-1 gap-x-5 p-5 sm:grid-cols-3">
    <Row label="Form">
      <Choice
        label="Form"
        value={card.form}
        options={FORMS.map((f) => ({ value: f, label: f }))}
        onchange={(v) => form.set(['form'], v)}
      />
    </Row>
    <Row label="Pigment in it" hint="100 % for a dry powder" problem={form.at('pigmentFraction')}>
      <QuantityField
        label="Pigment in it"
        unit="%"
        above
        max={1}
        value={card.pigmentFraction}
        onchange={(v) => form.set(['pigmentFraction'], v)}
      />
    </Row>
    <Row label="Carried in" hint="a carrier that is part of the recipe counts as it">
      <Choice
        label="Carried in"
        value={card.carrier}
        options={CARRIERS.map((c) => ({ value: c, label: carrierWords(c) }))}
        onchange={(v) => form.set(['carrier'], v)}
      />
    </Row>
    <Row
      label="Full-strength colour"
      hint={card.colourFrom
        ? `from ${card.colourFrom === 'typed' ? 'you' : `a ${card.colourFrom}`}`
        : 'starting value'}
      problem={form.at('colour')}
    >
      <TargetField
        label="Colour at full strength"
        value={card.colour}
        onchange={(hex) => setColour('colour', hex, 'typed')}
      />
    </Row>
    <Row label="Strength" hint="compared with iron oxide = 1" problem={form.at('strength')}>
      <NumberField label="Strength" value={card.strength} onchange={(v) => form.set(['strength'], v)} />
    </Row>
    <Row
      label="Most that may go in, %"
      hint="your own figure; the usual ones are below"
      problem={form.at('limit')}
    >
      <NumberField
        label="Most that may go in"
        optional
        value={card.limit}
        onchange={(v) => form.set(['limit'], v)}
      />
    </Row>
    <Row label="Density" hint="g/ml as supplied, where it displaces" problem={form.at('density')}>
      <NumberField label="Density" optional value={card.density} onchange={(v) => form.set(['density'], v)} />
    </Row>
    <Row
      label="Weight of one drop"
      hint={card.drop ? `± ${((card.drop.error / card.drop.grams) * 100).toFixed(1)} %` : 'weigh twenty once'}
    >
      <a class="button w-full" href="/colours/drops"
        >{card.drop ? `${card.drop.grams.toFixed(4)} g` : 'Weigh a drop'}</a
      >
    </Row>
    <Row label="Weight of one level ml, g" problem={form.at('bulkDensity')}>
      <NumberField
        label="Weight of one level ml, g"
        optional
        value={card.bulkDensity}
        onchange={(v) => form.set(['bulkDensity'], v)}
      />
    </Row>
    <Row label="Dye (see-through)" hint="colours without making opaque">
      <Tick checked={!!card.translucent} onchange={(v) => form.set(['translucent'], v || undefined)}
        >translucent</Tick
      >
    </Row>
    <div
      class="grid gap-5 border-t border-rule pt-3 sm:col-span-3 sm:grid-cols-2 lg:grid-cols-3"
      data-testid="tint"
    >
      <div>
        <h2 class="text-[1.15rem]">Its tint</h2>
        <p class="text-[0.88rem] text-ink-2">
          A little of it in a white of your shelf tells how strong it is. Without one its strength is a
          starting value.
        </p>
        {#if card.tint}
          {@const tint = card.tint}
          <Row label="Percent in white" problem={form.at('tint/percent')}>
            <QuantityField
              label="Percent in white"
              unit="%"
              above
              max={0.6}
              value={tint.percent / 100}
              onchange={(v) => form.set(['tint'], { ...tint, percent: Number((v * 100).toFixed(3)) })}
            />
          </Row>
          <Row label="The tint’s colour" problem={form.at('tint/colour')}>
            <TargetField
              label="The tint’s colour"
              value={tint.colour}
              onchange={(hex) => setColour('tint', hex, 'typed')}
            />
          </Row>
          {#if data.whites.length}
            <Row label="In which white">
              <Choice
                label="In which white"
                value={data.whites.find(sameWhite)?.id ?? ''}
                options={[
                  ...(data.whites.some(sameWhite) ? [] : [{ value: '', label: 'another white' }]),
                  ...data.whites.map((w) => ({ value: w.id, label: w.name }))
                ]}
                onchange={(id) => {
                  const white = data.whites.find((w) => w.id === id);
                  form.set(['tint'], { ...tint, white: white && whiteOf(white) });
                }}
              />
            </Row>
          {/if}
          <button class="underline" onclick={() => form.set(['tint'], undefined)}>without a tint</button>
        {:else}
          <button class="button mt-2" onclick={() => form.set(['tint'], freshTint())}>Enter a tint</button>
        {/if}
      </div>
      <div>
        <PhotoPick
          label="Pick the full-strength colour from a photo"
          onpick={(hex) => setColour('colour', hex, 'photo')}
        />
        {#if card.tint}
          <div class="mt-2">
            <PhotoPick label="Pick the tint from a photo" onpick={(hex) => setColour('tint', hex, 'photo')} />
          </div>
        {/if}
        {#if !form.fresh}
          <a
            class="button mt-3"
            href="/colours/match?colour={encodeURIComponent(card.colour)}&without={encodeURIComponent(
              card.id
            )}">Out of it? Make it from others</a
          >
        {/if}
      </div>
      <div class="text-[0.9rem]" data-testid="optics">
        <div class="grid grid-cols-3">
          <Swatch hex={card.colour} letter="A" label="full strength" height={54} />
          <Swatch hex={predictedTint} letter="B" label="tint with white" height={54} />
          <Swatch hex={overBlack} letter="C" label="1 mm over black" height={54} />
        </div>
        <p class="mt-1 grid grid-cols-3 text-center text-[0.78rem] text-ink-2">
          <span>full strength</span><span>{card.tint?.percent ?? 10} % in white</span><span
            >1 mm over black</span
          >
        </p>
        <p class="mt-1">
          opaque from <strong>{hides}</strong> with 1 % in clear resin · darkens white
          <strong>× {tintingStrength(card, reference).toFixed(1)}</strong> as much as brown oxide
        </p>
      </div>
    </div>
    <div class="sm:col-span-3">
      <Table
        class="my-2 text-[0.9rem]"
        label="In each material"
        rows={MATERIALS.map((material) => ({
          material,
          fits: compatibilityOf(card.form, material),
          most: limitOf(card, material)
        }))}
        columns={[
          { id: 'material', text: (m) => materials.of({ kind: m.material }).name, class: '!pl-0 text-ink-2' },
          { id: 'fits', class: (m) => VERDICTS[m.fits.verdict] },
          {
            id: 'most',
            num: true,
            text: (m) => (m.fits.verdict === 'avoid' ? '' : `at most ${m.most.limit} %: ${m.most.reason}`)
          }
        ]}
      >
        {#snippet cell({ fits })}<strong>{fits.verdict}</strong> {fits.reason}{/snippet}
      </Table>
      <Row label="Notes">
        <textarea
          class="field min-h-16 py-2"
          aria-label="Notes"
          value={card.notes}
          oninput={(e) => form.set(['notes'], e.currentTarget.value)}></textarea>
      </Row>
    </div>
  </div>
</div>
