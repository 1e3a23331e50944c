import { z } from 'zod';
import { meltedCard } from '../../melted';

export const PlastisolCard = z.object({ kind: z.literal('plastisol'), ...meltedCard });
export type PlastisolCard = z.infer<typeof PlastisolCard>;
