import { materials, type Base } from '../../material';

/** Generic bases of every material. Each card says where its figures come from. */
export const startingBases: Base[] = materials.all().flatMap((m) => m.starting as readonly Base[]);
