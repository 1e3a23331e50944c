import type { CommonCard } from './card';
import { defineMaterial } from './define';
import type { MaterialDefinition } from './definition';
import { KINDS } from './kinds';
import type { MaterialTrait } from './traits';

/** Any material's definition, its own type of card forgotten. */
export type AnyMaterial = MaterialDefinition;

/** Materials by their kind. Refuses a definition that lacks something, and a kind that is taken. */
class MaterialRegistry {
  readonly #materials = new Map<string, AnyMaterial>();

  /** Adds a material. Throws on an incomplete definition: a fault of the program, not of a card. */
  add<C extends CommonCard>(definition: MaterialDefinition<C>): this {
    defineMaterial(definition);
    if (this.#materials.has(definition.kind))
      throw new Error(`The material “${definition.kind}” is there already.`);
    this.#materials.set(definition.kind, definition as unknown as AnyMaterial);
    return this;
  }

  /** Takes a material out again: for tests that bring their own. */
  remove(kind: string): void {
    this.#materials.delete(kind);
  }

  /** The material of a kind, or nothing where nobody knows it. */
  find(kind: string | undefined): AnyMaterial | undefined {
    return kind === undefined ? undefined : this.#materials.get(kind);
  }

  /** The material of a card, which its schema has read. Throws where there is none. */
  of({ kind }: { kind: string }): AnyMaterial {
    const found = this.#materials.get(kind);
    if (!found) throw new Error(`No material is called “${kind}”.`);
    return found;
  }

  /** Whether something holds of a material; false where nobody knows it. */
  has(kind: string | undefined, trait: MaterialTrait): boolean {
    return this.find(kind)?.traits.includes(trait) ?? false;
  }

  all(): AnyMaterial[] {
    return [...this.#materials.values()];
  }
}

/** Every material. */
export const materials = KINDS.reduce(
  (registry, kind) => registry.add(kind as unknown as AnyMaterial),
  new MaterialRegistry()
);
