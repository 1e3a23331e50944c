import type { Picture, ShownBar } from '$core/piece';

/** A picture as a page gets it from a worker: its pixels are handed over, not copied, and stay until they are closed. */
export type ShownPicture = Omit<Picture, 'rgba'> & { pixels: ImageBitmap };
/** A bar of a cut casting as a page gets it. */
export type BarOnPage = Omit<ShownBar, 'picture' | 'other'> & Record<'picture' | 'other', ShownPicture>;

/** A picture ready to be handed over by a worker, with its pixels to be transferred. */
export function handedOver({ rgba, ...picture }: Picture): ShownPicture {
  const { width, height } = picture;
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.putImageData(new ImageData(rgba, width, height), 0, 0);
  return { ...picture, pixels: canvas.transferToImageBitmap() };
}

/** Puts a picture on a canvas, one pixel for one. */
export function paintOn(canvas: HTMLCanvasElement, { pixels, width, height }: ShownPicture): void {
  // To set a size, even the same one, is to make the canvas anew.
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  const context = canvas.getContext('2d');
  if (!context) return;
  context.globalCompositeOperation = 'copy';
  context.drawImage(pixels, 0, 0);
}
