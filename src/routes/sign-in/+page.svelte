<script lang="ts">
  import { enhance } from '$app/forms';

  let { form } = $props();
</script>

<svelte:head><title>Sign in · Kirapen</title></svelte:head>

<main class="grid min-h-screen place-items-center p-6">
  <form class="w-[min(26rem,100%)]" method="POST" use:enhance>
    <img src="/mark.svg" alt="" class="h-12 w-12" />
    <h1 class="mt-3 text-[1.9rem]">Kirapen</h1>
    <label class="mt-4 block">
      <span class="label">The workshop’s passphrase</span>
      <input
        class="field mt-1 !min-h-[56px] text-[1.15rem]"
        type="password"
        name="passphrase"
        autocomplete="current-password"
        required
        aria-invalid={form?.sentence ? 'true' : undefined}
        aria-describedby={form?.sentence ? 'why' : undefined}
      />
    </label>
    {#if form?.sentence}<p id="why" class="mt-2 text-cinnabar" role="alert">{form.sentence}</p>{/if}
    <button class="button go mt-4 min-h-[56px] w-full text-[1.1rem]">Sign in</button>
    <p class="mt-3 text-[0.9rem] text-ink-2">
      It is set on the machine that runs the workshop: <code>npm run passphrase</code>.
    </p>
  </form>
</main>
