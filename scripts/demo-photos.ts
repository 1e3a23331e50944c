// npm run demo-photos: photos of finished pieces of two past runs of the demo workshop, made by the program itself: poured as a hand
// varies, lit, seen aslant and measured as at inspection. They are marked as made where they are shown.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { format } from 'prettier';
import { cards } from '../demo/cards';
import { bollard, rockpool } from '../demo/plans';
import { plannedAndMeasured, type MeasuredShares } from '../src/core/inspect';
import type { Outline } from '../src/core/photo';
import { measureFace, photographed, QUALITIES } from '../src/core/photo';
import { cupsOnFace, pieceOf, wholePicture, withSpread, type Face } from '../src/core/piece';
import type { Plan } from '../src/core/plan';

/** Pixels of a drawn face, and of the piece in its photo. */
const [DRAWN, SIDE] = [260, 300];
/** How far this workshop’s pours vary from their plans, 0..1. */
const SPREAD = 0.05;
const FOLDER = 'demo/photos';

/** Pieces that were photographed: of which run and plan, which side, and what its outline is. */
const TAKEN: {
  runId: string;
  plan: Plan;
  face: 'mould face' | 'open face';
  outline: Outline;
  pieces: number[];
}[] = [
  { runId: 'rockpool-first', plan: rockpool, face: 'open face', outline: 'round', pieces: [1, 2, 3, 5, 6] },
  { runId: 'bollard-first', plan: bollard, face: 'open face', outline: 'square', pieces: [1, 2, 3] }
];

rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(FOLDER, { recursive: true });
const kept: Record<string, { shows: MeasuredShares; width: number; height: number }> = {};
for (const { runId, plan, face: kind, outline, pieces } of TAKEN) {
  const face: Face = { kind };
  const planned = pieceOf(plan, cards, {}, {})!;
  const areas = cupsOnFace(planned, face, DRAWN);
  for (const n of pieces) {
    const id = `${runId}-photo-${n}`;
    const poured = pieceOf(withSpread(plan, SPREAD, `${runId} ${n}`), cards, {}, { seed: `${n}` })!;
    const { photo, placed } = photographed(wholePicture(poured, face, { size: DRAWN }), {
      quality: QUALITIES.fair,
      seed: n,
      outline,
      side: SIDE
    });
    const file = join(FOLDER, `${id}.jpg`);
    const pixels = Uint8ClampedArray.from(photo.rgba);
    const raw = { width: photo.width, height: photo.height, channels: 4 as const };
    await sharp(pixels, { raw }).removeAlpha().jpeg({ quality: 80, mozjpeg: true }).toFile(file);
    const shows = showsOf({ photo, placed, areas, id });
    if (!shows) throw new Error(`${id} cannot be measured`);
    kept[`${runId}-piece-${n}`] = { width: photo.width, height: photo.height, shows };
  }
}
const json = await format(JSON.stringify(kept), { parser: 'json', printWidth: 110 });
writeFileSync('demo/photos.json', json);

/** What a photo of a piece shows beside its plan, as inspection keeps it. */
function showsOf({
  photo,
  placed,
  areas,
  id
}: ReturnType<typeof photographed> & { areas: ReturnType<typeof cupsOnFace>; id: string }):
  MeasuredShares | undefined {
  const measured = measureFace(
    photo,
    placed,
    areas.cups.map((c) => ({ id: c.cupId, hex: c.hex }))
  );
  if (!measured) return undefined;
  const inside = areas.labels.filter((l) => l >= 0).length;
  const shareOf = (cupIds: readonly string[]) =>
    areas.labels.filter((l) => l >= 0 && cupIds.includes(areas.cups[l]!.cupId)).length / inside;
  const asPlanned = {
    ...measured,
    shares: measured.shares.map((s) => ({ ...s, share: shareOf(s.ids) }))
  };
  const round = (x: number) => Number(x.toFixed(4));
  const spot = ({ x, y }: { x: number; y: number }) => ({ x: round(x), y: round(y) });
  const corners = placed.corners.map(spot) as unknown as MeasuredShares['corners'];
  return {
    photo: id,
    outline: placed.outline,
    corners,
    ...(placed.white ? { white: spot(placed.white) } : {}),
    ...measured.telling,
    shares: plannedAndMeasured(measured, asPlanned).map((s) => ({
      ...s,
      planned: round(s.planned),
      measured: round(s.measured)
    }))
  };
}
