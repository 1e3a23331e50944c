import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { refusal } from '../store/client.testing';
import { PhotoQueue } from './photo-queue.svelte';

let status: number;
let asked: string[];
let kept: { id: string; stage: string }[];

// Other files run in the same process.
afterEach(() => void vi.useRealTimers());

beforeEach(() => {
  vi.useFakeTimers({ now: 1_000_000 });
  [status, asked, kept] = [201, [], []];
  vi.stubGlobal('fetch', async (address: string) => {
    asked.push(new URL(address, 'http://bench.example').searchParams.get('id')!);
    if (status === 0) throw new TypeError('no network');
    return status === 201 ? Response.json({}, { status }) : refusal(status, 'It is no picture.');
  });
});

const photo = () => new Blob(['a picture'], { type: 'image/jpeg' });
const later = () => vi.advanceTimersByTimeAsync(4100);
const queue = async () => {
  const made = new PhotoQueue('run', (p) => kept.push(p));
  await made.open();
  return made;
};

describe('photos on their way', () => {
  it('are told once the server has them, in the order they were taken', async () => {
    const photos = await queue();
    await photos.add(photo(), 'layer 1 as poured');
    await photos.add(photo(), 'layer 2 as poured');
    await later();
    expect(kept.map((p) => p.stage)).toEqual(['layer 1 as poured', 'layer 2 as poured']);
    expect(kept.map((p) => p.id)).toEqual(asked);
    expect(photos.waiting).toEqual([]);
  });

  it.each([0, 401, 503])('wait while it answers %i, and go by the same name again', async (answer) => {
    status = answer;
    const photos = await queue();
    await photos.add(photo(), 'as poured');
    await later();
    await later();
    expect(kept).toEqual([]);
    expect(photos.waiting).toHaveLength(1);
    expect(asked.length).toBeGreaterThan(1);
    status = 201;
    await later();
    expect(new Set(asked).size).toBe(1);
    expect(kept).toEqual([{ id: asked[0], stage: 'as poured' }]);
    expect(photos.waiting).toEqual([]);
  });

  it('that are refused for good say why, and hold nothing up', async () => {
    status = 422;
    const photos = await queue();
    await photos.add(photo(), 'no picture');
    await later();
    expect(photos.problem).toBe('It is no picture. Mend it.');
    expect([kept, photos.waiting]).toEqual([[], []]);
    status = 201;
    await photos.add(photo(), 'a picture');
    await later();
    expect(photos.problem).toBe('');
    expect(kept.map((p) => p.stage)).toEqual(['a picture']);
  });

  it('are left alone once the page is closed', async () => {
    status = 0;
    const photos = await queue();
    await photos.add(photo(), 'as poured');
    await vi.advanceTimersByTimeAsync(10);
    photos.close();
    const before = asked.length;
    await later();
    expect(asked).toHaveLength(before);
  });
});
