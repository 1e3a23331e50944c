<!-- A filled run sheet, typed in afterwards: one line after the other, Enter goes on. -->
<script lang="ts">
  import DateField from '$lib/ui/forms/DateField.svelte';
  import { goto } from '$app/navigation';
  import { figuresOf } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { weighing } from '$core/quantity';
  import { eventsFromSheet, tasksOf, type FilledLine } from '$core/run';
  import { parseHour } from '$core/preferences';
  import { newId } from '$lib/id';
  import { taskWords, typedGrams } from '../../../../../lib/run/instruction';
  import { send } from '../../../../../lib/store/send';
  import { inWords } from '../../../../../lib/preferences.svelte';
  import { lastDayAt } from '$lib/when';
  import Tick from '../../../../../lib/ui/forms/Tick.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';

  let { data } = $props();
  const plan = $derived(data.plan);
  const computed = $derived(figuresOf(plan, data.shelf, data.learned));
  const tasks = $derived(tasksOf(plan, computed).filter((t) => t.kind !== 'prepare'));

  let begun = $state('');
  let chosen = $state<string>();
  /** A filled sheet is of what was: of the last day that had its hour, until another is chosen. */
  const day = $derived(chosen ?? lastDayAt(minutesOf(begun) ?? 0, new Date()));
  let read = $state<Record<string, string>>({});
  let at = $state<Record<string, string>>({});
  let leftOut = $state<Record<string, boolean>>({});
  let problems = $state<Problem[]>([]);
  let keeping = $state(false);

  /** Minutes of a day as the workshop types them. */
  function minutesOf(text: string): number | undefined {
    const read = text.trim() ? parseHour(text) : undefined;
    return read?.ok ? read.value : undefined;
  }

  const wrong = (path: string, sentence: string, mend: string): Problem => ({
    code: 'sheet-entry',
    level: 'stop',
    path,
    sentence,
    mend
  });

  /** What was typed, line by line; a figure that cannot be read is said by its line. */
  function typed(start: number): { lines: FilledLine[]; found: Problem[] } {
    const found: Problem[] = [];
    let days = 0;
    let last = start;
    const lines = tasks.map((task, i): FilledLine => {
      const line: FilledLine = { task: task.id, leftOut: leftOut[task.id] };
      const weight = read[task.id]?.trim();
      if (weight) {
        const grams = typedGrams(weight);
        if (grams.ok) line.grams = grams.value;
        else found.push(wrong(task.id, `Line ${i + 1}: ${grams.problem.sentence}`, grams.problem.mend));
      }
      const time = at[task.id]?.trim();
      if (time) {
        const minutes = minutesOf(time);
        if (minutes === undefined)
          found.push(wrong(task.id, `Line ${i + 1}: “${time}” is no time of day.`, 'Type it as 9:05.'));
        else {
          // Past midnight the clock begins again.
          if (minutes + days < last - 12 * 60) days += 24 * 60;
          last = minutes + days;
          line.minutes = last - start;
        }
      }
      return line;
    });
    return { lines, found };
  }

  async function keep() {
    const start = minutesOf(begun);
    if (start === undefined) {
      problems = [
        wrong('begun', 'When it was begun is missing.', 'Type the time the first line was done, as 9:05.')
      ];
      document.getElementById('begun')?.focus();
      return;
    }
    const { lines, found } = typed(start);
    const startedAt = new Date(`${day}T00:00`).getTime() + start * 60_000;
    const events = eventsFromSheet(tasks, lines, { startedAt, idOf: () => newId() });
    problems = events.ok ? found : [...found, { ...events.problem, level: 'stop' }];
    if (!events.ok || found.length) return;
    keeping = true;
    const run = await send<{ id: string }>('POST', '/runs', { planId: plan.id, startedAt });
    const stored = run.ok
      ? await send('POST', `/runs/${run.value.id}/events`, [
          { id: newId(), at: startedAt - 1000, type: 'done', task: 'prepare' },
          ...events.value
        ])
      : run;
    keeping = false;
    if (run.ok && stored.ok) await goto(`/record/${run.value.id}`);
    else problems = stored.ok ? [] : stored.problems;
  }

  /** Enter goes to the next field, as fast as the sheet is read aloud. */
  function next(event: KeyboardEvent & { currentTarget: HTMLElement }) {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const fields = [...document.querySelectorAll<HTMLInputElement>('[data-sheet]')];
    fields[fields.indexOf(event.currentTarget as HTMLInputElement) + 1]?.focus();
  }
</script>

<svelte:head><title>Enter a run sheet: {plan.name} · Kirapen</title></svelte:head>

<div class="page">
  <p class="text-[0.9rem] text-ink-2"><a class="underline" href="/plans/{plan.id}/run-sheet">Run sheet</a></p>
  <h1 class="text-[1.9rem]">Type in a paper run sheet: {plan.name}</h1>
  <p class="mt-1 text-ink-2">
    Type what the sheet says; Enter goes on. What was not written down stays empty: it is kept as not read.
  </p>
  <div class="mt-4 flex flex-wrap items-end gap-4">
    <div>
      <span class="label block">Day</span>
      <DateField label="Day" value={day} onchange={(v) => (chosen = v)} />
    </div>
    <label>
      <span class="label block">First line done at</span>
      <input
        id="begun"
        class="field !w-32"
        aria-label="First line done at"
        placeholder="9:05"
        inputmode="numeric"
        bind:value={begun}
        data-sheet
        onkeydown={next}
      />
    </label>
  </div>
  <table class="mt-5 w-full border-collapse">
    <thead>
      <tr class="border-b border-ink text-left text-[0.85rem] text-ink-2">
        <th class="w-8 py-1 font-normal"></th>
        <th class="font-normal">what</th>
        <th class="pr-3 text-right font-normal">planned</th>
        <th class="w-32 font-normal">reads</th>
        <th class="w-28 font-normal">at</th>
        <th class="w-24 font-normal">left out</th>
      </tr>
    </thead>
    <tbody>
      {#each tasks as task, i (task.id)}
        {@const words = taskWords(task, computed)}
        <tr class="border-b border-rule {leftOut[task.id] ? 'text-ink-2 line-through' : ''}">
          <td class="num text-ink-2">{i + 1}</td>
          <td class="py-1 pr-3"><strong>{words.act}</strong> {inWords(words.rest)}</td>
          <td class="num pr-3 text-right whitespace-nowrap"
            >{task.kind === 'weigh'
              ? weighing(task.grams, task.division)
              : task.kind === 'pour'
                ? weighing(task.gramsEach * task.count, computed.division)
                : ''}</td
          >
          <td class="py-1 pr-2">
            {#if task.kind === 'weigh' || task.kind === 'pour'}
              <input
                class="field"
                aria-label="Line {i + 1} reads"
                inputmode="decimal"
                autocomplete="off"
                bind:value={read[task.id]}
                data-sheet
                onkeydown={next}
              />
            {/if}
          </td>
          <td class="py-1 pr-2">
            <input
              class="field"
              aria-label="Line {i + 1} at"
              inputmode="numeric"
              autocomplete="off"
              bind:value={at[task.id]}
              data-sheet
              onkeydown={next}
            />
          </td>
          <td class="text-center">
            <Tick
              label="Line {i + 1} was left out"
              checked={leftOut[task.id] ?? false}
              onchange={(v) => (leftOut[task.id] = v)}><span class="sr-only">left out</span></Tick
            >
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  <div class="mt-4 space-y-2">
    {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
  </div>
  <button class="button go mt-4 min-h-[56px]" onclick={keep} disabled={keeping} data-sheet
    >{keeping ? 'Keeping' : 'Keep this run'}</button
  >
</div>
