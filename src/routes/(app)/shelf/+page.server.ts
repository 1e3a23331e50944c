import { formulaOf, materials, type Base } from '$core/material';
import { cavityOf, type Mould } from '$core/mould';
import type { Message } from '$core/quantity';
import { HEADROOM } from '$core/shelf';
import { brokenCards, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';
import { sectionOf } from '$lib/ui/shelf/cavity-section';
import { stock } from '../../../lib/server/learned-history';

/** A mould as the shelf shows it: worked out here, so that the page brings no shapes along. */
function mouldLine({ id, name, material, finish, cavities }: Mould) {
  const kind = cavities[0]!;
  return {
    id,
    name,
    material,
    finish,
    count: cavities.reduce((s, c) => s + c.count, 0),
    ml: cavityOf(kind).capacity,
    section: sectionOf(kind)
  };
}

/** A material as the shelf shows it: its parts by weight, shares, or why its card cannot be read. */
interface BaseLine extends Pick<Base, 'id' | 'name'> {
  material: string;
  open: number;
  demould: Base['demouldHours'];
  months: number;
  density: number;
  parts?: number[];
  problem?: Message;
}

function baseLine(base: Base): BaseLine {
  const formula = formulaOf(base);
  return {
    id: base.id,
    name: base.name,
    material: materials.of(base).name,
    open: base.openMinutes,
    demould: base.demouldHours,
    months: base.shelfMonths,
    ...(formula.ok
      ? { density: formula.value.density, parts: formula.value.parts.map((p) => p.share) }
      : { density: 0, problem: formula.problem.sentence })
  };
}

export const load = async () => {
  const { db } = await store();
  const shelf = await wholeShelf(db);
  const today = Date.now();
  const broken = await brokenCards(db, ['moulds', 'bases', 'scales', 'vessels', 'lots']);
  return {
    moulds: shelf.moulds.map(mouldLine),
    bases: shelf.bases.map(baseLine),
    vessels: shelf.vessels.map((v) => ({ ...v, poured: v.ml * (1 - HEADROOM) })),
    scales: shelf.scales,
    broken,
    today,
    stock: await stock(db, shelf, today)
  };
};
