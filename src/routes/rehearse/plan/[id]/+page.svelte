<script lang="ts">
  import RehearsalScreen from '$lib/ui/run/RehearsalScreen.svelte';

  let { data } = $props();
</script>

<svelte:head><title>{data.name}: rehearsal · Kirapen</title></svelte:head>
<RehearsalScreen frozen={data.frozen} name={data.name} back="/plans/{data.planId}" />
