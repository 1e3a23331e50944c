export { PlanEditor } from '$lib/plan-editor.svelte';
export { default as Workbench } from './Workbench.svelte';
