import { findPlan, savePlanPhoto } from '$lib/server/database';
import { keepsPhotos } from '../../../../../../lib/server/http/keep-photo';

/** Keeps a picture that the plan's regions are traced over. The plan names it as `tracing.photo`. */
export const POST = keepsPhotos({
  what: 'plan',
  find: findPlan,
  save: (opened, planId, photo) => savePlanPhoto(opened, { ...photo, planId })
});
