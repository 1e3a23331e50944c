<!-- What the log points to for every fault that was found: the fact, how strongly, and the change to try, before and after. -->
<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import type { PlanDifference } from '$core/inspect';
  import type { Plan } from '$core/plan';
  import type { LikelyNow, RunCauses } from '$lib/server/causes';
  import { send } from '../../store/send';
  import { inWords, problemWords } from '../../preferences.svelte';

  let {
    causes,
    runId,
    planId,
    groups,
    lessons
  }: {
    causes: readonly RunCauses[];
    runId: string;
    planId: string | null;
    groups: Plan['groups'];
    /** Lessons that were kept of this run. */
    lessons: readonly { text: string }[];
  } = $props();

  /** The plan as it was before the change that was made last, and which that was. */
  let before = $state.raw<{ key: string; plan: Plan; differences: PlanDifference[] }>();
  let problem = $state('');
  const MOST = 3;
  const many = $derived(groups.length > 1);
  const lessonOf = (l: LikelyNow) => {
    const words = inWords(l.change);
    return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
  };
  const isKept = (l: LikelyNow) => lessons.some((x) => x.text === lessonOf(l));
  /** How many things differed by more than a little, of all that is asked about. */
  const differed = $derived(
    causes.reduce(
      (s, c) =>
        s + new Set(c.found.flatMap((f) => f.likely.filter((l) => l.strength > 0.3).map((l) => l.id))).size,
      0
    )
  );

  async function change(key: string, asked: { groupId: string; defect: string }, l: LikelyNow) {
    const was = await send<Plan>('GET', `/plans/${planId}`);
    const done = was.ok ? await send('POST', `/runs/${runId}/causes`, { ...asked, cause: l.id }) : was;
    problem = done.ok ? '' : problemWords(done.problems[0]);
    if (!done.ok || !was.ok || l.next.kind !== 'change') return;
    before = { key, plan: was.value, differences: l.next.differences };
    await invalidateAll();
  }

  async function undo() {
    if (!before) return;
    const now = await send<Plan>('GET', `/plans/${planId}`);
    if (!now.ok) return;
    const based = now.revision === undefined ? undefined : { revision: now.revision };
    const done = await send('PUT', `/plans/${planId}`, before.plan, based);
    problem = done.ok ? '' : problemWords(done.problems[0]);
    if (!done.ok) return;
    before = undefined;
    await invalidateAll();
  }

  async function keep(l: LikelyNow) {
    const done = await send('POST', `/runs/${runId}/lessons`, { text: lessonOf(l) });
    problem = done.ok ? '' : problemWords(done.problems[0]);
    if (done.ok) await invalidateAll();
  }

  /** How strongly, as marks: a little outside, outside, far outside. */
  const marks = (strength: number) => (strength > 1 ? 3 : strength > 0.3 ? 2 : 1);
  const WORDS = ['', 'a little outside', 'outside', 'far outside'];
</script>

{#snippet differences(all: readonly PlanDifference[])}
  <ul class="mt-1 basis-full space-y-0.5 pl-13 text-[0.95rem]" data-testid="would-change">
    {#each all as d (d.what + d.before)}
      <li>
        <span class="text-ink-2">{inWords(d.what)}:</span>
        {#if d.before}<s class="text-ink-2">{inWords(d.before)}</s> →{/if}
        {d.after ? inWords(d.after) : 'left out'}
      </li>
    {/each}
  </ul>
{/snippet}

<h2 class="mt-7 text-[1.35rem]">Likely causes</h2>
<div data-testid="causes">
  {#each causes as own (own.groupId)}
    {#each own.found as f (f.defect)}
      <section class="mt-3">
        <h3 class="font-sans text-[1.05rem] font-bold">
          {f.defect}{#if many}<span class="font-normal text-ink-2"
              >, {groups.find((g) => g.id === own.groupId)?.name}</span
            >{/if}
        </h3>
        <ol class="ruled mt-0.5">
          {#each f.likely.slice(0, MOST) as l (l.id)}
            {@const key = `${own.groupId}|${f.defect}|${l.id}`}
            <li class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
              <span
                role="img"
                class="flex w-9 gap-1"
                title={WORDS[marks(l.strength)]}
                aria-label={WORDS[marks(l.strength)]}
              >
                {#each [1, 2, 3] as n (n)}
                  <span class="size-2.5 rounded-full {n <= marks(l.strength) ? 'bg-cinnabar' : 'bg-rule'}"
                  ></span>
                {/each}
              </span>
              <span class="min-w-[14rem] flex-1">
                <strong class="font-semibold first-letter:uppercase">{inWords(l.fact)}</strong>
                <span class="block text-ink-2">Next time: {inWords(l.change)}.</span>
              </span>
              {#if before?.key === key}
                <a class="font-semibold text-verdigris underline" href="/plans/{planId}">in the plan</a>
                <button class="button" onclick={undo}>Undo</button>
                {@render differences(before.differences)}
              {:else if l.next.kind === 'change'}
                <button
                  class="button"
                  onclick={() => change(key, { groupId: own.groupId, defect: f.defect }, l)}
                  >Change the plan</button
                >
                {@render differences(l.next.differences)}
              {:else if l.next.kind === 'made'}
                <a class="font-semibold text-verdigris underline" href="/plans/{planId}">in the plan</a>
              {:else if isKept(l)}
                <span class="font-semibold text-verdigris">kept as a lesson</span>
              {:else}
                <button class="button" onclick={() => keep(l)}>Keep as a lesson</button>
              {/if}
            </li>
          {:else}
            <li class="py-2 text-ink-2">The log points to nothing.</li>
          {/each}
        </ol>
        {#if f.unlogged.length}
          <p class="text-[0.9rem] text-ink-2">
            The log cannot tell more; next time note {f.unlogged.join('; ')}.
          </p>
        {/if}
      </section>
    {/each}
  {/each}
  {#if differed > 1}
    <p class="mt-2 border-l-4 border-ochre bg-ochre-soft px-3 py-2 text-[0.95rem]">
      Several things differed at once. Change one of them next time, the first named, and leave the rest as
      they were: then you will know.
    </p>
  {/if}
  {#if problem}<p class="text-cinnabar" role="alert">{problem}</p>{/if}
</div>
