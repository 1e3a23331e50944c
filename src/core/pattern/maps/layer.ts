import { KEPT, type Flow, type Spot } from '../spot';

/** What lies at a spot of something that was laid: one matter, or one told by the place. */
export type Laid = number | ((spot: Spot) => number);

/** New matter above a level, in all of the footprint or where a region says so. */
export class LayerMap implements Flow {
  constructor(
    private readonly from: number,
    private readonly laid: Laid,
    private readonly where?: (x: number, y: number, z: number) => boolean
  ) {}

  undo(spot: Spot): number {
    if (spot.z < this.from || (this.where && !this.where(spot.x, spot.y, spot.z))) return KEPT;
    return typeof this.laid === 'number' ? this.laid : this.laid(spot);
  }

  redo(): void {
    // What was there stays where it was.
  }
}
