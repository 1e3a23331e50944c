<!-- The fittings of a cavity: dome, jacket, draft, chambers and zones. Each shows what it does to the volume. -->
<script lang="ts">
  import Tick from '../forms/Tick.svelte';
  import Choice from '../forms/Choice.svelte';
  import { cavityOf, mayShow, type CavityKind, type Mould } from '$core/mould';
  import type { CardForm } from '../../store/card-form.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from './NumberField.svelte';
  import { volume } from '../../preferences.svelte';
  import Row from '../forms/Row.svelte';

  let { form, kind, index }: { form: CardForm<Mould>; kind: CavityKind; index: number } = $props();
  const cavity = $derived(cavityOf(kind));
  const set = (path: (string | number)[], value: unknown) => form.set(['cavities', index, ...path], value);
  const chambers = $derived(kind.chambers ?? []);
  const zones = $derived(kind.zones ?? []);
  const fresh = (word: string, taken: readonly { id: string }[]) => {
    for (let n = 1; ; n++) if (!taken.some((t) => t.id === `${word}-${n}`)) return `${word}-${n}`;
  };

  function divide(n: number) {
    set(
      ['chambers'],
      n > 1
        ? Array.from({ length: n }, (_, i) => ({
            id: `chamber-${i + 1}`,
            name: `chamber ${i + 1}`,
            share: 1 / n
          }))
        : undefined
    );
  }
</script>

<div class="grid gap-x-8 gap-y-2 border-t border-rule px-5 py-4 md:grid-cols-2 lg:grid-cols-4">
  <div>
    <h3 class="text-[1.05rem]">Rim and outer shell</h3>
    <Tick
      checked={!!kind.dome}
      onchange={(v) => set(['dome'], v ? { mm: 1, factor: 0.5 } : undefined)}
      class="mt-1">Surface domes above the rim</Tick
    >
    {#if kind.dome}
      <div class="grid grid-cols-2 gap-x-3">
        <Row label="Height">
          <QuantityField
            label="Dome height"
            unit="mm"
            above
            max={20}
            value={kind.dome.mm}
            onchange={(v) => set(['dome', 'mm'], v)}
          />
        </Row>
        <Row label="Shape, 0.5 a lens" problem={form.at(`cavities/${index}/dome/factor`)}>
          <NumberField
            label="Dome shape factor"
            value={kind.dome.factor}
            onchange={(v) => set(['dome', 'factor'], v)}
          />
        </Row>
      </div>
      <p class="text-[0.85rem] text-ink-2" data-testid="dome">+ {volume(cavity.domeMl)}</p>
    {/if}
    <Tick
      checked={!!kind.jacket}
      onchange={(v) => set(['jacket'], v ? { mm: 2, squeeze: 0 } : undefined)}
      class="mt-1">Mould needs an outer shell</Tick
    >
    {#if kind.jacket}
      <div class="grid grid-cols-2 gap-x-3">
        <Row label="Wall above the rim">
          <QuantityField
            label="Shell above the rim"
            unit="mm"
            max={500}
            value={kind.jacket.mm}
            onchange={(v) => set(['jacket', 'mm'], v)}
          />
        </Row>
        <Row label="Presses in">
          <QuantityField
            label="Shell presses in"
            unit="%"
            max={0.3}
            value={kind.jacket.squeeze}
            onchange={(v) => set(['jacket', 'squeeze'], v)}
          />
        </Row>
      </div>
      <p class="text-[0.85rem] text-ink-2">{volume(cavity.capacity)} in its shell</p>
    {/if}
  </div>

  <div>
    <h3 class="text-[1.05rem]">Wall angle</h3>
    <Row
      label="Wall angle, degrees"
      hint="negative for an undercut"
      problem={form.at(`cavities/${index}/draft`)}
    >
      <input
        class="field"
        aria-label="Wall angle, degrees"
        inputmode="decimal"
        value={kind.draft ?? ''}
        onchange={(e) => {
          const said = e.currentTarget.value.trim().replace(',', '.');
          set(['draft'], said === '' ? undefined : Number(said));
        }}
      />
    </Row>
    <p class="text-[0.85rem] text-ink-2">
      {mayShow(kind.draft)}
    </p>
  </div>

  <div>
    <h3 class="text-[1.05rem]">Dividers</h3>
    <Row label="Dividers">
      <Choice
        label="Dividers"
        value={String(Math.max(1, chambers.length))}
        options={[
          { value: '1', label: 'none' },
          ...[2, 3, 4, 5, 6].map((n) => ({ value: String(n), label: `into ${n} chambers` }))
        ]}
        onchange={(v) => divide(Number(v))}
      />
    </Row>
    {#each chambers as c, i (c.id)}
      <div class="grid grid-cols-[1fr_5rem_4.5rem] items-center gap-2 py-0.5">
        <input
          class="field"
          aria-label="Name of chamber {i + 1}"
          value={c.name}
          onchange={(e) => set(['chambers', i, 'name'], e.currentTarget.value)}
        />
        <QuantityField
          label="Share of {c.name}"
          unit="%"
          above
          max={1}
          value={c.share}
          onchange={(v) => set(['chambers', i, 'share'], v)}
        />
        <span class="text-[0.85rem] text-ink-2">{volume(c.share * cavity.capacity)}</span>
      </div>
    {/each}
  </div>

  <div>
    <h3 class="text-[1.05rem]">Raised detail</h3>
    {#each zones as z, i (z.id)}
      <div class="border-b border-rule py-1.5">
        <div class="flex items-center gap-2">
          <input
            class="field"
            aria-label="Name of zone {i + 1}"
            value={z.name}
            onchange={(e) => set(['zones', i, 'name'], e.currentTarget.value)}
          />
          <button
            class="text-ink-2 hover:text-cinnabar"
            aria-label="Take out {z.name}"
            onclick={() => set(['zones'], zones.length > 1 ? zones.toSpliced(i, 1) : undefined)}>×</button
          >
        </div>
        <div class="mt-1 grid grid-cols-2 gap-2">
          <QuantityField
            label="{z.name} from"
            unit="mm"
            value={z.from}
            onchange={(v) => set(['zones', i, 'from'], v)}
          />
          <QuantityField
            label="{z.name} to"
            unit="mm"
            value={z.to}
            onchange={(v) => set(['zones', i, 'to'], v)}
          />
        </div>
        <p class="text-[0.85rem] text-ink-2">
          {volume(cavity.volumeAt(z.to) - cavity.volumeAt(z.from))} between its heights
        </p>
      </div>
    {:else}
      <p class="mt-1 text-[0.85rem] text-ink-2">A raised detail that gets a colour of its own.</p>
    {/each}
    <button
      class="button mt-2"
      onclick={() =>
        set(
          ['zones'],
          [
            ...zones,
            {
              id: fresh('zone', zones),
              name: `detail ${zones.length + 1}`,
              from: 0,
              to: Math.round(cavity.depth * 20) / 100
            }
          ]
        )}>+ Detail</button
    >
  </div>
</div>
