import sharp from 'sharp';

const LONGEST = 1600;
/** Largest upload taken, bytes: a phone's photo and room to spare. */
export const LARGEST_UPLOAD = 25 * 1024 * 1024;

/**
 * Makes a photo fit to keep: turned upright, no larger than 1600 pixels, JPEG, and with every tag removed,
 * the place it was taken among them. Throws when the bytes are no picture.
 */
export async function keepable(bytes: Uint8Array): Promise<{ bytes: Buffer; width: number; height: number }> {
  const { data, info } = await sharp(bytes, { limitInputPixels: 100_000_000 })
    .rotate()
    .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 84, mozjpeg: true })
    .toBuffer({ resolveWithObject: true });
  return { bytes: data, width: info.width, height: info.height };
}
