<!-- The guide: a short page for each stage of the job. -->
<script lang="ts">
  let { data } = $props();
</script>

<svelte:head><title>{data.title}: guide · Kirapen</title></svelte:head>

<div class="mx-auto flex max-w-[1100px] gap-10 px-7 py-7 max-md:flex-col">
  <nav class="w-52 shrink-0" aria-label="Guide">
    <p class="label">Guide</p>
    <ol class="mt-2">
      {#each data.pages as page (page.slug)}
        <li>
          <a
            class="flex min-h-11 items-center border-l-2 border-rule pl-3 hover:border-ink aria-[current]:border-verdigris aria-[current]:font-bold"
            href="/guide/{page.slug}"
            aria-current={page.slug === data.slug ? 'page' : undefined}>{page.title}</a
          >
        </li>
      {/each}
    </ol>
  </nav>
  <article class="guide min-w-0 flex-1 text-[1.08rem] leading-relaxed">
    <!-- The text is this application’s own, made into HTML as the page is built. -->
    <!-- eslint-disable-next-line svelte/no-at-html-tags -->
    {@html data.html}
    {#if data.next}<p><a href="/guide/{data.next}">Next page →</a></p>{/if}
  </article>
</div>

<style>
  .guide :global(h1) {
    font-size: 1.9rem;
    margin-bottom: 0.6rem;
  }
  .guide :global(p),
  .guide :global(ul),
  .guide :global(ol) {
    margin-block: 0.7rem;
    max-width: 44rem;
  }
  .guide :global(li) {
    margin-block: 0.35rem;
    padding-left: 0.2rem;
  }
  .guide :global(ul) {
    list-style: disc;
    padding-left: 1.3rem;
  }
  .guide :global(ol) {
    list-style: decimal;
    padding-left: 1.5rem;
  }
  .guide :global(a) {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .guide :global(img) {
    margin-top: 1rem;
    width: 100%;
    border: 1px solid var(--rule-strong);
    border-radius: 10px;
  }
  .guide :global(code) {
    background: var(--sunk);
    padding: 0.05rem 0.3rem;
    border-radius: 4px;
  }
</style>
