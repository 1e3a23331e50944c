<!-- What was learned of a run, and what it hangs on: said again where it comes up. -->
<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { acts } from '$core/pour';
  import type { Problem } from '$core/problem';
  import { send } from '../../store/send';
  import { day } from '../../when';
  import Choice from '../forms/Choice.svelte';
  import type { PageData } from '../../../routes/(app)/record/[id]/$types';

  let { data, onproblems }: { data: PageData; onproblems: (problems: Problem[]) => void } = $props();

  let lesson = $state('');
  /** What the lesson hangs on, as it is sent. */
  let about = $state('');
  const abouts = $derived([
    { value: '', label: 'this plan' },
    ...data.shelf.moulds.map((m) => ({ value: JSON.stringify({ kind: 'mould', id: m.id }), label: m.name })),
    ...data.shelf.bases.map((b) => ({ value: JSON.stringify({ kind: 'base', id: b.id }), label: b.name })),
    ...data.shelf.colourants.map((c) => ({
      value: JSON.stringify({ kind: 'colourant', id: c.id }),
      label: c.name
    })),
    ...[...new Set(data.plan.steps.map((s) => s.act.kind))].map((k) => ({
      value: JSON.stringify({ kind: 'act', id: k }),
      label: `the act: ${acts.find(k)?.name ?? k}`
    }))
  ]);

  async function keepLesson(event: SubmitEvent) {
    event.preventDefault();
    if (!lesson.trim()) return;
    const stored = await send('POST', `/runs/${data.run.id}/lessons`, {
      text: lesson,
      ...(about ? { about: JSON.parse(about) } : {})
    });
    onproblems(stored.ok ? [] : stored.problems);
    if (!stored.ok) return;
    lesson = '';
    await invalidateAll();
  }
</script>

<h2 class="mt-7 text-[1.35rem]">Lessons</h2>
<ul class="ruled mt-1">
  {#each data.lessons as l (l.id)}<li class="py-2">
      {l.text} <span class="text-[0.85rem] text-ink-2">{day(l.learnedAt)}</span>
    </li>{/each}
</ul>
<form class="mt-2 flex gap-2" onsubmit={keepLesson}>
  <input
    class="field"
    aria-label="Lesson"
    placeholder="What would you do differently, or the same?"
    bind:value={lesson}
  />
  <Choice
    class="!w-56"
    label="What it is about"
    value={about}
    options={abouts}
    onchange={(v) => (about = v)}
  />
  <button class="button">Keep</button>
</form>
