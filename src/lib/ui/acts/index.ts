import type { Component } from 'svelte';
import type { Step } from '$core/plan';
import type { Act } from '$core/pour';
import type { PlanEditor } from '$lib/plan-editor.svelte';
import LayEditor from './LayEditor.svelte';
import WaitEditor from './WaitEditor.svelte';

/** What an act's line in the pour is given: the step, and its number as it is read. */
export interface ActEditorProps {
  editor: PlanEditor;
  step: Step;
  n: number;
}

/** One editor for every act that ships with the program; TypeScript refuses a missing one. */
const ACT_EDITORS: Record<Act['kind'], Component<ActEditorProps>> = {
  lay: LayEditor,
  wait: WaitEditor
};

/** The editor of an act, or undefined for one that this program cannot edit. */
export const editorOf = (kind: string): Component<ActEditorProps> | undefined =>
  Object.hasOwn(ACT_EDITORS, kind) ? ACT_EDITORS[kind as Act['kind']] : undefined;
