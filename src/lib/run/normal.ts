/** A standard normal number (Box–Muller): how stand-in devices waver. */
export const normalised = (): number =>
  Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());
