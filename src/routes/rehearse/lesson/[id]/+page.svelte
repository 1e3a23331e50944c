<script lang="ts">
  import RehearsalScreen from '$lib/ui/run/RehearsalScreen.svelte';

  let { data } = $props();
</script>

<svelte:head><title>{data.lesson.title} · Kirapen</title></svelte:head>
<RehearsalScreen
  frozen={data.frozen}
  name={data.lesson.title}
  aim={data.lesson.aim}
  set={data.lesson.mishaps}
  back="/practise"
/>
