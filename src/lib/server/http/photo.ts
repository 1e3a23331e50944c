import sharp from 'sharp';

const LONGEST = 1600;
/** More pixels than any camera here makes; a small file may claim far more than memory holds. */
const MOST_PIXELS = 100_000_000;
/** What a camera or phone writes. Drawings (SVG) run code and fetch; documents are no photos. */
const TAKEN = new Set(['jpeg', 'png', 'webp', 'avif', 'heif', 'tiff', 'gif']);
/** Work on one photo is given up after this, s: a phone's photo takes well under one. */
const LONGEST_WORK = 20;
/** Largest upload taken, bytes: a phone's photo and room to spare. */
export const LARGEST_UPLOAD = 25 * 1024 * 1024;

/**
 * Makes a photo fit to keep: turned upright, no larger than 1600 pixels, JPEG, and with every tag removed,
 * the place it was taken among them. Throws when the bytes are no picture.
 */
export async function keepable(bytes: Uint8Array): Promise<{ bytes: Buffer; width: number; height: number }> {
  const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  const { format } = await picture.metadata();
  if (!TAKEN.has(format)) throw new Error(`${format} is no photo`);
  const { data, info } = await picture
    .rotate()
    .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 84, mozjpeg: true })
    .timeout({ seconds: LONGEST_WORK })
    .toBuffer({ resolveWithObject: true });
  return { bytes: data, width: info.width, height: info.height };
}
