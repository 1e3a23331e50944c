import type { Base } from '$core/material';
import { CardForm } from './card-form.svelte';

/** Fields that are not figures of a data sheet. */
const WORDS = new Set(['name', 'cautions', 'source', 'colour', 'sheet', 'recipeGrams']);

/** A base card being edited: every figure the maker sets is from then on known as theirs. */
export class BaseForm extends CardForm<Base> {
  override set(path: (string | number)[], value: unknown): void {
    const field = String(path[0]);
    const known = this.card.sheet ?? [];
    if (!WORDS.has(field) && !known.includes(field)) super.set(['sheet'], [...known, field]);
    super.set(path, value);
  }
}
