<script lang="ts">
  import { simpleMixing } from '$core/colour';
  import { limitOf } from '$core/material';

  let { data } = $props();
  const STEPS = [0.1, 0.3, 1, 3];
  const baseColour = $derived(data.bases[0]?.colour ?? '#f1ede0');
  const shade = (colourant: (typeof data.colourants)[number], percent: number) =>
    simpleMixing.deep({ baseColour, doses: [{ colourant, percent }] }).hex;
</script>

<svelte:head><title>Colours · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-7 py-7">
  <header class="flex items-center gap-3">
    <div class="flex-1">
      <h1 class="text-[1.9rem]">Colours</h1>
      <p class="text-ink-2">
        Each colourant on the shelf, and how a cup of {data.bases[0]?.name ?? 'base'} looks as more goes in.
      </p>
    </div>
    <a class="button" href="/colours/new">New colourant</a>
  </header>
  <table class="figures mt-4">
    <thead>
      <tr>
        <th>colourant</th><th>form</th><th>carrier</th>
        {#each STEPS as step (step)}<th class="text-center">{step} %</th>{/each}
        <th class="num">strength</th><th class="num">most</th>
      </tr>
    </thead>
    <tbody>
      {#each data.colourants as c (c.id)}
        {@const most = limitOf(c)}
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
        </tr>
      {:else}
        <tr
          ><td colspan="9" class="!py-10 text-center text-ink-2"
            >No colourants yet. Fill the shelf with generic cards, or add your own.</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
</div>
