<!-- Imports a plan file; what is wrong with it is said in place, and nothing that is here is overwritten. -->
<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { send } from '../store/send';
  import ProblemNote from './ProblemNote.svelte';

  let { label = 'Import a file' }: { label?: string } = $props();
  let problems = $state<Problem[]>([]);
  let input: HTMLInputElement | undefined = $state();

  async function take(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (!file) return;
    let document: unknown;
    try {
      document = JSON.parse(await file.text());
    } catch {
      problems = [
        {
          code: 'not-json',
          level: 'stop',
          path: '',
          sentence: `“${file.name}” is not a plan file: it is not JSON.`,
          mend: 'Choose a file that Kirapen exported (it ends in .kirapen.json).'
        }
      ];
      return;
    }
    const stored = await send<Plan>('POST', '/plans/import', document);
    if (stored.ok) await goto(`/plans/${stored.value.id}`);
    else problems = stored.problems;
  }
</script>

<div class="relative">
  <button class="button" onclick={() => input?.click()}>{label}</button>
  <input
    bind:this={input}
    class="sr-only"
    type="file"
    accept=".json,application/json"
    aria-label="Plan file to import"
    tabindex="-1"
    onchange={take}
  />
  {#if problems.length}
    <div class="absolute right-0 z-20 mt-2 w-80 shadow-lg">
      {#each problems.slice(0, 4) as problem, i (i)}
        <ProblemNote
          problem={{ ...problem, sentence: `${problem.sentence} (${problem.path || 'the file'})` }}
        />
      {/each}
      <button class="button w-full" onclick={() => (problems = [])}>Close</button>
    </div>
  {/if}
</div>
