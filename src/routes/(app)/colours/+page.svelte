<script lang="ts">
  import { simpleMixing } from '$core/colour';
  import { compatibilityOf, limitOf } from '$core/material';

  let { data } = $props();
  const STEPS = [0.1, 0.3, 1, 3];
  let baseId = $state('');
  const base = $derived(data.bases.find((b) => b.id === baseId) ?? data.bases[0]);
  const baseColour = $derived(base?.colour ?? '#f1ede0');
  const material = $derived(base?.kind ?? 'resin');
  const shade = (colourant: (typeof data.colourants)[number], percent: number) =>
    simpleMixing.deep({ baseColour, doses: [{ colourant, percent }] }).hex;
</script>

<svelte:head><title>Colours · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-7 py-7">
  <header class="flex items-center gap-3">
    <div class="flex-1">
      <h1 class="text-[1.9rem]">Colours</h1>
      <p class="text-ink-2">
        Each colourant on the shelf, and how a cup of
        <select
          class="quiet text-ink"
          aria-label="Base"
          value={base?.id ?? ''}
          onchange={(e) => (baseId = e.currentTarget.value)}
        >
          {#each data.bases as b (b.id)}<option value={b.id}>{b.name}</option>{/each}
        </select>
        looks as more goes in.
      </p>
    </div>
    <a class="button" href="/colours/paste">Make a paste</a>
    <a class="button" href="/colours/drops">Weigh a drop</a>
    <a class="button" href="/colours/new">New colourant</a>
  </header>
  <table class="figures mt-4">
    <thead>
      <tr>
        <th>colourant</th><th>form</th><th>carrier</th>
        {#each STEPS as step (step)}<th class="text-center">{step} %</th>{/each}
        <th class="num">strength</th><th class="num">most</th>
        <th>fits</th>
      </tr>
    </thead>
    <tbody>
      {#each data.colourants as c (c.id)}
        {@const most = limitOf(c, material)}
        {@const fits = compatibilityOf(c.form, material)}
        <tr class="hover:bg-sheet">
          <td>
            <a
              class="flex items-center gap-3 font-semibold underline-offset-2 hover:underline"
              href="/colours/{c.id}"
            >
              <span class="h-9 w-9 rounded-md border border-ink" style="background:{c.colour}"></span>{c.name}
            </a>
          </td>
          <td class="text-ink-2"
            >{c.form}{c.pigmentFraction < 1 ? `, ${Math.round(c.pigmentFraction * 100)} % pigment` : ''}</td
          >
          <td class="text-ink-2">{c.carrier === 'none' ? '' : c.carrier}</td>
          {#each STEPS as step (step)}
            <td class="!px-1"
              ><span
                class="block h-9 rounded-sm border border-rule-strong"
                style="background:{shade(c, step)}"
                title="{step} %"
              ></span></td
            >
          {/each}
          <td class="num">{c.strength}</td>
          <td class="num" title={most.reason}>{most.limit} %</td>
          <td
            class="text-[0.87rem] {fits.verdict === 'good'
              ? 'text-verdigris'
              : fits.verdict === 'avoid'
                ? 'text-cinnabar'
                : 'text-ochre'}"
          >
            <strong>{fits.verdict}</strong>
            {fits.reason}
          </td>
        </tr>
      {:else}
        <tr
          ><td colspan="10" class="!py-10 text-center text-ink-2"
            >No colourants yet. Fill the shelf with generic cards, or add your own.</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
</div>
