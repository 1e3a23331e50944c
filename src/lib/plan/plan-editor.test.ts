import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cards } from '$demo/cards';
import { tideline } from '$demo/plans';
import { refusal, storageStub } from '../store/client.testing';
import { PlanEditor } from './plan-editor.svelte';

let session: Map<string, string>;

// Other files run in the same process.
afterEach(() => void vi.useRealTimers());

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'performance'] });
  storageStub('localStorage');
  session = storageStub('sessionStorage');
  let revision = 1;
  vi.stubGlobal('fetch', async (_: unknown, init: RequestInit) =>
    init.method === 'PUT'
      ? new Response(String(init.body), { headers: { etag: `"${++revision}"` } })
      : refusal(404)
  );
});

const open = (plan = tideline) => new PlanEditor({ plan, revision: 1, shelf: cards });
const rename = (editor: PlanEditor, name: string) =>
  editor.edit({ path: ['cups', 'mudflat', 'name'], value: name });
const nameOf = (editor: PlanEditor) => editor.plan.cups[0]!.name;
const pause = () => vi.advanceTimersByTime(2000);

describe('a plan on the workbench', () => {
  it('takes changes back and makes them again', () => {
    const editor = open();
    rename(editor, 'silt');
    pause();
    editor.edit({ path: ['bench', 'roomCelsius'], value: 25 });
    editor.undo();
    expect([nameOf(editor), editor.plan.bench.roomCelsius]).toEqual(['silt', 21]);
    editor.undo();
    expect(nameOf(editor)).toBe('mudflat');
    expect(editor.canUndo).toBe(false);
    editor.redo();
    editor.redo();
    expect([nameOf(editor), editor.plan.bench.roomCelsius]).toEqual(['silt', 25]);
    expect(editor.canRedo).toBe(false);
  });

  it('takes a change of a plan seen a moment ago, and keeps what has come since', () => {
    const editor = open();
    const seen = editor.plan;
    rename(editor, 'silt');
    editor.edits([{ path: ['bench', 'roomCelsius'], value: 25 }], seen);
    editor.replace({ ...seen, cups: seen.cups.slice(0, -1) }, seen);
    expect([nameOf(editor), editor.plan.bench.roomCelsius, editor.plan.cups.length]).toEqual([
      'silt',
      25,
      seen.cups.length - 1
    ]);
    editor.undo();
    expect([nameOf(editor), editor.plan.cups.length]).toEqual(['silt', seen.cups.length]);
  });

  it('takes typing in one field back at once, and a pause parts it', () => {
    const editor = open();
    for (const name of ['s', 'si', 'silt']) rename(editor, name);
    pause();
    rename(editor, 'ooze');
    editor.undo();
    expect(nameOf(editor)).toBe('silt');
    editor.undo();
    expect(nameOf(editor)).toBe('mudflat');
  });

  it('says its problems at once, and offers mends for the plan as it stands once they are proved', async () => {
    const editor = open();
    const offered = () => editor.problems.filter((p) => p.edit).length;
    const codes = () => editor.problems.map((p) => p.code);
    const at = codes();
    expect(at).toContain('mix-too-small');
    expect(offered()).toBe(0);
    await editor.prove();
    expect(codes()).toEqual(at);
    expect(offered()).toBeGreaterThan(0);
    // A mend of the plan before is none of this one.
    rename(editor, 'silt');
    expect(offered()).toBe(0);
    await editor.prove();
    expect(offered()).toBeGreaterThan(0);
    // What was asked of a plan that has changed since is let go.
    const overtaken = editor.prove();
    rename(editor, 'mud');
    await overtaken;
    expect(offered()).toBe(0);
    await editor.prove();
    const mend = editor.problems.find((p) => p.code === 'mix-too-small')!;
    editor.edit(mend.edit!);
    expect(codes()).not.toContain('mix-too-small');
  });

  it('lets go of what was undone once something else is done', () => {
    const editor = open();
    rename(editor, 'silt');
    editor.undo();
    editor.edit({ path: ['bench', 'roomCelsius'], value: 25 });
    expect(editor.canRedo).toBe(false);
  });

  it('refuses what is no plan, says why, and keeps what was there', () => {
    const editor = open();
    rename(editor, '');
    expect(editor.problem?.path).toBe('plan/cups/mudflat/name');
    expect(nameOf(editor)).toBe('mudflat');
    expect(editor.canUndo).toBe(false);
    rename(editor, 'silt');
    expect(editor.problem).toBeUndefined();
  });

  it('makes several changes one step', () => {
    const editor = open();
    editor.edits([
      { path: ['bench', 'roomCelsius'], value: 25 },
      { path: ['cups', 'heron', 'name'], value: 'sky' }
    ]);
    editor.undo();
    expect([editor.plan.bench.roomCelsius, editor.plan.cups[1]!.name]).toEqual([21, 'heron']);
  });

  it('keeps undo through a reload', () => {
    const editor = open();
    rename(editor, 'silt');
    pause();
    rename(editor, 'ooze');
    editor.undo();
    editor.keep();
    const again = open(editor.plan);
    expect([again.canUndo, again.canRedo]).toEqual([true, true]);
    again.redo();
    expect(nameOf(again)).toBe('ooze');
    again.undo();
    again.undo();
    expect(nameOf(again)).toBe('mudflat');
  });

  it('keeps undo by itself once nothing is typed', async () => {
    vi.useFakeTimers();
    const editor = open();
    rename(editor, 'silt');
    expect(open(editor.plan).canUndo).toBe(false);
    await vi.runAllTimersAsync();
    vi.useRealTimers();
    expect(open(editor.plan).canUndo).toBe(true);
  });

  it('begins undo anew where what was kept cannot be read', () => {
    session.set('kirapen.undo.tideline-knobs', '{"past":[{"before":1}],"future":');
    expect(open().canUndo).toBe(false);
    session.set('kirapen.undo.tideline-knobs', '{"past":[{"before":1,"after":null}]}');
    expect(open().canUndo).toBe(false);
  });

  it('keeps what another bench changed when its own change is taken back', () => {
    const editor = open();
    rename(editor, 'silt');
    editor.shared.current = {
      ...editor.plan,
      bench: { ...editor.plan.bench, roomCelsius: 18 }
    };
    editor.undo();
    expect([nameOf(editor), editor.plan.bench.roomCelsius]).toEqual(['mudflat', 18]);
  });
});
