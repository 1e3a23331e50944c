import type { Component } from 'svelte';
import type { Step } from '$core/document';
import { acts, type Act } from '$core/pour';
import type { PlanView } from '../../plan/plan-view.svelte';
import ActEditor from './ActEditor.svelte';
import LayEditor from './LayEditor.svelte';
import WaitEditor from './WaitEditor.svelte';

/** What an act's line in the pour is given: the step, and its number as it is read. */
export interface ActEditorProps {
  editor: PlanView;
  step: Step;
  n: number;
}

/** Acts with a line of their own; every other one is edited by the form that its fields make. */
const OWN_EDITORS: Partial<Record<Act['kind'], Component<ActEditorProps>>> = {
  lay: LayEditor,
  wait: WaitEditor
};

/** The editor of an act, or undefined for one that this program cannot edit. */
export function editorOf(kind: string): Component<ActEditorProps> | undefined {
  if (Object.hasOwn(OWN_EDITORS, kind)) return OWN_EDITORS[kind as Act['kind']];
  return acts.find(kind)?.fields ? ActEditor : undefined;
}
