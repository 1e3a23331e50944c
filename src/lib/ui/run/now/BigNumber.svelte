<!-- The one number of the moment, and what it is of. -->
<script lang="ts">
  let { value, words }: { value: string; words: string } = $props();
</script>

<div class="mt-4 flex flex-wrap items-baseline gap-x-5">
  <span class="text-[9.5rem] leading-[0.95] font-bold tracking-tight max-md:text-[6rem]" data-testid="number"
    >{value}</span
  >
  <span class="text-[2rem] font-medium text-ink-2">{words}</span>
</div>
