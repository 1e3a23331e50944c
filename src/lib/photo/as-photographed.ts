import type { Photo, Placed } from '$core/photo';
import type { CupsOnFace } from '$core/piece';

/** A drawn face as a photo of it alone, seen straight on in even light. */
export function asPhotographed({ width, height, labels, cups }: CupsOnFace): {
  photo: Photo;
  placed: Placed;
} {
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  const bytes = cups.map(({ hex }) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)));
  labels.forEach((label, p) => {
    if (label >= 0) rgba.set(bytes[label]!, 4 * p);
  });
  return {
    photo: { width, height, rgba },
    placed: {
      corners: [
        { x: 0, y: 0 },
        { x: 1, y: 0 },
        { x: 1, y: 1 },
        { x: 0, y: 1 }
      ],
      outline: 'square',
      white: undefined,
      aspect: width / height
    }
  };
}
