import type { Step } from '$core/document';
import { acts, pathCopies, type Path, type Place } from '$core/pour';

/** A place, or a way over the cavity, to point out on a face. */
export interface Mark {
  points: readonly Place[];
  closed?: boolean | undefined;
}

/** The places and ways of one step, copies round the middle included; none for an act without. */
export function marksOf(step: Step | undefined, aspect: number): Mark[] {
  const known = step && acts.read(step.act);
  const fields = Object.entries(known?.definition.fields ?? {});
  return fields.flatMap(([key, { asked }]): Mark[] => {
    const value = (known!.act as Record<string, unknown>)[key];
    if (asked.is === 'place') return [{ points: [value as Place] }];
    if (asked.is !== 'path') return [];
    const path = value as Path;
    return pathCopies(path, aspect).map((points) => ({ points, closed: path.closed }));
  });
}
