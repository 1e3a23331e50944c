import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { keepable } from './photo';

describe('a photo to keep', () => {
  it('is resized, upright, and has lost its tags', async () => {
    const taken = await sharp({
      create: { width: 3000, height: 1500, channels: 3, background: '#557799' }
    })
      .withExif({ IFD0: { Copyright: 'T.' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer();
    expect((await sharp(taken).metadata()).exif).toBeDefined();
    const kept = await keepable(taken);
    expect([kept.width, kept.height]).toEqual([1600, 800]);
    const after = await sharp(kept.bytes).metadata();
    expect(after.exif).toBeUndefined();
    expect(after.format).toBe('jpeg');
  });

  it('is refused when it is no picture', async () => {
    await expect(keepable(Buffer.from('not a picture'))).rejects.toThrow();
  });
});
