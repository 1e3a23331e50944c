<!-- The photos of a piece, each of which a new pour can be asked by. -->
<script lang="ts">
  let { photos, number }: { photos: readonly string[]; number: number } = $props();
</script>

{#if photos.length}
  <ul class="flex flex-wrap gap-2">
    {#each photos as photo (photo)}
      <li>
        <img
          class="h-[200px] rounded-md border border-rule"
          src="/api/v1/photos/{photo}"
          alt="piece {number}"
        />
        <a class="text-[0.85rem] underline" href="/plans/from-picture?photo={photo}">ask for this again</a>
      </li>
    {/each}
  </ul>
{/if}
