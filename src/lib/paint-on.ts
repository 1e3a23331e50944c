import type { Picture } from '$core/plan';

/** Puts a picture on a canvas, one pixel for one. */
export function paintOn(canvas: HTMLCanvasElement, { rgba, width, height }: Picture): void {
  // To set a size, even the same one, is to make the canvas anew.
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(rgba, width, height), 0, 0);
}
