import { byteOfLight } from '$core/colour';
import type { Photo, Upright } from '$core/photo';

/** The longer side a photo is looked at with, pixels: three to each that is measured. */
const LONGEST = 900;

/** The pixels of a picture file, turned upright, no larger than is measured. Fails where the file is no picture. */
export async function readPhoto(file: Blob): Promise<Photo> {
  const image = await createImageBitmap(file);
  const scale = Math.min(1, LONGEST / Math.max(image.width, image.height));
  const [width, height] = [image.width, image.height].map((v) => Math.max(1, Math.round(v * scale))) as [
    number,
    number
  ];
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas');
  context.drawImage(image, 0, 0, width, height);
  image.close();
  return { width, height, rgba: context.getImageData(0, 0, width, height).data };
}

/** A photo drawn on a canvas of its own size. */
export function paintPhoto(canvas: HTMLCanvasElement, { width, height, rgba }: Photo): void {
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(Uint8ClampedArray.from(rgba), width, height), 0, 0);
}

/** A face as flat areas of colours, what is not measured left clear. */
export function paintAreas(
  canvas: HTMLCanvasElement,
  { width, height, labels }: { width: number; height: number; labels: Int8Array },
  colours: readonly string[]
): void {
  const rgba = new Uint8ClampedArray(4 * width * height);
  const bytes = colours.map((hex) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)));
  labels.forEach((label, p) => {
    const own = bytes[label];
    if (own) rgba.set([...own, 255], 4 * p);
  });
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(rgba, width, height), 0, 0);
}

/** A piece seen straight on, as a screen shows it. */
export function paintUpright(canvas: HTMLCanvasElement, { width, height, linear }: Upright): void {
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let p = 0; p < width * height; p++)
    for (let k = 0; k < 3; k++) rgba[4 * p + k] = byteOfLight(linear[3 * p + k]!);
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(rgba, width, height), 0, 0);
}
