import { cards } from '../../demo/cards';
import { plans } from '../../demo/plans';
import { figuresOf } from '../../src/core/plan';
import { ordersOnDays, type OrderAsked } from '../../src/core/days';
import { inTurns, type Figure } from './figure';

const DAY = 1440;
/** So many times the demo's orders are the many. */
const TIMES = 10;
/** Nine to six, seven days a week, as far as the days are planned. */
const hours = Array.from({ length: 400 }, (_, i) => ({ from: i * DAY + 540, to: i * DAY + 1080 }));

/** The demo's orders so many times over, each under an id of its own, due one after another. */
const orders = (times: number): OrderAsked[] =>
  Array.from({ length: times }, (_, t) =>
    plans.map((plan, i) => ({
      plan: { ...plan, id: `${plan.id}-${t}`, order: { good: 6, ...plan.order } },
      learned: {},
      notBefore: 0,
      due: (20 + 15 * t + i) * DAY
    }))
  ).flat();

/** Figures and days of the demo's orders, one that slips a day, and ten times as many orders. */
export function daysFigures(): Figure[] {
  const one = orders(1);
  const place = (asked: readonly OrderAsked[]) => ordersOnDays(asked, cards, { hours, hands: 1 });
  const warmer = (round: number) =>
    plans.map((p) => figuresOf({ ...p, bench: { ...p.bench, roomCelsius: 18 + round / 7 } }, cards));
  const slipped = one.map((o, i) => (i ? o : { ...o, notBefore: DAY }));
  const [figures, days, again] = inTurns([warmer, () => place(one), () => place(slipped)], 7, 3);
  const many = orders(TIMES);
  const [all] = inTurns([() => place(many)], 1, 1);
  return [
    { name: `figures of the ${plans.length} demo plans, over the yardstick`, ratio: figures! },
    { name: `days of ${one.length} orders, over the yardstick`, ratio: days! },
    { name: 'those days when one order slips, of placing them first', ratio: again! / days! },
    { name: `days of ${many.length} orders, over those of ${one.length}`, ratio: all! / days! }
  ];
}
