import type { Chart } from '../shapes/section';
import type { Flow, Spot } from '../spot';

/** A map that is done in a chart of the footprint: laid out as a rectangle, moved there, and put back. */
export class Charted implements Flow {
  constructor(
    private readonly chart: Chart,
    private readonly flow: Flow
  ) {}

  undo(spot: Spot): number {
    this.#move(spot, this.chart.to);
    const matter = this.flow.undo(spot);
    this.#move(spot, this.chart.from);
    return matter;
  }

  redo(spot: Spot): void {
    this.#move(spot, this.chart.to);
    this.flow.redo(spot);
    this.#move(spot, this.chart.from);
  }

  #move(spot: Spot, by: Chart['to']): void {
    const [x, y] = by(spot.x, spot.y);
    spot.x = x;
    spot.y = y;
  }
}
