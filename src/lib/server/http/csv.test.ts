import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { demoRuns } from '$demo/runs';
import { gradeOf } from '$core/inspect';
import { recordCsv } from './csv';

const [told] = demoRuns(Date.UTC(2026, 5, 1, 12));
const run = {
  id: told!.id,
  planId: null,
  name: '=SUM(A1), a "quoted" name',
  frozen: told!.frozen,
  startedAt: told!.startedAt,
  finishedAt: null
};
const rows = told!.pieces.map((report) => ({ run, report, grade: gradeOf(report)! }));

describe('the record as CSV', () => {
  const text = recordCsv(rows, [run], [{ runId: run.id, text: 'wait, then pour' }]);
  const read = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });

  it('has a row a piece that reads back', () => {
    expect(read.errors).toEqual([]);
    expect(read.data).toHaveLength(6);
    expect(read.data[0]).toMatchObject({
      piece: '1',
      grade: 'reject',
      open_face: 'good',
      defects: 'colours run together; muddy blend',
      lessons: 'wait, then pour',
      finished: '',
      room_celsius: '21'
    });
    expect(new Date(read.data[0]!.started!).getTime()).toBe(Math.floor(run.startedAt));
  });

  it('does not hand a spreadsheet a formula', () => {
    expect(read.data[0]!.run!.startsWith("'=")).toBe(true);
    // A sign behind a tab, a line feed or a space counts as well, and so does any other control character first.
    for (const name of ['\t=1+1', '\r+1', ' -1', '\n@x', '\u0001boo', '=1', '+1', '-1', '@a']) {
      const said = recordCsv([{ ...rows[0]!, run: { ...run, name } }], [run], []);
      const [row] = Papa.parse<Record<string, string>>(said, { header: true }).data;
      expect(row!.run).toBe(`'${name}`);
    }
    const plain = recordCsv([{ ...rows[0]!, run: { ...run, name: 'a-b = c' } }], [run], []);
    expect(Papa.parse<Record<string, string>>(plain, { header: true }).data[0]!.run).toBe('a-b = c');
  });
});
