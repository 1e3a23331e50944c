import type { Component } from 'svelte';
import type { Base } from '$core/material';
import type { CardForm } from '../../store/card-form.svelte';
import ConcreteParts from './ConcreteParts.svelte';
import PlastisolParts from './PlastisolParts.svelte';
import ResinParts from './ResinParts.svelte';
import RubberParts from './RubberParts.svelte';
import SoapParts from './SoapParts.svelte';

/** A kind's own part is shown its own kind's cards alone: where it stands below says which. */
const own = (part: unknown) => part as Component<{ form: CardForm<Base>; card: Base }>;

/** What only some materials' cards have, by kind: a material without a line here shows the figures its definition names. */
export const PARTS: Record<string, Component<{ form: CardForm<Base>; card: Base }>> = {
  resin: own(ResinParts),
  concrete: own(ConcreteParts),
  soap: own(SoapParts),
  plastisol: own(PlastisolParts),
  rubber: own(RubberParts)
};
