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
  snapshot: told!.snapshot,
  startedAt: told!.startedAt,
  finishedAt: null
};
const rows = told!.pieces.map((report) => ({ run, report, grade: gradeOf(report) }));

describe('the record as CSV', () => {
  const text = recordCsv(rows, [{ runId: run.id, text: 'wait, then pour' }]);
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
  });
});
