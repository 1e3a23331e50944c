import Papa from 'papaparse';
import type { Piece } from '$core/inspect';
import { FORMULA } from '$core/shelf';
import type { Run, RunRow } from '../database';

/** The columns of the record's CSV, in order; documented in docs/formats/README.md. */
const RECORD_COLUMNS = [
  'run_id',
  'run',
  'started',
  'finished',
  'base',
  'room_celsius',
  'group',
  'piece',
  'grade',
  'mould_face',
  'open_face',
  'cut_face',
  'defects',
  'note',
  'lessons'
] as const;

/** Writes the record as CSV, a row a piece; text that a spreadsheet would take for a formula is escaped. */
export function recordCsv(
  rows: readonly { run: RunRow; report: Piece; grade: string }[],
  runs: readonly Run[],
  lessons: readonly { runId: string; text: string }[]
): string {
  const iso = (ms: number | null) => (ms ? new Date(ms).toISOString() : '');
  const byId = new Map(runs.map((r) => [r.id, r]));
  const data = rows.map(({ run, report, grade }) => {
    const frozen = byId.get(run.id)?.frozen;
    const plan = frozen?.file.plan;
    const face = (name: string) => report.faces.find((f) => f.face === name)?.grade ?? '';
    return {
      run_id: run.id,
      run: run.name,
      started: iso(run.startedAt),
      finished: iso(run.finishedAt),
      base: frozen?.computed.bases.map((b) => b.name).join(', ') ?? '',
      room_celsius: plan?.bench.roomCelsius ?? '',
      group: plan?.groups.find((g) => g.id === report.groupId)?.name ?? report.groupId,
      piece: report.number,
      grade,
      mould_face: face('mould face'),
      open_face: face('open face'),
      cut_face: face('cut face'),
      defects: [...new Set(report.faces.flatMap((f) => f.defects))].join('; '),
      note: report.note,
      lessons: lessons
        .filter((l) => l.runId === run.id)
        .map((l) => l.text)
        .join(' | ')
    };
  });
  return (
    Papa.unparse({ fields: [...RECORD_COLUMNS], data }, { escapeFormulae: FORMULA, newline: '\r\n' }) + '\r\n'
  );
}
