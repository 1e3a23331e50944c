export {
  Amount,
  AMOUNT_FORMS,
  formatAmount,
  HATCHES,
  parseAmount,
  PlanDocument,
  Shelf,
  shelfOf,
  type Bench,
  type Tracing,
  type Condition,
  type Cup,
  type Gate,
  type Group,
  type Mix,
  type Past,
  type Step,
  poursOf
} from './document';
export { Plan, PlanFile } from './read';
export { computePlan, figuresInTurn, figuresOf } from './compute';
export type { Computed, ComputedBase, ComputedCup } from './computed';
export type { CommonMix, CupMix } from './worked';
export type { ComputedGroup, ComputedLayer } from './piece';
export { actStep, layStep, newPlan, waitStep } from './new';
export { mouldMakingPlan } from './mould-making';
export { freshId } from './fresh-id';
export { topUpCup } from './shortfall';
export { eachByItself, mixForNewCup, mixingOf, oneBase, splitAll, withoutCup } from './mixing';
export { shortageOf, type OrderNeeds, type Shortage } from './shortage';
export { sharedEqually, sharersOf } from './share-equally';
export { withNewCup } from './add-cup';
export { applyTechnique, KEEPS, techniquesFor, type Keep } from './apply-technique';
export { insertStep, moveStep } from './insert-step';
export { jobsOf } from './jobs';
export {
  ordersOnDays,
  type DaysAhead,
  type OrderAsked,
  type OrderDays,
  type OrdersOnDays
} from './order-days';
export { cureCourses, type CureCourse } from './cure-courses';
export {
  muddiness,
  pieceOf,
  picturing,
  toldAt,
  wholePicture,
  type Asked,
  type Drawing,
  type Part,
  type Picture,
  type Piece,
  type Told
} from './picture';
export type { Cut, Face } from './faces';
export { svgOf, type Purpose } from './picture-svg';
export { barsShown, cutsFor, cutUp, type CutFound, type CutUp, type ShownBar } from './bars';
export type { Dividing } from './cuts';
export {
  askingFace,
  ZONES,
  type AskedFace,
  type FaceAnswer,
  type Searching,
  type Wish,
  type Zone
} from './ask-face';
export { whitesIn } from './dominance';
export { WHITE } from './swirl';
export { mixPaces, USUAL_BLENDER } from './paces';
export { roomIn } from './room';
export type { Showing } from './paint';
export { offersOf, planOfOffer, type Offer } from './from-leftovers';
