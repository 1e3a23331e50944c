export { PlanEditor } from '../../plan/plan-editor.svelte';
export { default as Workbench } from './Workbench.svelte';
