<!-- A photo from a file, a camera or the clipboard. -->
<script lang="ts">
  import type { Photo } from '$core/photo';
  import { readPhoto } from '../../photo/read-photo';

  let { label, onphoto }: { label: string; onphoto: (photo: Photo, file: Blob) => void } = $props();
  let problem = $state('');

  async function take(file: Blob | null | undefined) {
    if (!file) return;
    problem = '';
    try {
      onphoto(await readPhoto(file), file);
    } catch {
      problem = 'This file is no picture that can be read. Choose a JPEG, PNG or WebP.';
    }
  }
  const pasted = (event: ClipboardEvent) =>
    take([...(event.clipboardData?.files ?? [])].find((f) => f.type.startsWith('image/')));
</script>

<svelte:window onpaste={pasted} />
<label class="button cursor-pointer focus-within:outline-2">
  {label}
  <input
    class="sr-only"
    type="file"
    accept="image/*"
    aria-label={label}
    onchange={(e) => {
      void take(e.currentTarget.files?.[0]);
      e.currentTarget.value = '';
    }}
  />
</label>
{#if problem}<p class="mt-2 text-cinnabar" role="alert">{problem}</p>{/if}
