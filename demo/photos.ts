import { z } from 'zod';
import { MeasuredShares } from '../src/core/inspect';
import made from './photos.json';

/** A photo of a finished piece of the demo workshop, and what it shows of each colour: the program made it, and says so. */
const DemoPhoto = z.object({ width: z.number(), height: z.number(), shows: MeasuredShares });

/** Photos by the id of their piece; the pictures lie in a folder beside this file, by the id of the photo. */
export const DEMO_PHOTOS: Readonly<Record<string, z.infer<typeof DemoPhoto> | undefined>> = z
  .record(z.string(), DemoPhoto)
  .parse(made);
