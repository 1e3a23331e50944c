<!-- An outline over the cavity, traced over a picture where one is laid under it. The picture belongs to the whole plan. -->
<script lang="ts">
  import type { ComputedGroup } from '$core/plan';
  import type { Tracing } from '$core/document';
  import type { Path } from '$core/pour';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { fail, ok } from '$core/problem';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import PathField from './PathField.svelte';

  let {
    editor,
    label,
    path,
    group,
    onchange
  }: {
    editor: PlanView;
    label: string;
    path: Path;
    group: ComputedGroup | undefined;
    onchange: (path: Path) => void;
  } = $props();

  const tracing = $derived(editor.plan.tracing);
  let problem = $state('');
  let working = $state(false);
  let gone = $state(false);
  /** Corners of an outline that is begun anew: kept here until they enclose something. */
  let begun = $state<Path>();
  const shown = $derived(begun ?? path);

  function changed(to: Path) {
    const whole = to.points.length >= 3;
    begun = whole ? undefined : to;
    if (whole) onchange({ ...to, closed: true });
  }

  const set = (value: Tracing | undefined) => editor.edit({ path: ['tracing'], value });
  const move = (to: Partial<Tracing>) => tracing && set({ ...tracing, ...to });

  async function chosen(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (!file) return;
    problem = '';
    working = true;
    const body = new FormData();
    body.set('photo', file);
    try {
      const response = await fetch(`/api/v1/plans/${editor.plan.id}/photos`, { method: 'POST', body });
      const answer = await response.json();
      gone = false;
      if (response.ok)
        set({
          photo: answer.id,
          width: answer.width,
          height: answer.height,
          x: 0,
          y: 0,
          wide: 1,
          turned: 0
        });
      else
        problem = `${answer.problems?.[0]?.sentence ?? 'The picture was not kept.'} ${answer.problems?.[0]?.mend ?? ''}`;
    } catch {
      problem = 'The picture did not reach the server. Try again once it answers.';
    }
    working = false;
  }

  const degrees = (text: string) => {
    const read = Number(text.replace('−', '-').replace('°', '').trim());
    return text.trim() && Math.abs(read) <= 180
      ? ok(read)
      : fail({
          code: 'quantity-unreadable',
          path: '',
          sentence: `“${text}” is no turn from −180° to 180°.`,
          mend: 'Type degrees to the left, for example 15 or −90.'
        });
  };
</script>

<PathField {label} {group} path={shown} area size={252} onchange={changed}>
  {#snippet beneath(scale, extent)}
    {#if tracing && !gone}
      {@const width = 2 * extent.width * scale * tracing.wide}
      {@const height = (width * tracing.height) / tracing.width}
      <image
        href="/api/v1/photos/{tracing.photo}"
        x={-width / 2}
        y={-height / 2}
        {width}
        {height}
        opacity="0.6"
        transform="translate({tracing.x * extent.width * scale} {-tracing.y *
          extent.length *
          scale}) rotate({-tracing.turned})"
        onerror={() => (gone = true)}
        data-testid="traced-over"
      />
    {/if}
  {/snippet}
</PathField>
<div class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-[0.85rem]">
  <button class="text-verdigris underline" onclick={() => (begun = { ...path, points: [] })}
    >Trace it again</button
  >
  <label class="cursor-pointer text-verdigris underline focus-within:outline-2">
    {working ? 'The picture is on its way' : tracing ? 'Another picture' : 'A picture to trace over'}
    <input
      class="sr-only"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      aria-label="A picture to trace over"
      disabled={working}
      onchange={chosen}
    />
  </label>
  {#if tracing}
    <button class="text-ink-2 underline" onclick={() => set(undefined)}>take the picture away</button>
  {/if}
</div>
{#if begun}
  <p class="text-[0.85rem] text-ink-2">
    {begun.points.length
      ? `${3 - begun.points.length} more corner${begun.points.length === 2 ? '' : 's'}, then it is an outline.`
      : 'Click its corners, one after another.'}
  </p>
{/if}
{#if problem}<p class="text-[0.85rem] text-cinnabar" role="alert">{problem}</p>{/if}
{#if tracing}
  {#if gone}
    <p class="text-[0.85rem] text-ink-2">The picture of this plan is not kept here. Choose it again.</p>
  {:else}
    <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-1 text-[0.85rem]">
      {#each [['wide', 'wide', 0.05, 8], ['x', 'to the right', -2, 2], ['y', 'away', -2, 2]] as const as [key, words, min, max] (key)}
        <label class="flex items-center gap-1.5">
          <QuantityField
            quiet
            width="3.6rem"
            label="Picture, {words}"
            unit="%"
            {min}
            {max}
            value={tracing[key]}
            onchange={(v) => move({ [key]: v })}
          />
          <span class="text-ink-2">{words}</span>
        </label>
      {/each}
      <label class="flex items-center gap-1.5">
        <ParsedField
          quiet
          width="3.6rem"
          label="Picture, turned"
          value={tracing.turned}
          format={(v) => `${v}°`}
          parse={degrees}
          onchange={(turned) => move({ turned })}
        />
        <span class="text-ink-2">turned left</span>
      </label>
    </div>
  {/if}
{/if}
