<script lang="ts">
  import Table from '$lib/ui/Table.svelte';
  import Tick from '../../../../lib/ui/forms/Tick.svelte';
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import { goto } from '$app/navigation';
  import { cautionsOf, rubbersOf } from '$core/material';
  import { keyProblems, rubberFor, type MouldJob } from '$core/mould';
  import { mouldMakingPlan } from '$core/edit';
  import type { Problem } from '$core/problem';
  import { duration } from '$core/quantity';
  import { newId } from '$lib/id';
  import { send } from '../../../../lib/store/send';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import QuantityField from '../../../../lib/ui/forms/QuantityField.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import { mass, inWords, volume } from '../../../../lib/preferences.svelte';
  import Row from '../../../../lib/ui/forms/Row.svelte';

  let { data } = $props();
  const rubbers = $derived(rubbersOf(data.shelf.bases));
  let rubberId = $state('');
  let name = $state('Knob mould');
  let job = $state.raw<MouldJob>({
    container: { by: 'box', length: 80, width: 80, depth: 60 },
    master: { by: 'water', grams: 42, celsius: 20 }
  });
  let problems = $state<Problem[]>([]);
  const rubber = $derived(rubbers.find((r) => r.id === rubberId) ?? rubbers[0]);
  const need = $derived(rubberFor(job));
  const share = $derived(rubber ? rubber.a / (rubber.a + rubber.b) : 0);
  const CONTAINERS: Record<string, MouldJob['container']> = {
    box: { by: 'box', length: 80, width: 80, depth: 60 },
    round: { by: 'round', diameter: 80, depth: 60 },
    water: { by: 'water', grams: 380, celsius: 20 }
  };
  const MASTERS: Record<string, MouldJob['master']> = {
    water: { by: 'water', grams: 42, celsius: 20 },
    volume: { by: 'volume', ml: 42 },
    weight: { by: 'weight', grams: 31, density: 0.72 }
  };
  const FIELDS: Record<string, readonly [key: string, label: string, unit: string][]> = {
    'container box': [
      ['length', 'Inside length', 'mm'],
      ['width', 'Inside width', 'mm'],
      ['depth', 'Silicone up to', 'mm']
    ],
    'container round': [
      ['diameter', 'Inside diameter', 'mm'],
      ['depth', 'Silicone up to', 'mm']
    ],
    'container water': [
      ['grams', 'Water it takes', 'g'],
      ['celsius', 'Water is at', '°C']
    ],
    'master water': [
      ['grams', 'Water it pushes out', 'g'],
      ['celsius', 'Water is at', '°C']
    ],
    'master volume': [['ml', 'Its volume', 'ml']],
    'master weight': [['grams', 'It weighs', 'g']]
  };
  const figures = (of: object) => of as unknown as Record<string, number>;

  async function plan() {
    if (!need.ok || !rubber) return;
    const making = { planId: newId(), containerId: newId(), name, rubberId: rubber.id };
    const made = mouldMakingPlan(making, job, need.value, data.shelf);
    const container = await send('PUT', `/moulds/${made.container.id}`, made.container, 'new');
    const stored = container.ok ? await send('POST', '/plans', made.plan) : container;
    if (stored.ok) await goto(`/plans/${made.plan.id}`);
    else problems = stored.problems;
  }
</script>

<svelte:head><title>Make a mould · Kirapen</title></svelte:head>

<div class="page">
  <p class="text-[0.9rem] text-ink-2"><a class="underline" href="/shelf">Shelf</a> · a mould from a master</p>
  <h1 class="text-[1.9rem]">Make a mould</h1>
  {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
  <div class="mt-4 grid items-start gap-6 lg:grid-cols-3">
    <section class="sheet p-5" aria-label="Container and master">
      <h2 class="text-[1.2rem]">Container</h2>
      <Row label="Known by">
        <Choice
          label="Container known by"
          value={job.container.by}
          options={[
            { value: 'box', label: 'a box, by its inside' },
            { value: 'round', label: 'a round pot, by its inside' },
            { value: 'water', label: 'a water fill' }
          ]}
          onchange={(v) => (job = { ...job, container: CONTAINERS[v]! })}
        />
      </Row>
      <div class="grid grid-cols-2 gap-x-3">
        {#each FIELDS[`container ${job.container.by}`]! as [key, label, unit] (key)}
          <Row {label}>
            <QuantityField
              {label}
              {unit}
              above={unit !== '°C'}
              value={figures(job.container)[key]!}
              onchange={(v) =>
                (job = { ...job, container: { ...job.container, [key]: v } as MouldJob['container'] })}
            />
          </Row>
        {/each}
      </div>
      <h2 class="mt-3 text-[1.2rem]">Master</h2>
      <Row label="Known by">
        <Choice
          label="Master known by"
          value={job.master.by}
          options={[
            { value: 'water', label: 'the water it pushes out' },
            { value: 'volume', label: 'its volume' },
            { value: 'weight', label: 'its weight and density' }
          ]}
          onchange={(v) => (job = { ...job, master: MASTERS[v]! })}
        />
      </Row>
      <div class="grid grid-cols-2 gap-x-3">
        {#each FIELDS[`master ${job.master.by}`]! as [key, label, unit] (key)}
          <Row {label}>
            <QuantityField
              label="Master: {label}"
              {unit}
              above={unit !== '°C'}
              value={figures(job.master)[key]!}
              onchange={(v) => (job = { ...job, master: { ...job.master, [key]: v } as MouldJob['master'] })}
            />
          </Row>
        {/each}
        {#if job.master.by === 'weight'}
          {@const master = job.master}
          <Row label="Density, g/ml">
            <NumberField
              label="Master density"
              value={master.density}
              onchange={(v) => v && (job = { ...job, master: { ...master, density: v } })}
            />
          </Row>
        {/if}
      </div>
    </section>

    <section class="sheet p-5" aria-label="Parts">
      <h2 class="text-[1.2rem]">In one block or two halves</h2>
      <Tick
        checked={job.parting !== undefined}
        onchange={(v) =>
          (job = v
            ? { ...job, parting: 0.5, keys: { count: 4, diameter: 8 } }
            : { container: job.container, master: job.master })}>two halves with keys</Tick
      >
      {#if job.parting !== undefined}
        <div class="grid grid-cols-3 gap-x-3">
          <Row label="First half">
            <QuantityField
              label="First half"
              unit="%"
              above
              max={0.95}
              value={job.parting}
              onchange={(v) => (job = { ...job, parting: v })}
            />
          </Row>
          <Row label="Keys">
            <NumberField
              label="Keys"
              value={job.keys?.count}
              onchange={(v) =>
                (job = { ...job, keys: { count: Math.round(v ?? 0), diameter: job.keys?.diameter ?? 8 } })}
            />
          </Row>
          <Row label="Each across">
            <QuantityField
              label="Key diameter"
              unit="mm"
              above
              value={job.keys?.diameter ?? 8}
              onchange={(v) => (job = { ...job, keys: { count: job.keys?.count ?? 4, diameter: v } })}
            />
          </Row>
        </div>
        <p class="text-[0.9rem] text-ink-2">
          Bed the master in clay to its parting line, pour the first half with keys pressed in, let it set,
          turn it over, brush release over rubber and keys, then pour the second.
        </p>
      {/if}
      <div class="mt-2 space-y-1.5">
        {#each keyProblems(job) as problem, i (i)}<ProblemNote {problem} />{/each}
      </div>
      <Row label="Rubber">
        <Choice
          label="Rubber"
          value={rubber?.id ?? ''}
          options={rubbers.map((r) => ({ value: r.id, label: r.name }))}
          onchange={(v) => (rubberId = v)}
        />
      </Row>
      {#if rubber}
        <p class="text-[0.9rem] text-ink-2">
          {rubber.a} : {rubber.b} by weight · {rubber.density} g/ml · pot life {duration(rubber.openMinutes)} at
          23 °C · sets in {duration(rubber.setMinutes)}
        </p>
      {:else}
        <p class="text-ochre">
          No rubber on the shelf. <a class="underline" href="/shelf">Fill it with generic cards</a> first.
        </p>
      {/if}
    </section>

    <section class="sheet p-5" aria-label="Rubber needed">
      <h2 class="text-[1.2rem]">Rubber</h2>
      {#if need.ok && rubber}
        <p class="font-display text-[2.4rem] leading-none font-medium" data-testid="rubber">
          {mass(need.value.ml * rubber.density)}
        </p>
        <p class="mt-1 text-[0.9rem] text-ink-2">{inWords(need.value.working)} × {rubber.density} g/ml</p>
        <Table
          class="mt-2"
          rows={need.value.pours.map((ml, i, all) => ({
            name: all.length > 1 ? ['first half', 'second half'][i]! : 'in one',
            ml,
            a: ml * rubber.density * share,
            b: ml * rubber.density * (1 - share)
          }))}
          columns={[
            { id: 'pour', head: '', text: (p) => p.name },
            { id: 'volume', head: 'volume', num: true, text: (p) => volume(p.ml) },
            { id: 'a', head: 'A', num: true, text: (p) => mass(p.a), class: 'font-semibold' },
            { id: 'b', head: 'B', num: true, text: (p) => mass(p.b), class: 'font-semibold' }
          ]}
        />
        <p class="mt-1 text-[0.85rem] text-ink-2">Without what sticks to the cup; the plan adds it.</p>
        <Row label="Call it">
          <input class="field" aria-label="Name of the mould" bind:value={name} />
        </Row>
        <button class="button go mt-2 w-full" onclick={plan} disabled={!name.trim()}>Plan the pour</button>
      {:else if !need.ok}
        <ProblemNote problem={need.problem} />
      {/if}
      {#if rubber}
        <ul class="mt-4 space-y-1.5 text-[0.92rem]">
          {#each cautionsOf(rubber) as caution, i (i)}
            <li class="border-l-[3px] border-ochre bg-ochre-soft px-3 py-1.5">{caution}</li>
          {/each}
        </ul>
      {/if}
    </section>
  </div>
</div>
