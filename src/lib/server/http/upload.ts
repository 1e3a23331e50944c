import { keepable, LARGEST_UPLOAD } from './photo';
import { problem } from './body';
import { refuse } from './respond';

/** Takes a photo from a request (the body itself, or a form's `photo`) and makes it fit to keep, or says why not. */
export async function sentPhoto(
  request: Request
): Promise<{ kept: Awaited<ReturnType<typeof keepable>> } | { refused: Response }> {
  const form = request.headers.get('content-type')?.startsWith('multipart/');
  const sent = form ? (await request.formData()).get('photo') : await request.blob();
  if (!(sent instanceof Blob) || !sent.size || sent.size > LARGEST_UPLOAD)
    return {
      refused: refuse([
        problem('photo-size', 'No photo came, or it is over 25 MB.', 'Choose one photo of 25 MB or less.')
      ])
    };
  try {
    return { kept: await keepable(new Uint8Array(await sent.arrayBuffer())) };
  } catch {
    return {
      refused: refuse([
        problem(
          'photo-unreadable',
          'This file is not a picture Kirapen can read.',
          'Use a JPEG, PNG or WebP.'
        )
      ])
    };
  }
}
