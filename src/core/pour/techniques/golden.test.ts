import { expect, it } from 'vitest';
import { acts } from '../acts';
import { materialsFor, TECHNIQUES, type Draft, type Setting } from '.';

/**
 * Every technique in every material it is done in, step by step: the act with all it says, what it waits for, the batch it is
 * from. The table stands beside this file to be read and argued with; a change of any figure in it is meant, or a fault.
 */
const setting = (material: string, cups: number): Setting => ({
  cups: Array.from({ length: cups }, (_, i) => `cup-${i + 1}`),
  material,
  capacity: 300,
  depth: 20,
  aspect: 1.5,
  chambers: [
    { id: 'left', share: 0.25 },
    { id: 'left-middle', share: 0.25 },
    { id: 'right-middle', share: 0.25 },
    { id: 'right', share: 0.25 }
  ],
  zones: [{ id: 'badge' }],
  embeds: [
    { id: 'shell', name: 'shell' },
    { id: 'line', name: 'line' }
  ],
  cutInto: 8,
  apart: 'set apart',
  cures: 4320,
  dries: 1440
});

const plain = (value: unknown): string =>
  typeof value === 'object' && value !== null
    ? Array.isArray(value)
      ? `[${value.map(plain).join(' ')}]`
      : Object.entries(value)
          .map(([k, v]) => `${k}=${plain(v)}`)
          .join(',')
    : String(value);

function lineOf({ act, until = [], key, anew, note }: Draft): string {
  const { kind, ...rest } = act;
  const definition = acts.find(kind)!;
  const minutes = definition.hands(act, {}, 4);
  return [
    `  ${kind}`,
    ...Object.entries(rest).map(([k, v]) => `${k}=${plain(v)}`),
    `hands ${minutes.attended} min`,
    ...(minutes.unattended ? [`and ${minutes.unattended} alone`] : []),
    ...until.map((u) => `until ${plain(u)}`),
    ...(key ? [`(${key})`] : []),
    ...(anew ? [`anew ${anew}`] : []),
    ...(note ? [`“${note}”`] : [])
  ].join(' · ');
}

it('every technique comes to the steps, times and amounts of its table', async () => {
  const table = TECHNIQUES.flatMap((t) => {
    const count = Math.max(t.least, Math.min(4, t.cups.length + 1));
    // What differs between materials is said of each; what does not, once.
    const by = new Map<string, string[]>();
    for (const { kind } of materialsFor(t)) {
      const lines = t.steps(setting(kind, count)).map(lineOf).join('\n');
      by.set(lines, [...(by.get(lines) ?? []), kind]);
    }
    const composite = t.composite ? `  composite cup · ${plain(t.composite(count))}\n` : '';
    return [...by].map(([lines, kinds]) => `${t.id} in ${kinds.join(', ')}\n${composite}${lines}`);
  });
  await expect(table.join('\n\n') + '\n').toMatchFileSnapshot('./golden.txt');
});
