import { writeFileSync } from 'node:fs';
import sharp from 'sharp';
import { photographed, QUALITIES } from '../../src/core/photo';
import { TECHNIQUES } from '../../src/core/pour';
import { drawnPour } from './drawn-faces';

/** A pour that the library has not learnt, photographed by a window: what the way from a picture is tried with. */
export async function makePicture(): Promise<void> {
  const pour = drawnPour(
    TECHNIQUES.find((t) => t.id === 'dirty-cup')!,
    51
  )!;
  const { photo, placed } = photographed(pour, {
    quality: { ...QUALITIES.fair, corners: 0, gloss: 0.004 },
    seed: 3,
    outline: pour.outline,
    side: 460
  });
  const { width, height, rgba } = photo;
  await sharp(Uint8ClampedArray.from(rgba), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: 84, mozjpeg: true })
    .toFile('static/made-picture.jpg');
  const { corners, outline, white } = placed;
  const rounded = (spot: { x: number; y: number }) => ({
    x: Number(spot.x.toFixed(4)),
    y: Number(spot.y.toFixed(4))
  });
  writeFileSync(
    'src/lib/photo/made-picture.json',
    `${JSON.stringify({ corners: corners.map(rounded), outline, white: white && rounded(white) }, null, 2)}\n`
  );
}
