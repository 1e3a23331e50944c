import type { ActDefinition, AnyDefinition, KnownAct, Trait } from './act';

const NEEDED = ['kind', 'group', 'schema', 'fresh', 'cups', 'changed', 'apply', 'hands', 'words'] as const;

type ReadAct = ReturnType<AnyDefinition['schema']['safeParse']>;

/** Acts by their kind. Refuses a definition that lacks something, and a kind that is taken. */
export class ActRegistry {
  readonly #acts = new Map<string, AnyDefinition>();
  readonly #read = new WeakMap<object, { definition: AnyDefinition; read: ReadAct }>();

  /** Adds an act. Throws on an incomplete definition: a fault of the program, not of a plan. */
  add<A extends { kind: string }>(definition: ActDefinition<A>): this {
    const lacking = NEEDED.filter((key) => definition[key] === undefined);
    if (lacking.length) throw new Error(`The act “${definition.kind}” lacks ${lacking.join(', ')}.`);
    if (this.#acts.has(definition.kind)) throw new Error(`The act “${definition.kind}” is there already.`);
    this.#acts.set(definition.kind, definition as unknown as AnyDefinition);
    return this;
  }

  /** Takes an act out again: for tests that bring their own. */
  remove(kind: string): void {
    this.#acts.delete(kind);
  }

  find(kind: string): AnyDefinition | undefined {
    return this.#acts.get(kind);
  }

  /** An act with the definition that reads it; nothing where nobody knows it, or where it is ill formed. */
  read(act: { kind: string }): KnownAct | undefined {
    const definition = this.#acts.get(act.kind);
    const read = definition && this.readBy(definition, act);
    return definition && read?.success ? { definition, act: read.data as { kind: string } } : undefined;
  }

  /** What an act in a plan brings or does, by its own definition; nothing where nobody knows it. */
  traits(act: { kind: string }): readonly Trait[] {
    const known = this.read(act);
    return known?.definition.traits?.(known.act) ?? [];
  }

  /** What a definition makes of an act, read once: an act in a plan is never changed, only replaced. */
  readBy(definition: AnyDefinition, act: { kind: string }): ReadAct {
    const before = this.#read.get(act);
    if (before?.definition === definition) return before.read;
    const read = definition.schema.safeParse(act);
    this.#read.set(act, { definition, read });
    return read;
  }

  all(): AnyDefinition[] {
    return [...this.#acts.values()];
  }
}
