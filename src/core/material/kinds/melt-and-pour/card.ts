import { z } from 'zod';
import { meltedCard } from '../../melted';

export const MeltAndPourCard = z.object({ kind: z.literal('melt and pour'), ...meltedCard });
export type MeltAndPourCard = z.infer<typeof MeltAndPourCard>;
