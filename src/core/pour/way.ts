import { acts } from './acts';
import { movedTo, type Path, type Place } from './place';

/** The field of an act that says where it is done, and what it is once a place of it is set. */
export interface Way {
  key: string;
  to(place: Place): Place | Path;
}

/** Where an act is done, as one can point it out: a place, or the nearest place of its path; nothing for an act done all over. */
export function wayOf(act: { kind: string }): Way | undefined {
  const known = acts.read(act);
  const [key, field] =
    Object.entries(known?.definition.fields ?? {}).find(([, f]) => ['place', 'path'].includes(f.asked.is)) ??
    [];
  if (!key || !field) return undefined;
  if (field.asked.is === 'place') return { key, to: (place) => place };
  return { key, to: (place) => movedTo((known!.act as unknown as Record<string, Path>)[key]!, place) };
}
