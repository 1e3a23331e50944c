import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { guessMapping, readTable, tableOf, TABLE_FIELDS, TABLE_KINDS, type Mapping, type TableKind } from '.';

const at = {
  idOf: (line: number) => `card-${line}-new`,
  today: 1_000_000,
  colourants: [{ id: 'blue', name: 'Blue paste' }]
};
const read = (kind: TableKind, text: string, mapping?: Mapping) => {
  const found = readTable(kind, text, at, mapping);
  if (!found.ok) throw new Error(found.problem.sentence);
  return found.value;
};
const sentences = (kind: TableKind, text: string) =>
  read(kind, text).rows.flatMap((r) => r.problems.map((p) => p.sentence));

describe('a table of cards', () => {
  it('is read by its headings, whatever stands between the cells', () => {
    for (const mark of [',', ';', '\t']) {
      const text = [
        ['Pot', 'Kind', 'Hex', 'Strength'],
        ['heron', 'paste', '4A6B7C', '1,5']
      ]
        .map((r) => r.map((c) => `"${c}"`).join(mark))
        .join('\r\n');
      expect(read('colourants', text).rows[0]!.card).toMatchObject({
        id: 'card-2-new',
        name: 'heron',
        form: 'paste',
        colour: '#4a6b7c',
        strength: 1.5,
        pigmentFraction: 1
      });
    }
  });

  it('takes the columns it is told', () => {
    const table = read('vessels', 'a,b\n250,jug\n', { ml: 0, name: 1 });
    expect(table.rows[0]!.card).toMatchObject({ name: 'jug', ml: 250, loss: 2 });
    expect(guessMapping('vessels', ['Volume', 'Vessel'])).toEqual({ name: 1, ml: 0 });
  });

  it('lots find their colourant by its name, and their days', () => {
    const { rows } = read('lots', 'name,of,size,use by\nold,blue PASTE,100,2026-12-24\nnew,red,5,\n');
    expect(rows[0]!.card).toMatchObject({
      of: { kind: 'colourant', colourantId: 'blue' },
      useBy: Date.UTC(2026, 11, 24, 12),
      boughtAt: 1_000_000
    });
    expect(rows[1]!.problems[0]!.sentence).toBe('Line 3: no colourant is called “red”.');
  });

  it('says each row’s fault by its line', () => {
    expect(sentences('scales', 'name,division,capacity\nfine,0.01,300\n,0.1,\nbad,x,-5\n')).toEqual([
      'Line 3: name is missing.',
      'Line 3: capacity is missing.',
      'Line 4: “x” is no number.'
    ]);
    expect(sentences('scales', 'name,division,capacity\nx,-1,300\n')[0]).toMatch(/^Line 2: Division .*finer/);
    expect(sentences('colourants', 'name,form,colour\nx,slime,#123456\n')[0]).toMatch(/^Line 2: /);
    expect(sentences('colourants', 'name,form,colour\nx,paste,red\n')[0]).toBe('Line 2: “red” is no colour.');
  });

  it.each(['', 'name', 'name,ml\n', '\n\n'])('“%s” is none', (text) => {
    expect(readTable('vessels', text, at)).toMatchObject({ ok: false, problem: { code: 'table-empty' } });
  });

  it('what is written out comes back the same', () => {
    const word = fc
      .string({ minLength: 1, maxLength: 30 })
      .map((s) => s.trim())
      .filter((s) => s.length > 0 && !s.startsWith("'"));
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name: word,
            ml: fc.integer({ min: 1, max: 9000 }),
            loss: fc.integer({ min: 0, max: 99 }),
            condition: fc.constantFrom('sound', 'worn', 'broken')
          }),
          { minLength: 1, maxLength: 20 }
        ),
        (cards) => {
          const { rows } = read('vessels', Papa.unparse(cards));
          expect(rows.map((r) => r.card)).toEqual(cards.map((c, i) => ({ ...c, id: `card-${i + 2}-new` })));
        }
      )
    );
  });

  it('is what was written: every column of every card comes back', () => {
    const words = fc.string({ minLength: 1, maxLength: 30 }).filter((s) => s.trim() === s && s !== '');
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name: words,
            ml: fc.integer({ min: 1, max: 9000 }),
            loss: fc.integer({ min: 0, max: 99 })
          }),
          { minLength: 1, maxLength: 12 }
        ),
        fc.array(
          fc.record({
            name: words,
            grams: fc.integer({ min: 1, max: 900 }),
            day: fc.integer({ min: 0, max: 30_000 })
          }),
          { minLength: 1, maxLength: 12 }
        ),
        (vessels, lots) => {
          const back = read('vessels', tableOf('vessels', { cards: vessels, colourants: [] })).rows;
          expect(back.map((r) => r.problems).flat()).toEqual([]);
          expect(back.map((r) => r.card)).toEqual(vessels.map((v, i) => ({ ...v, id: `card-${i + 2}-new` })));
          const cards = lots.map(({ name, grams, day }) => ({
            name,
            grams,
            boughtAt: day * 86_400_000 + 43_200_000,
            of: { kind: 'colourant', colourantId: at.colourants[0]!.id }
          }));
          // What a lot of something else is of has no column.
          const all = [...cards, { name: 'chips', grams: 5, of: { kind: 'leftover' } }];
          const again = read('lots', tableOf('lots', { cards: all, colourants: at.colourants })).rows;
          expect(again.map((r) => r.problems).flat()).toEqual([]);
          expect(again.map((r) => r.card)).toMatchObject(cards);
          expect(again).toHaveLength(cards.length);
        }
      )
    );
  });

  it('no text breaks it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...TABLE_KINDS), fc.string({ maxLength: 400 }), (kind, text) => {
        const found = readTable(kind, `name,ml\n${text}`, at);
        if (found.ok)
          for (const r of found.value.rows) expect(r.card !== undefined || r.problems.length > 0).toBe(true);
      })
    );
    expect(TABLE_FIELDS.lots.some((f) => f.needed)).toBe(true);
  });
});
