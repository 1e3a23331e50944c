import { ActRegistry } from '../registry';
import { lay, type Lay } from './lay';
import { wait, type Wait } from './wait';
import { puddle, type Puddle } from './puddle';
import { together, type Together } from './together';
import { ribbon, type Ribbon } from './ribbon';
import { specks, type Specks } from './specks';
import { swirl, type Swirl } from './swirl';
import { chamber, type ChamberAct } from './chamber';
import { column, type ColumnAct } from './column';
import { coat, type Coat } from './coat';
import { region, type Region } from './region';
import { top, type Top } from './top';
import { drag, type Drag } from './drag';
import { blow, type Blow } from './blow';
import { tilt, type Tilt } from './tilt';
import { lift, type Lift } from './lift';
import { placeEmbed, type PlaceAct } from './place';
import { barrier, type Barrier } from './barrier';
import { dust, type Dust } from './dust';
import { workIn, type WorkIn } from './work-in';
import { sprinkle, type Sprinkle } from './sprinkle';
import { withdraw, type Withdraw } from './withdraw';
import { tap, type Tap } from './tap';
import { vibrate, type Vibrate } from './vibrate';
import { pressure, type Pressure } from './pressure';
import { torch, type Torch } from './torch';
import { rewet, type Rewet } from './rewet';
import { reheat, type Reheat } from './reheat';
import { clear, type Clear } from './clear';
import { demould, type Demould } from './demould';
import { turn, type Turn } from './turn';
import { air, type Air } from './air';
import { spray, type Spray } from './spray';
import { cut, type Cut } from './cut';
import { trim, type Trim } from './trim';
import { sand, type Sand } from './sand';
import { mill, type Mill } from './mill';
import { wash, type Wash } from './wash';
import { seal, type Seal } from './seal';
import { glue, type Glue } from './glue';
import { ink, type Ink } from './ink';
import { stain, type Stain } from './stain';
import { wrap, type Wrap } from './wrap';
import { cover, type Cover } from './cover';
import { hold, type Hold } from './hold';
import { sprue, type Sprue } from './sprue';
import { cure, type Cure } from './cure';

/** Every act there is, in the order a pour meets them. */
export const acts = new ActRegistry()
  .add(lay)
  .add(wait)
  .add(puddle)
  .add(together)
  .add(ribbon)
  .add(specks)
  .add(swirl)
  .add(chamber)
  .add(column)
  .add(coat)
  .add(region)
  .add(top)
  .add(drag)
  .add(blow)
  .add(tilt)
  .add(lift)
  .add(placeEmbed)
  .add(barrier)
  .add(dust)
  .add(workIn)
  .add(sprinkle)
  .add(withdraw)
  .add(tap)
  .add(vibrate)
  .add(pressure)
  .add(torch)
  .add(rewet)
  .add(reheat)
  .add(clear)
  .add(demould)
  .add(turn)
  .add(air)
  .add(hold)
  .add(sprue)
  .add(cover)
  .add(spray)
  .add(cut)
  .add(trim)
  .add(sand)
  .add(mill)
  .add(wash)
  .add(seal)
  .add(glue)
  .add(ink)
  .add(stain)
  .add(wrap)
  .add(cure);

/** The acts that ship with the program, for records that must have an entry for each. */
export type Act =
  | Lay
  | Wait
  | Puddle
  | Together
  | Ribbon
  | Specks
  | Swirl
  | ChamberAct
  | ColumnAct
  | Coat
  | Region
  | Top
  | Drag
  | Blow
  | Tilt
  | Lift
  | PlaceAct
  | Barrier
  | Dust
  | WorkIn
  | Sprinkle
  | Withdraw
  | Tap
  | Vibrate
  | Pressure
  | Torch
  | Rewet
  | Reheat
  | Clear
  | Demould
  | Turn
  | Air
  | Spray
  | Cut
  | Trim
  | Sand
  | Mill
  | Wash
  | Seal
  | Glue
  | Ink
  | Stain
  | Wrap
  | Cure
  | Cover
  | Hold
  | Sprue;

export { lay, wait, type Lay, type Wait };
