<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Kirapen</title></svelte:head>

<div class="grid min-h-screen place-items-center p-8">
  <div class="max-w-md">
    <h1 class="text-[2rem]">{page.status === 404 ? 'It is not here' : 'Something broke'}</h1>
    <p class="mt-2 text-[1.1rem]">{page.error?.message}</p>
    <p class="mt-1 text-ink-2">{page.error?.mend ?? 'Go back to the bench; nothing was lost.'}</p>
    <a class="button go mt-5" href="/">To the bench</a>
  </div>
</div>
