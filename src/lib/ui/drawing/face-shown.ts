import { usualHeading } from '$core/mould';
import type { Face } from '$core/piece';
import type { Plan } from '$core/plan';
import type { Technique } from '$core/pour';
import type { FigureGroup } from '$core/run';
import { extentOf } from './outline';

/** The face that a technique's picture shows it by. */
export const facePictured = (
  { pictured }: Pick<Technique, 'pictured'>,
  plan: Pick<Plan, 'showFace'>,
  group: FigureGroup
): Face => faceShown(pictured ? { showFace: pictured } : plan, group);

/** The face a plan's pieces are judged by, a cut where it is usually made. */
const faceShown = ({ showFace }: Pick<Plan, 'showFace'>, group: FigureGroup): Face =>
  showFace === 'cut' ? { kind: 'cut', heading: usualHeading(extentOf(group)), off: 0 } : { kind: showFace };
