import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { AnyEvent } from '$core/run';
import { refusal, storageStub } from '../store/client.testing';
import { RunLog } from './run-log.svelte';

let kept: Map<string, string>;
let stored: AnyEvent[];
/** Says what the server does with what is sent: keeps it, refuses it, or does not answer. */
let verdict: (events: AnyEvent[]) => number;
let sent: number[];

// Other files run in the same process.
afterEach(() => void vi.useRealTimers());

beforeEach(() => {
  vi.useFakeTimers({ now: 1_000_000 });
  kept = storageStub('localStorage');
  [stored, sent] = [[], []];
  verdict = () => 201;
  vi.stubGlobal('fetch', async (_: unknown, init: RequestInit) => {
    const events = JSON.parse(String(init.body)) as AnyEvent[];
    sent.push(events.length);
    if (sent.length > 60) throw new Error('sent without end');
    const status = verdict(events);
    if (status === 0) throw new TypeError('no network');
    if (status !== 201) return refusal(status, 'The words are wrong.');
    stored.push(...events);
    return Response.json({}, { status: 201 });
  });
});

/** What is kept here that the server has not taken. */
const ours = () => [...kept.keys()].filter((k) => !k.endsWith('.sent'));

const quiet = () => vi.advanceTimersByTimeAsync(5);
const later = () => vi.advanceTimersByTimeAsync(4000);
const note = (text: string) => ({ type: 'note', text }) as const;
const texts = (events: readonly AnyEvent[]) => events.map((e) => ('text' in e ? e.text : e.type));
const bad = (events: AnyEvent[]) => (texts(events).includes('bad') ? 422 : 201);

describe('events of a run on this device', () => {
  it('are shown at once, stored in order, and kept here no longer than until then', async () => {
    const log = new RunLog('run', []);
    log.tell(note('one'));
    log.tell(note('two'));
    expect(texts(log.events)).toEqual(['one', 'two']);
    expect(log.events[1]!.at).toBeGreaterThan(log.events[0]!.at);
    expect(ours()).toHaveLength(2);
    await quiet();
    expect(texts(stored)).toEqual(['one', 'two']);
    expect([ours().length, log.waiting.length]).toEqual([0, 0]);
  });

  it('that were sent are there again on a page that was opened from its keep, until the run is finished', async () => {
    const log = new RunLog('run', []);
    log.tell(note('sent'));
    await quiet();
    verdict = bad;
    log.tell(note('bad'));
    await quiet();
    // Opened with no network: the page knows of nothing but what it began with.
    expect(texts(new RunLog('run', []).events)).toEqual(['sent']);
    log.drop(log.aside[0]!.event.id);
    expect(texts(new RunLog('run', []).events)).toEqual(['sent']);
    log.tell({ type: 'finished' });
    await quiet();
    expect(texts(new RunLog('run', []).events)).toEqual([]);
  });

  it('that could never be stored are not told, and say why', () => {
    const log = new RunLog('run', []);
    expect(log.tell(note('  '))).toMatchObject({ sentence: expect.stringContaining('words') });
    expect(log.tell(note('x'.repeat(3000)))).toBeDefined();
    expect([log.events.length, kept.size]).toEqual([0, 0]);
  });

  it('wait while the server is away, through a reload, and are sent when it is back', async () => {
    verdict = () => 0;
    new RunLog('run', []).tell(note('kept'));
    await quiet();
    const again = new RunLog('run', []);
    expect(texts(again.events)).toEqual(['kept']);
    await quiet();
    expect(stored).toEqual([]);
    verdict = () => 201;
    await later();
    expect(texts(stored)).toContain('kept');
    expect(new Set(stored.map((e) => e.id)).size).toBe(1);
  });

  it('are kept for their own run alone', async () => {
    verdict = () => 0;
    new RunLog('run', []).tell(note('mine'));
    await quiet();
    expect(new RunLog('other', []).events).toEqual([]);
  });

  it('that are refused for good are set aside with the reason, and hold no other up', async () => {
    const log = new RunLog('run', []);
    verdict = () => 0;
    for (const text of ['before', 'bad', 'after']) log.tell(note(text));
    await quiet();
    verdict = bad;
    await later();
    expect(texts(stored)).toEqual(['before', 'after']);
    expect(log.aside).toMatchObject([{ sentence: 'The words are wrong. Mend it.', event: { text: 'bad' } }]);
    expect(texts(new RunLog('run', []).aside.map((a) => a.event))).toEqual(['bad']);
  });

  it('set aside are mended and sent, or let go', async () => {
    const log = new RunLog('run', []);
    verdict = bad;
    log.tell(note('bad'));
    await quiet();
    const { id } = log.aside[0]!.event;
    expect(log.mend(id, { text: ' ' })).toBeDefined();
    expect(log.aside).toHaveLength(1);
    expect(log.mend(id, { text: 'good' })).toBeUndefined();
    await quiet();
    expect(stored).toMatchObject([{ id, text: 'good' }]);
    expect(log.aside).toEqual([]);

    log.tell(note('bad'));
    await quiet();
    log.drop(log.aside[0]!.event.id);
    expect(texts(log.events)).toEqual(['good']);
    expect(ours()).toEqual([]);
  });

  it.each([401, 403, 429, 500, 503])('are never set aside for an answer of %i', async (status) => {
    const log = new RunLog('run', []);
    verdict = () => status;
    log.tell(note('patient'));
    await quiet();
    expect(log.aside).toEqual([]);
    expect(log.signedOut).toBe(status === 401);
    verdict = () => 201;
    await later();
    expect(texts(stored)).toEqual(['patient']);
    expect(log.signedOut).toBe(false);
  });

  it('of another tab are sent by this one when that tab is gone', async () => {
    verdict = () => 0;
    const here = new RunLog('run', []);
    new RunLog('run', []).tell(note('of the other tab'));
    await quiet();
    verdict = () => 201;
    here.onStorage([...kept.keys()][0]!);
    await quiet();
    expect(texts(stored)).toContain('of the other tab');
  });

  it.each(['{"torn', 'null', '{"id":"x"}'])('that cannot be read are shown as they are: %s', async (text) => {
    kept.set('kirapen.run.run.event.torn', text);
    kept.set('kirapen.run.run.aside.torn', text);
    kept.set('kirapen.run.other.event.torn', text);
    const log = new RunLog('run', []);
    log.tell(note('whole'));
    await quiet();
    expect(texts(stored)).toEqual(['whole']);
    expect(log.unreadable.map((u) => u.text)).toEqual([text, text]);
    log.dropUnreadable('kirapen.run.run.event.torn');
    expect(log.unreadable).toHaveLength(1);
    expect(ours()).toEqual(['kirapen.run.run.aside.torn', 'kirapen.run.other.event.torn']);
  });

  it('that arrive from elsewhere are shown once', () => {
    const log = new RunLog('run', []);
    const event = { id: 'elsewhere-1', at: 5, ...note('theirs') };
    log.take([event]);
    log.take([event]);
    expect(texts(log.events)).toEqual(['theirs']);
  });
});
