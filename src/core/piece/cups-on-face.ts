import { cupIn } from './matter';
import type { Face } from './faces';
import type { DrawnPiece } from './picture';

/** A face as flat areas of its cups: for each pixel the number of a cup, −1 outside the piece. */
export interface CupsOnFace {
  width: number;
  height: number;
  labels: Int8Array;
  /** Each cup that is seen, with the colour that most of it shows. */
  cups: { cupId: string; hex: string }[];
}

/**
 * Where each cup is seen on a face, by what is most seen at each place, through what is clear.
 * @param root side of a square of the picture's area, pixels
 */
export function cupsOnFace(piece: DrawnPiece, face: Face, root: number): CupsOnFace {
  const { sample, paint, ...mm } = piece.face(face);
  const { matters } = piece.traced;
  const scale = root / Math.sqrt(mm.width * mm.height);
  const [width, height] = [mm.width, mm.height].map((v) => Math.max(8, Math.round(v * scale))) as [
    number,
    number
  ];
  const codes = Int16Array.from({ length: width * height }, (_, p) =>
    sample(((p % width) + 0.5) / width, (Math.floor(p / width) + 0.5) / height)
  );
  // Codes are given as they are met: what they stand for is asked once all are.
  const cupOf = paint.seen.map((seen) => {
    const most = seen.reduce((a, b) => (b.share > a.share ? b : a), { matter: -1, share: 0 });
    return cupIn(matters[most.matter]);
  });
  const found = new Map<string, Map<number, number>>();
  for (const code of codes) {
    const cupId = code < 0 ? undefined : cupOf[code];
    if (cupId === undefined) continue;
    const own = found.get(cupId) ?? new Map<number, number>();
    // However it shines, a colour is itself.
    const plain = paint.plain[code]!;
    found.set(cupId, own.set(plain, (own.get(plain) ?? 0) + 1));
  }
  const ids = [...found.keys()];
  return {
    width,
    height,
    labels: Int8Array.from(codes, (code) => (code < 0 ? -1 : ids.indexOf(cupOf[code] ?? ''))),
    cups: [...found].map(([cupId, own]) => ({ cupId, hex: paint.colours[commonest(own)]! }))
  };
}

const commonest = (counts: ReadonlyMap<number, number>): number =>
  [...counts].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
