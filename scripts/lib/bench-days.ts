import { cards } from '../../demo/cards';
import { plans } from '../../demo/plans';
import { figuresOf } from '../../src/core/plan';
import { ordersOnDays, type OrderAsked } from '../../src/core/days';

const DAY = 1440;
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

const median = (xs: number[]): number => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0;

function timed(rounds: number, work: (round: number) => unknown): number {
  const took: number[] = [];
  for (let round = 0; round < rounds + 1; round++) {
    const start = performance.now();
    work(round);
    // The compiler warms up.
    if (round) took.push(performance.now() - start);
  }
  return median(took);
}

/** The score of the demo's plans, and the days of its orders, beside ten and twenty times as many. */
export function benchDays(): void {
  const score = timed(9, (round) =>
    plans.map((p) => figuresOf({ ...p, bench: { ...p.bench, roomCelsius: 18 + round / 7 } }, cards))
  );
  console.log(`\nscores of the ${plans.length} demo plans, with every figure: median ${score.toFixed(0)} ms`);
  const one = orders(1);
  const place = (asked: readonly OrderAsked[]) => ordersOnDays(asked, cards, { hours, hands: 1 });
  const demo = timed(5, () => place(one));
  const slipped = timed(5, () => place(one.map((o, i) => (i ? o : { ...o, notBefore: DAY }))));
  console.log(
    `the days of ${one.length} orders: median ${demo.toFixed(0)} ms; placed anew when one slips a day ${slipped.toFixed(0)} ms`
  );
  for (const times of [10, 20]) {
    const many = orders(times);
    const ms = timed(1, () => place(many));
    console.log(`  ${many.length} orders: ${ms.toFixed(0)} ms, × ${(ms / demo).toFixed(1)}`);
  }
}
