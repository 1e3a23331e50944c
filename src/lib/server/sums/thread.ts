import { jobs, type Order } from './jobs';

/** What a thread of the pool does with an order. */
export default ({ job, input }: Order): unknown => (jobs[job] as (input: unknown) => unknown)(input);
