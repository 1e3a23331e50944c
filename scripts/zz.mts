import sharp from 'sharp';
import { cards } from '/work/main/demo/cards';
import * as demo from '/work/main/demo/plans';
import { applyTechnique, newPlan, splitAll, withNewCup, type Plan } from '/work/main/src/core/plan';
import { pieceOf } from '/work/main/src/core/plan/picture';
import { drawing } from '/work/main/src/core/pattern';
import { TECHNIQUES } from '/work/main/src/core/pour';

const COLOURS: Record<string,string[]> = {};
const SIZE = Number(process.env.SIZE ?? 220);
const only = process.env.ONLY?.split(',');
type Tile = { name: string; plan: Plan; face: any; strand?: string };
const baseFor = (kind: string) => cards.bases.find((b) => b.kind === kind)!;
function bare(kind: string, mouldId: string, cups: number): Plan {
  const base = baseFor(kind);
  let plan = newPlan('trial', 'Trial', cards, mouldId);
  plan = { ...plan, steps: [], mixes: plan.mixes.map((m) => ({ ...m, baseId: base.id })) };
  for (let i = 1; i < cups; i++) plan = withNewCup(plan);
  plan = splitAll(plan, base.id);
  return plan;
}
const PAL: Record<string, [string, number][]> = { resin: [['white-paste', 4],['prussian-blue',1.5]] };
function dyed(plan: Plan, recipes: [string, number][][]): Plan {
  return { ...plan, cups: plan.cups.map((c, i) => ({ ...c, recipe: (recipes[i % recipes.length] ?? []).map(([colourantId, percent], j) => ({ id: `l${i}${j}`, colourantId, percent, of: 'supplied' as const })) })) };
}
export function draw(plan: Plan, face: any, strandId: string, seed = '1', size = SIZE, until?: string) {
  const t0 = performance.now();
  const piece = pieceOf(plan, cards, {}, { strandId, seed, until })!;
  const t1 = performance.now();
  const f = piece.face(face);
  const k = size / Math.max(f.width, f.height);
  const [w, h] = [Math.max(8, Math.round(f.width * k)), Math.max(8, Math.round(f.height * k))];
  let r; let taken = 0;
  const it = drawing(w * 2, h * 2, f.sample);
  for (;;) { const n = it.next(); if (n.done) { r = n.value; break; } }
  const t2 = performance.now();
  const buf = Buffer.alloc(w * 2 * h * 2 * 4);
  r.codes.forEach((c, i) => { const hex = c < 0 ? '#e9e5dc' : f.paint.colours[c]!; buf[4*i]=parseInt(hex.slice(1,3),16); buf[4*i+1]=parseInt(hex.slice(3,5),16); buf[4*i+2]=parseInt(hex.slice(5,7),16); buf[4*i+3]=255; });
  const flows = piece.traced.casting.flows.length;
  return { buf, w: w * 2, h: h * 2, ow: w, oh: h, note: `${flows}f ${(t1-t0).toFixed(0)}+${(t2-t1).toFixed(0)}ms ${(100*r.taken/(w*h*4)).toFixed(0)}%` };
}
async function sheet(tiles: Tile[], file: string, cols = 5) {
  const cell = SIZE + 20, rows = Math.ceil(tiles.length / cols);
  const comps: any[] = [];
  let svg = '';
  for (const [i, t] of tiles.entries()) {
    const x = (i % cols) * cell + 10, y = Math.floor(i / cols) * (cell + 24) + 10;
    try {
      const d = draw(t.plan, t.face, t.strand ?? t.plan.groups[0]!.id);
      const png = await sharp(d.buf, { raw: { width: d.w, height: d.h, channels: 4 } }).resize(d.ow, d.oh).png().toBuffer();
      comps.push({ input: png, left: x + Math.floor((SIZE - d.ow) / 2), top: y + Math.floor((SIZE - d.oh) / 2) });
      svg += `<text x="${x}" y="${y + SIZE + 14}" font-size="11" font-family="sans-serif">${t.name} ${d.note}</text>`;
    } catch (e) { console.log(t.name, e); svg += `<text x="${x}" y="${y + SIZE + 14}" font-size="11" fill="red">${t.name} ${(e as Error).message}</text>`; }
  }
  const W = cols * cell, H = rows * (cell + 24);
  comps.push({ input: Buffer.from(`<svg width="${W}" height="${H}">${svg}</svg>`), left: 0, top: 0 });
  await sharp({ create: { width: W, height: H, channels: 3, background: '#e9e5dc' } }).composite(comps).png().toFile(file);
}
const M = { kind: 'mould face' }, O = { kind: 'open face' }, C = { kind: 'cut', heading: 0, off: 0 };
const RES: [string, number][][] = JSON.parse(process.env.RES ?? 'null') ?? [[['white-paste', 5]], [['phthalo-blue-paste',1.2],['white-paste',1]], [['violet-paste',3],['white-paste',1.4]], [['black-paste', 1]], [['ochre-paste',4]]];
const orders = Object.entries(demo).filter(([, p]) => (p as any)?.groups) as [string, Plan][];
if (process.argv[2] === 'orders') {
  await sheet(orders.flatMap(([n, p]) => [{ name: n + ' mould', plan: p, face: M }, { name: n + ' open', plan: p, face: O }, { name: n + ' cut', plan: p, face: C }]), '/tmp/orders.png', 6);
} else {
  const MOULD: Record<string,string> = { 'cup-swirl': 'slab', 'column-pour': 'slab', 'divider-swirl': 'slab' };
  const list = TECHNIQUES.filter((t) => !only || only.includes(t.id));
  const tiles = list.flatMap((t) => {
    const kind = t.suits[0]!;
    const mould = process.env.MOULD ?? MOULD[t.id] ?? 'roundel';
    const n = Math.max(t.least, Number(process.env.CUPS ?? 4)); const CL=['drizzle-and-brush','hearts-bloom','suspended-inclusions']; const R = CL.includes(t.id) ? [[],...RES] : t.id==='piped-petals'||t.id==='dirty-cup' ? [RES[1],RES[0],RES[2],RES[4]] : RES;
    const plan = dyed(applyTechnique(bare(kind, mould, n), cards, { techniqueId: t.id, groupId: 'group-1', keep: 'nothing' }), R as any);
    return [{ name: t.id + ' m', plan, face: M }, { name: t.id + ' o', plan, face: O }, { name: 'cut', plan, face: C }];
  });
  await sheet(tiles, '/tmp/techniques.png', 6);
}
