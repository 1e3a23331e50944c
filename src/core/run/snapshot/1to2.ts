/** What version 2 of a frozen run calls otherwise than version 1 did: alike cavities had another name. */
const RENAMED = { before: 'strandId', now: 'cavitySetId' } as const;

type Loose = Record<string, unknown>;
const isLoose = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x);

function renamed(x: unknown): unknown {
  if (!isLoose(x) || !(RENAMED.before in x)) return x;
  const { [RENAMED.before]: value, ...rest } = x;
  return { ...rest, [RENAMED.now]: value };
}

const each = (list: unknown): unknown => (Array.isArray(list) ? list.map(renamed) : list);

/** Tasks as version 1 froze them, in the words of version 2. */
export const tasksAsNow = (tasks: unknown): unknown => each(tasks);

/** A frozen run of version 1 as version 2; anything else as it is. Pure; what is ill formed is left for the schema to say. */
export function snapshotFrom1to2(raw: unknown): unknown {
  if (!isLoose(raw) || raw.version !== 1) return raw;
  const { computed } = raw;
  return {
    ...raw,
    version: 2,
    tasks: each(raw.tasks),
    computed: isLoose(computed) ? { ...computed, groups: each(computed.groups) } : computed
  };
}
