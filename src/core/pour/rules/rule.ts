import type { AnyMaterial } from '../../material';
import type { SolidEmbed } from '../../mould';
import type { Gate, Plan, Step } from '../../document';
import { type About, inPlan, type Diagnostic, type Fix } from '../../problem';
import type { AnyDefinition, Trait } from '../act';
import type { Place } from '../place';

/** One step as it is done in the cavities that a rule looks at. */
export interface Done {
  step: Step;
  definition: AnyDefinition;
  act: { kind: string };
  traits: readonly Trait[];
  /** Minutes from the start of the plan at which it begins and ends; unknown where the score does not place it. */
  from?: number;
  to?: number;
  /** When the cup it draws from was coloured, minutes. */
  coloured?: number;
  /** When that cup no longer pours, minutes. */
  closes?: number;
  /** How high the cavity stands before it, mm, and what it brings into one cavity, ml. */
  level: number;
  ml: number;
}

/** What rules ask of a cup. */
export interface CupFacts {
  name: string;
  /** g/ml. */
  density: number;
  /** As its colour looks deep, 0..1. */
  lightness: number;
  /** Whether alcohol is in it, and whether something heavy that settles is. */
  alcohol: boolean;
  /** Whether it is coloured with ink, which goes on spreading into what is poured onto it. */
  ink: boolean;
  heavy: string | undefined;
}

/** Cavities that are done alike with everything that is done in them, for rules to look at. */
export interface Sequence {
  plan: Plan;
  name: string;
  groupId: string;
  steps: readonly Done[];
  /** What is cast; undefined while no base is chosen. */
  material: AnyMaterial | undefined;
  finish: 'gloss' | 'satin' | 'matte';
  /** Of the cavity, mm. */
  depth: number;
  /** Of one cavity, ml, and half its rim's extent, mm: to the right, and away. */
  capacity: number;
  half: { width: number; length: number };
  /** Its bottom, mm², and whether a place is over it. */
  floor: number;
  within(at: Place): boolean;
  embeds: readonly SolidEmbed[];
  /** The state that keeps the next layer apart, and the one before it, which carries a weight. */
  apart: string;
  carries: string;
  /** When what a step pours keeps the next layer apart, minutes from the start; never where nothing is known of it. */
  gelsBy(poured: Done): number;
  /** A gate id that nothing in the plan has. */
  freshId: string;
  cup(id: string): CupFacts;
  /** When the pieces leave their mould and when they are cured through, minutes; where the score says. */
  demould?: { from: number; to: number; cured?: number };
}

/** One thing that must not be done so. */
export type Rule = (s: Sequence) => Diagnostic[];

/** A field of a step's act by its key. */
export const fieldOf = <T>(d: Done, key: string): T | undefined =>
  (d.act as Record<string, unknown>)[key] as T | undefined;

/** A step, or a field of its act, as what a problem is about. */
export const aboutStep = (d: Done, ...keys: string[]): About => inPlan('steps', d.step.id, ...keys);

/** The whole step at another place of the plan: before (or after) another step. */
export function moved(plan: Plan, stepId: string, other: string, where: 'before' | 'after'): Fix['edit'] {
  const step = plan.steps.find((s) => s.id === stepId)!;
  const rest = plan.steps.filter((s) => s.id !== stepId);
  const at = rest.findIndex((s) => s.id === other) + (where === 'after' ? 1 : 0);
  return { path: ['steps'], value: rest.toSpliced(at, 0, step) };
}

/** A gate more before a step: the condition joins the step's first gate, or makes one. */
export function gated(s: Sequence, d: Done, condition: Gate['all'][number]): Fix['edit'] {
  const [first] = d.step.gates;
  const gate: Gate = first
    ? { ...first, all: [...first.all, condition] }
    : { id: s.freshId, all: [condition] };
  return { path: ['steps', d.step.id, 'gates', gate.id], value: gate };
}

/** Whether a step waits for one of these states of the layer below it. */
export const waitsFor = (d: Done, states: readonly string[]): boolean =>
  d.step.gates.some((g) =>
    g.all.some((c) => c.kind === 'state' && c.of === 'layer below' && states.includes(c.state))
  );
