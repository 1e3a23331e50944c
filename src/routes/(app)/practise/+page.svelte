<!-- Three lessons for every material, and a rehearsal of any plan. -->
<script lang="ts">
  import { materials } from '$core/material';
  import { practiceLessons } from '$core/rehearse';

  let { data } = $props();
  const all = practiceLessons();
  const kinds = [...new Set(all.map((l) => l.kind))];
</script>

<svelte:head><title>Practise · Kirapen</title></svelte:head>

<div class="page">
  <h1 class="text-[1.9rem]">Practise</h1>
  <p class="mt-1 text-[1.05rem] text-ink-2">
    The run’s own screen with a clock you can hurry and nothing on the bench. A plan of your own is rehearsed
    from its workbench.
    {#if data.first}<a class="underline" href="/plans/tideline-knobs?tour">Tour of the first piece</a>, on the
      real screens.{/if}
  </p>
  <div class="mt-5 grid gap-x-10 gap-y-6 lg:grid-cols-2">
    {#each kinds as kind (kind)}
      <section>
        <h2 class="text-[1.35rem] first-letter:uppercase">{materials.of({ kind }).heading}</h2>
        <ol class="ruled mt-1">
          {#each all.filter((l) => l.kind === kind) as lesson (lesson.id)}
            <li>
              <a
                class="flex min-h-[64px] items-center gap-3 py-2 hover:bg-sunk"
                href="/rehearse/lesson/{lesson.id}"
              >
                <strong class="w-6 text-[1.3rem]">{lesson.nth}</strong>
                <span class="flex-1">
                  <span class="font-semibold">{lesson.title}</span>
                  <span class="block text-[0.95rem] text-ink-2">{lesson.aim}</span>
                </span>
              </a>
            </li>
          {/each}
        </ol>
      </section>
    {/each}
  </div>
</div>
