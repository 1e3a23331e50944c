/** Tolerances of the craft: each stands here once, for rules, ways out and causes alike. The product's own sheet wins. */

/** How far a ratio of reactive parts may be off, a share of it: typical of resin data sheets. */
export const RATIO_TOLERANCE = 0.02;

/** Water to cement above which concrete is weak and dusty, and below which it does not flow. Typical of casting mixes. */
export const WATER_CEMENT = { least: 0.3, most: 0.5 } as const;

/** How far rounding may move a superfat: a point. */
export const SUPERFAT_TOLERANCE = 0.01;

/** By how much thinning may move a ratio of liquid to solid, a share of it: past it pieces are weak and chalk. */
export const THINNING_TOLERANCE = 0.05;

/** A cup that peaks above this, °C, is too much in one cup: it smokes, cracks and warps its vessel. Usual practice for casting resins. */
export const EXOTHERM_LIMIT = 110;
