import { stroke, wobble, type Casting } from '../../../pattern';
import { spotOf } from '../../flowing';
import type { Blow } from './fields';

/** One short broad push of the surface, and the feathering about it. */
export function flow(act: Blow, casting: Casting): void {
  const { section, level, still, chance } = casting;
  const scale = Math.sqrt(section.area);
  const { x, y } = spotOf(casting, act.at);
  const heading = (act.towards * Math.PI) / 180;
  const long = (0.12 + 0.3 * act.strength) * scale;
  const way = [
    [x, y],
    [x + long * Math.cos(heading), y + long * Math.sin(heading)]
  ] as const;
  const reach = { from: level - 0.3 * (level - still), top: level };
  casting.stir(
    stroke(section, way, { radius: 0.09 * scale, strength: 0.3 + 0.5 * act.strength, tapers: true }),
    reach
  );
  casting.stir(wobble(section, 0.25 * act.strength, chance), reach);
}
